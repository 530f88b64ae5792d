import type { Form, Range, ResolvedOffer } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { computeWeightToBuyG, countPortions } from './computeWeightToBuy.ts'
import { computePortionCost, creditTrimPerKg, findPrice } from './computePortionCost.ts'
import { computeYields, type Yields } from './yields.ts'

/** How much to buy of one fish in one form, and what that costs. */
export interface Amount {
  readonly portions: number
  readonly yields: Yields
  readonly buyG: Range
  /** Whole fish to ask for, rounded up so that rounding never hides a shortfall; null for cuts. */
  readonly pieces: { readonly count: number; readonly eachG: number } | null
  /** What is paid in all; and an adult portion, less what the house credits for the rest of the fish: the same figure as in a line-up. */
  readonly cost: {
    readonly total: Range
    /** What the house credits for head, frame and trim, in all; 0 where it credits nothing. */
    readonly credit: number
    /** Null where the dish counts in another currency. */
    readonly perPortion: Range | null
    readonly currency: string
  } | null
}

const times = ({ low, typical, high }: Range, by: Range): Range => ({
  low: low * by.low,
  typical: typical * by.typical,
  high: high * by.high,
})
const over = ({ low, typical, high }: Range, by: number): Range => ({ low: low / by, typical: typical / by, high: high / by })

/** Size of whole fish to ask for, g: the middle of what the dish wants and the market gives. */
function computePieceG(offer: ResolvedOffer, brief: NormalisedBrief): number {
  const { from, to } = brief.asks.weight ?? { from: null, to: null }
  const wanted = from !== null && to !== null ? (from + to) / 2 : offer.weightG.typical
  return Math.min(offer.weightG.high, Math.max(offer.weightG.low, wanted))
}

/**
 * Plans the purchase: weight with its range, whole numbers of whole fish, cost where a price is known.
 * Cost is typical weight at low, typical and high price, widened by the weight's own range.
 */
export function planAmount(offer: ResolvedOffer, form: Form, brief: NormalisedBrief): Amount {
  const buyG = computeWeightToBuyG(offer, form, brief)
  const whole = form === 'whole' || form === 'gutted'
  const eachG = computePieceG(offer, brief)
  const price = findPrice(offer, form)
  const total = price ? times(over(buyG, 1000), price.perKg) : null
  const perPortion = computePortionCost(offer, form, brief)
  const credit = (creditTrimPerKg(offer, form, brief) * buyG.typical) / 1000
  return {
    portions: countPortions(brief),
    yields: computeYields(offer, form, brief),
    buyG,
    pieces: whole ? { count: Math.ceil(buyG.typical / eachG - 1e-9), eachG } : null,
    cost: total && price ? { total, credit, perPortion, currency: price.currency } : null,
  }
}
