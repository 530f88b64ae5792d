import type { Price } from '@tender-gill/contract'
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
