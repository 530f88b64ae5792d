import type { Brief, Cook, CookRequest, Form, Problem, Result, TakenFish } from '@tender-gill/contract'
import {
  answerCook,
  compareForms,
  cookInstead,
  cutThicknessMm,
  findStandIns,
  listHandTasks,
  planRun,
  rankLineUp,
  type CookedInstead,
  type HandWork,
  type Places,
  type RunPlan,
} from '@tender-gill/core'
import type { Told, Words } from '@tender-gill/words'
import type { Laid } from './sheetDesk.ts'
import type { SheetRef } from './sheetRef.ts'

interface Deps {
  readonly open: (ref: SheetRef) => Promise<Laid>
  /** Tells an answer as the person at this browser reads. */
  readonly tell: Words['tell']
}
/** Stand-ins whose minutes are told beside those of a fish. */
const TOLD = 5

/** A serving that is to be on the table at a minute of the day. */
export interface AskedToRun {
  readonly id: string
  readonly brief: Brief
  readonly taken: TakenFish | null
  readonly serveAtMin: number
}
export interface CookedToRun {
  readonly cook: Cook
  /** Work until all of it is ready for the pan, min. */
  readonly prepareMin: number
  readonly common: string
}
const leaderOf = (brief: Brief, sheet: Laid['sheet'], today: string): AskedToRun['taken'] => {
  const answer = rankLineUp(brief, sheet, { today, shares: false, leftOut: false })
  return answer.ok ? (answer.value.ranked[0] ?? null) : null
}

/** Work on what is bought of a fish for a dish until it is ready for the pan, min, as on the page of amounts. */
function workOn(brief: Brief, fish: AskedToRun['taken'], sheet: Laid['sheet'], today: string): number {
  if (!fish) return 0
  const forms = compareForms({ ...brief, fish: fish.species }, sheet, { today })
  return (forms.ok && forms.value.find(({ offerId, form }) => offerId === fish.offerId && form === fish.form)?.minutes) || 0
}

/** What is asked of the engine at the stove. */
export const createCookAnswers = ({ open, tell }: Deps) => ({
  cook: async (ref: SheetRef, request: CookRequest): Promise<Result<Cook, readonly Problem[]>> => {
    const { sheet, today } = await open(ref)
    return tell(answerCook(request, sheet, { today }))
  },
  /** Several dishes at once: each with its fish, else the leader of its line-up; those of which no minutes can be told beside them. */
  runSheet: async (
    ref: SheetRef,
    dishes: readonly AskedToRun[],
    places: Places,
  ): Promise<{
    readonly plan: Told<RunPlan>
    readonly cooked: Readonly<Record<string, CookedToRun>>
    readonly untold: readonly string[]
  }> => {
    const { sheet, today } = await open(ref)
    const cooked: Record<string, CookedToRun> = {}
    for (const { id, brief, taken } of dishes) {
      const fish = taken ?? leaderOf(brief, sheet, today)
      const offer = sheet.offers.find(({ id: own }) => own === fish?.offerId)
      const cut = offer && cutThicknessMm(brief, offer)
      const asked = offer && { ...brief, fish: offer.species, offer: offer.id, ...(cut !== undefined && { thicknessMm: cut }) }
      const answer = asked && tell(answerCook(asked, sheet, { today }))
      if (offer && answer?.ok) cooked[id] = { cook: answer.value, common: offer.common, prepareMin: workOn(brief, fish, sheet, today) }
    }
    const able = dishes.flatMap(({ id, brief, serveAtMin }) => {
      const one = cooked[id]
      return one
        ? [
            {
              id,
              dish: brief.dish,
              method: brief.method,
              covers: brief.covers ?? 1,
              serveAtMin,
              cook: one.cook,
              prepareMin: one.prepareMin,
            },
          ]
        : []
    })
    return { plan: tell(planRun(able, places)), cooked, untold: dishes.filter(({ id }) => !cooked[id]).map(({ id }) => id) }
  },
  /** What hands do to a fish before the pan; nothing of an offer that is not there. */
  hands: async (
    ref: SheetRef,
    offerId: string,
    form: Form,
    cooked: Parameters<typeof listHandTasks>[2],
  ): Promise<readonly Told<HandWork>[]> => {
    const offer = (await open(ref)).sheet.offers.find(({ id }) => id === offerId)
    return offer ? tell(listHandTasks(offer, form, cooked)) : []
  },
  /** The stand-ins of a fish in the same pan. */
  cookInstead: async (ref: SheetRef, request: CookRequest): Promise<readonly CookedInstead[]> => {
    const { sheet, today } = await open(ref)
    const { fish, offer, weightG: _weight, startC: _start, stages: _stages, serveAt: _serveAt, ...brief } = request
    const found = findStandIns({ ...brief, missing: fish, ...(offer !== undefined && { missingOffer: offer }) }, sheet, { today })
    return found.ok ? cookInstead(request, found.value.ladder.slice(0, TOLD), sheet, { today }) : []
  },
})
