import type { Price, ResolvedOffer } from '@tender-gill/contract'
import { GRAMS_PER_LB } from '../tables/constants.ts'

/** Price of a kilogram; undefined when a price by the piece or by the box does not say what one weighs. */
export function computePerKg({ price, unit, eachG }: Pick<Price, 'price' | 'unit' | 'eachG'>): number | undefined {
  switch (unit) {
    case 'kg':
      return price
    case 'lb':
      return (price * 1000) / GRAMS_PER_LB
    case 'each':
    case 'box':
      return eachG ? (price * 1000) / eachG : undefined
  }
}

/** Whether a quote speaks of this offer: fields it leaves out match all. */
export const quoteMatches = (quote: Price, offer: ResolvedOffer, species: string): boolean =>
  species === offer.species &&
  (quote.origin ?? offer.origin) === offer.origin &&
  (quote.state ?? offer.state) === offer.state &&
  (quote.part ?? offer.part) === offer.part
