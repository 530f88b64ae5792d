import type { Form, NormalisedBrief, PortionCost, ResolvedOffer, ResolvedPrice } from '@tender-gill/contract'
import { computePortionToBuyG } from './computeWeightToBuy.ts'

/** The price kept for exactly this form. */
export const findPrice = (offer: ResolvedOffer, form: Form): ResolvedPrice | undefined => offer.prices.find((price) => price.form === form)

/**
 * Cost of an edible adult portion bought in this form; null when no price is known, or when it is in another currency than the budget
 * (two currencies are never compared without a rate). The range is that of the price; yields stand at typical.
 */
export function computePortionCost(offer: ResolvedOffer, form: Form, brief: NormalisedBrief): PortionCost | null {
  const price = findPrice(offer, form)
  if (!price || (brief.budget && brief.budget.currency !== price.currency)) return null
  const kg = computePortionToBuyG(offer, form, brief).typical / 1000
  return { low: kg * price.perKg.low, typical: kg * price.perKg.typical, high: kg * price.perKg.high, currency: price.currency }
}
