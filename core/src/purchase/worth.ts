import type { Form, ResolvedOffer, ResolvedPrice } from '@tender-gill/contract'
import { phrase, type NormalisedAsk, type NormalisedBrief } from '../facts/index.ts'

/** Pull of the cost where the dish asks for none. */
const COST_PULL = 3
/** Prices are looked for up to so many times that of the reference. */
export const MOST_TIMES = 5
/** Halvings of the price range: to less than a millionth of it. */
const HALVINGS = 40
/** Fits nearer than this are level: bands are flat, and doubles are not exact. */
const LEVEL = 1e-9

/** The dish with a cost asked for: its own, or up to what the reference costs. */
export function withCost(brief: NormalisedBrief, cost: number): NormalisedBrief {
  const ask: NormalisedAsk = brief.asks.portionCost ?? {
    ...{ from: 0, to: cost, pull: COST_PULL, must: null, because: [] },
    reason: phrase('what the part it is held against costs'),
  }
  return { ...brief, asks: { ...brief.asks, portionCost: ask } }
}

/** An offer in one form at one price. @param perKg of a kilogram, in the currency of `price` */
export const atPrice = (offer: ResolvedOffer, form: Form, price: ResolvedPrice, perKg: number): ResolvedOffer => ({
  ...offer,
  prices: [{ ...price, form, perKg: { low: perKg, typical: perKg, high: perKg } }],
})

/**
 * The highest price at which an offer does the dish as well as is wanted: fit only falls with the price, so it is found by halving. 0 where it
 * never does, the most that is looked at where it always does.
 */
export function findWorth(fitAt: (perKg: number) => number, wanted: number, most: number): number {
  const isLevel = (perKg: number) => fitAt(perKg) >= wanted - LEVEL
  if (!isLevel(0)) return 0
  if (isLevel(most)) return most
  let [low, high] = [0, most]
  for (let i = 0; i < HALVINGS; i += 1) {
    const middle = (low + high) / 2
    if (isLevel(middle)) low = middle
    else high = middle
  }
  return low
}
