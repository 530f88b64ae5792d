import type { Brief, Freshness, FreshnessRequest, LearntMerchant, Lot, Problem, Result, TakenFish } from '@tender-gill/contract'
import {
  answerFreshness,
  arrivalPrior,
  createFindSpecies,
  findBetterBuy,
  hasVulnerable,
  isServedRaw,
  judgeAsked,
  judgeMove,
  normaliseBrief,
  planUseFirst,
  type House,
  type JudgedMove,
  type JudgedPrice,
  type UseFirst,
} from '@tender-gill/core'
import type { Told, Words } from '@tender-gill/words'
import type { AskedAtCounter } from './questions.ts'
import type { Laid } from './sheetDesk.ts'
import type { SheetRef } from './sheetRef.ts'

interface Deps {
  readonly open: (ref: SheetRef) => Promise<Laid>
  /** Tells an answer as the person at this browser reads. */
  readonly tell: Words['tell']
}

/** What is asked of the engine at the counter and in the cold; without reception, too. */
export const createCounterAnswers = ({ open, tell }: Deps) => ({
  /** How a merchant delivers, as the house has learnt it. */
  delivery: async (ref: SheetRef, merchant: string): Promise<LearntMerchant | undefined> =>
    (await open(ref)).sheet.merchants?.find((one) => one.merchant === merchant),
  /**
   * What a fish tells of its age, what is left of it, and what to do: for all the dishes it is for, the strictest of them.
   * @param merchant whose fish it is: what the house has learnt of it is what is taken to be usual before anything is seen
   */
  look: async (
    ref: SheetRef,
    request: FreshnessRequest,
    briefs: readonly Brief[],
    merchant: string | null,
  ): Promise<Result<Freshness, readonly Problem[]>> => {
    const { sheet, today } = await open(ref)
    const findSpecies = createFindSpecies(sheet.offers)
    const dishes = briefs.flatMap((brief) => {
      const plain = normaliseBrief(brief, { findSpecies, today, leanings: sheet.leanings })
      return plain.ok ? [plain.value] : []
    })
    const use = dishes.some(isServedRaw) ? 'raw' : 'cooked'
    const prior = arrivalPrior(sheet.merchants?.find((one) => one.merchant === merchant))
    return tell(answerFreshness({ ...request, ...(prior && { prior }), use, vulnerable: dishes.some(hasVulnerable) }, sheet))
  },
  /** Everything in the house by how much it presses. */
  useFirst: async (ref: SheetRef, house: Omit<House, 'offers'>): Promise<Told<UseFirst>> =>
    tell(planUseFirst({ ...house, offers: (await open(ref)).sheet.offers })),
  /** Whether a lot suits each of some dishes; null for a dish with a mistake. */
  suits: async (ref: SheetRef, lot: Lot, briefs: readonly Brief[]): Promise<readonly (Told<JudgedMove> | null)[]> => {
    const { sheet, today } = await open(ref)
    return briefs.map((brief) => {
      const judged = tell(judgeMove(lot, brief, sheet, { today }))
      return judged.ok ? judged.value : null
    })
  },
  /** A price asked at the counter, against the estimate, the limit and the next rung. */
  asked: async (ref: SheetRef, brief: Brief, taken: TakenFish, asked: AskedAtCounter): Promise<Told<JudgedPrice>> => {
    const { sheet, today } = await open(ref)
    const better = findBetterBuy(brief, taken, asked.rung, { sheet, today })
    const rung = asked.rung && { common: asked.rung.common, perKg: better.perKg }
    return tell(judgeAsked({ ...asked, rung, portionKg: better.portionKg }))
  },
})
