import type { Brief, OfferSheet, Result, TakenFish } from '@tender-gill/contract'
import type { Amounts, Problem, Rung } from '../facts/index.ts'
import { findLeader } from '../kept/index.ts'
import { createBoard } from '../lineUp/index.ts'
import { chooseOffered } from '../market/index.ts'
import { answerAmounts } from '../purchase/index.ts'
import { findStandIns } from '../standIns/index.ts'

/** A dish apart from its name and how many eat it: who does it best, and who stands in, hangs on neither. */
function nameDish({ dish: _dish, covers: _covers, ...rest }: Brief): string {
  return JSON.stringify(rest)
}

/**
 * What hangs on a dish alone: who leads it, who stands in for a fish of it, of what can be bought, and what to beware of. Found once for each dish of a day, however many servings of it
 * there are.
 */
export function createDishAnswers(today: string) {
  const known = new Map<OfferSheet, Map<string, unknown>>()
  const once = <T>(sheet: OfferSheet, key: string, find: () => T): T => {
    const own = known.get(sheet) ?? new Map<string, unknown>()
    known.set(sheet, own)
    if (!own.has(key)) own.set(key, find())
    return own.get(key) as T
  }
  return {
    leaderOf: (brief: Brief, sheet: OfferSheet): TakenFish | undefined =>
      once(sheet, nameDish(brief), () => {
        const board = createBoard(brief, chooseOffered(sheet, brief), today)
        const leader = board.ok ? findLeader(board.value)?.candidate : undefined
        return leader && { species: leader.offer.species, offerId: leader.offer.id, form: leader.form }
      }),
    rungsFor: (brief: Brief, { species, offerId }: TakenFish, sheet: OfferSheet): readonly Rung[] =>
      once(sheet, `${nameDish(brief)}|${offerId}`, () => {
        const asked = { ...brief, missing: species, missingOffer: offerId }
        const found = findStandIns(asked, chooseOffered(sheet, brief), { today, ladderOnly: true })
        return found.ok ? found.value.ladder : []
      }),
    /** What stands against buying the fish in a form, and what to beware of; or why it cannot be bought so. */
    checkFish: (brief: Brief, { species, offerId, form }: TakenFish, sheet: OfferSheet): Result<Amounts['cautions'], readonly Problem[]> =>
      once(sheet, `${nameDish(brief)}|${offerId}|${form}`, () => {
        const answer = answerAmounts({ ...brief, fish: species, offer: offerId, form }, sheet, { today })
        return answer.ok ? { ok: true, value: answer.value.cautions } : answer
      }),
  }
}
export type DishAnswers = ReturnType<typeof createDishAnswers>
