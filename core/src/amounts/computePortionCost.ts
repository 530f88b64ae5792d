import type { Form, PortionCost, Range, ResolvedOffer, ResolvedPrice } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { TRIM_WORTH_MOST } from '../tables/constants.ts'
import { computePortionToBuyG } from './computeWeightToBuy.ts'
import { computeUsableTrimShare } from './yields.ts'

/** The price kept for exactly this form. */
export const findPrice = (offer: ResolvedOffer, form: Form): ResolvedPrice | undefined => offer.prices.find((price) => price.form === form)

/** The currency in which a dish counts its cost; null where it sets none, and any is shown. */
const currencyOf = ({ budget, house }: NormalisedBrief): string | null => budget?.currency ?? house.usualPortionCost?.currency ?? null

/**
 * What the rest of a kilogram bought in this form is worth to a house that uses it, in the currency of its price; 0 where the house credits
 * nothing, or in another currency.
 */
export function creditTrimPerKg(offer: ResolvedOffer, form: Form, brief: NormalisedBrief): number {
  const price = findPrice(offer, form)
  const { trim } = brief.house
  if (!price || !trim || trim.currency !== price.currency) return 0
  return Math.min(trim.perKg, TRIM_WORTH_MOST * price.perKg.low) * computeUsableTrimShare(offer, form, brief)
}

/**
 * Cost of an edible adult portion bought in this form, less what the house credits for the rest; null when no price is known, or when it is
 * in another currency than the dish counts in (two currencies are never compared without a rate). The range is that of the price; yields
 * stand at typical.
 */
export function computePortionCost(offer: ResolvedOffer, form: Form, brief: NormalisedBrief): PortionCost | null {
  const price = findPrice(offer, form)
  const currency = currencyOf(brief)
  if (!price || (currency !== null && currency !== price.currency)) return null
  const kg = computePortionToBuyG(offer, form, brief).typical / 1000
  const credit = creditTrimPerKg(offer, form, brief)
  const at = (end: keyof Range) => kg * (price.perKg[end] - credit)
  return { low: at('low'), typical: at('typical'), high: at('high'), currency: price.currency }
}
