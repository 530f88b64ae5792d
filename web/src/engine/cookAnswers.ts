import type { Cook, CookRequest, Form, Problem, Result } from '@tender-gill/contract'
import { answerCook, cookInstead, findStandIns, listHandTasks, type CookedInstead, type HandWork } from '@tender-gill/core'
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

/** What is asked of the engine at the stove. */
export const createCookAnswers = ({ open, tell }: Deps) => ({
  cook: async (ref: SheetRef, request: CookRequest): Promise<Result<Cook, readonly Problem[]>> => {
    const { sheet, today } = await open(ref)
    return tell(answerCook(request, sheet, { today }))
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
