import { computeNormalQuantile } from '../statistics/index.ts'

/** z moves on a grid of 1/32, so that what a draw costs can be read from a table; far finer than any range is known. */
const STEPS_PER_Z = 32
const MIDDLE = 128
/** Places on the grid, z from -4 to 4: every draw and every correlated sum of two falls inside. */
export const Z_PLACES = 2 * MIDDLE + 1

/** z of a place on the grid, 0..256. */
export const zOfPlace = (place: number): number => (place - MIDDLE) / STEPS_PER_Z
/** The nearest place on the grid. */
export const placeOfZ = (z: number): number => Math.round(z * STEPS_PER_Z) + MIDDLE
/** The nearest z on the grid. */
export const roundZ = (z: number): number => Math.round(z * STEPS_PER_Z) / STEPS_PER_Z

/** z on the grid for each of 256 levels: the midpoint quantiles of the standard normal. The same to the bit on every machine. */
export const Z_OF_BYTE: Readonly<Float64Array> = Float64Array.from({ length: 256 }, (_, level) =>
  roundZ(computeNormalQuantile((level + 0.5) / 256)),
)
/** Standard normal variate of a level, 0..255. */
export const normalOfByte = (level: number): number => Z_OF_BYTE[level] as number
/** Uniform variate on 0..1 of 32 hashed bits, never 0 or 1. */
export const uniformFromBits = (bits: number): number => (bits + 0.5) / 4_294_967_296
