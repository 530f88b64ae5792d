import type { BandKey, Range } from '@tender-gill/contract'
import { clampToScale } from '../axes/index.ts'
import { DRAWS } from '../tables/constants.ts'
import { roundZ } from './normal.ts'

/**
 * A draw of a trait from its range: typical + z (z < 0 ? typical - low : high - typical) / 1.645, clamped to its scale: a
 * two-piece normal distribution whose 5th and 95th percentiles are the ends of the range.
 * Costs are drawn on the logarithm, since prices move by ratio.
 * @param z standard normal variate
 */
export function drawTrait(key: BandKey, { low, typical, high }: Range, z: number): number {
  if (key === 'portionCost') {
    const step = z < 0 ? Math.log(typical / low) : Math.log(high / typical)
    return clampToScale(key, typical * Math.exp((z * step) / DRAWS.z95))
  }
  return clampToScale(key, typical + (z * (z < 0 ? typical - low : high - typical)) / DRAWS.z95)
}

const REST_FAT = Math.sqrt(1 - DRAWS.fatFirmness ** 2)
const REST_PRICE = Math.sqrt(1 - DRAWS.marketLoading ** 2)

/** Parts of a correlated z before it is rounded to the grid: what comes from outside, and what is the fish's own. */
export const fatFromFirmness = (zFirmness: number): number => DRAWS.fatFirmness * zFirmness
export const fatFromOwn = (zOwn: number): number => REST_FAT * zOwn
export const priceFromMarket = (zMarket: number): number => DRAWS.marketLoading * zMarket
export const priceFromOwn = (zOwn: number): number => REST_PRICE * zOwn

/** Fat of the same fish given its firmness: correlated at -0.4, on the grid of z. */
export const correlateFat = (zFirmness: number, zOwn: number): number => roundZ(fatFromFirmness(zFirmness) + fatFromOwn(zOwn))
/** A price given the day's market, which all prices share, on the grid of z. */
export const correlatePrice = (zMarket: number, zOwn: number): number => roundZ(priceFromMarket(zMarket) + priceFromOwn(zOwn))
