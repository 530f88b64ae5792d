import type { Fact, Range } from '@tender-gill/contract'
import { massPrice, money, say } from '../facts/index.ts'

/** How a price that is asked at the counter stands. */
export const PRICE_VERDICTS = ['unknown', 'cheap', 'fair', 'dear', 'past-limit', 'past-rung'] as const
export type PriceVerdict = (typeof PRICE_VERDICTS)[number]

export interface AskedPrice {
  /** Of a kilogram, all in one currency. */
  readonly perKg: number
  readonly currency: string
  readonly estimate: Range | null
  /** Beyond this it is not bought without another look. */
  readonly limitPerKg: number | null
  /** What would be bought instead, and from which price on that is the better buy. */
  readonly rung: { readonly common: string; readonly perKg: number | null } | null
  /** As it is bought, for one portion, kg. */
  readonly portionKg: number | null
}

export interface JudgedPrice {
  readonly verdict: PriceVerdict
  /** What a portion costs more (or less, below 0) than it usually does. */
  readonly perPortion: number | null
  readonly sentence: Fact
}

/**
 * A price against what is usual on the day, the limit of the buy sheet, and the point where the next rung is the better buy. Fair is up to
 * halfway from the usual price to the top of the estimate: dearer than that people notice on the plate.
 */
export function judgeAsked({ perKg, currency, estimate, limitPerKg, rung, portionKg }: AskedPrice): JudgedPrice {
  const perPortion = estimate && portionKg !== null ? (perKg - estimate.typical) * portionKg : null
  const by = money(Math.abs(perPortion ?? 0), currency)
  const judged = (verdict: PriceVerdict, sentence: Fact): JudgedPrice => ({ verdict, perPortion, sentence })
  if (rung?.perKg !== null && rung !== null && perKg > rung.perKg)
    return judged('past-rung', say('asked.past-rung', { fish: rung.common, price: massPrice(rung.perKg, currency) }))
  if (limitPerKg !== null && perKg > limitPerKg)
    return judged('past-limit', say('asked.past-limit', { limit: massPrice(limitPerKg, currency) }))
  if (!estimate || perPortion === null) return judged('unknown', say('asked.unknown'))
  if (perKg < estimate.low) return judged('cheap', say('asked.cheap', { by }))
  if (perKg <= (estimate.typical + estimate.high) / 2)
    return judged('fair', say('asked.fair', { price: massPrice(estimate.typical, currency) }))
  return judged('dear', say('asked.dear', { by }))
}
