import type { Brief, OfferSheet, TakenFish } from '@tender-gill/contract'
import { computePortionCost, computePortionToBuyG, findPrice } from '../amounts/index.ts'
import { createFindSpecies, normaliseBrief } from '../brief/index.ts'
import { computeFit, createScoring } from '../fit/index.ts'
import { atPrice, findWorth, MOST_TIMES, withCost } from '../purchase/index.ts'

/** A fish at the counter beside the one that would be bought instead. */
export interface BetterBuy {
  /** From this price of a kilogram on the other does the dish better for its money; null where one has no price, or no price decides it. */
  readonly perKg: number | null
  /** As it is bought, for one portion, kg; null where the dish has a mistake. */
  readonly portionKg: number | null
}

/**
 * The price at which the next rung is the better buy: where the fit of the fish at the counter, its cost with it, falls to that of the other at
 * what the other costs. Where the dish asks for no cost, one up to what the fish usually costs is asked for.
 */
export function findBetterBuy(
  brief: Brief,
  taken: TakenFish,
  other: Pick<TakenFish, 'offerId' | 'form'> | null,
  { sheet, today }: { readonly sheet: Pick<OfferSheet, 'offers' | 'leanings'>; readonly today: string },
): BetterBuy {
  const { offers, leanings } = sheet
  const plain = normaliseBrief(brief, { findSpecies: createFindSpecies(offers), today, leanings })
  const offer = offers.find(({ id }) => id === taken.offerId)
  if (!plain.ok || !offer) return { perKg: null, portionKg: null }
  const portionKg = computePortionToBuyG(offer, taken.form, plain.value).typical / 1000
  const rung = offers.find(({ id }) => id === other?.offerId)
  const price = findPrice(offer, taken.form)
  const cost = computePortionCost(offer, taken.form, plain.value)
  if (!rung || !other || !price || !cost || !findPrice(rung, other.form)) return { perKg: null, portionKg }
  const dish = withCost(plain.value, cost.typical)
  // What counts is settled by everything that is for sale, as in the line-up.
  const scoring = createScoring(dish, offers)
  const wanted = computeFit({ offer: rung, form: other.form }, dish, scoring).fit
  const fitAt = (perKg: number) => computeFit({ offer: atPrice(offer, taken.form, price, perKg), form: taken.form }, dish, scoring).fit
  const perKg = findWorth(fitAt, wanted, MOST_TIMES * price.perKg.typical)
  return { perKg: perKg > 0 ? perKg : null, portionKg }
}
