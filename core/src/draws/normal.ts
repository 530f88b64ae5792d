const A = [-3.969683028665376e1, 2.209460984245205e2, -2.759285104469687e2, 1.38357751867269e2, -3.066479806614716e1, 2.506628277459239]
const B = [-5.447609879822406e1, 1.615858368580409e2, -1.556989798598866e2, 6.680131188771972e1, -1.328068155288572e1, 1]
const C = [-7.784894002430293e-3, -3.223964580411365e-1, -2.400758277161838, -2.549732539343734, 4.374664141464968, 2.938163982698783]
const D = [7.784695709041462e-3, 3.224671290700398e-1, 2.445134137142996, 3.754408661907416, 1]

const polynomial = (coefficients: readonly number[], x: number) => coefficients.reduce((sum, c) => sum * x + c, 0)

/**
 * Quantile of the standard normal distribution. Rational approximation after Acklam; relative error below 1.2e-9.
 * @param p 0 < p < 1   @throws RangeError outside
 */
export function computeNormalQuantile(p: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError(`p is ${p}, must lie between 0 and 1`)
  const tail = 0.02425
  if (p < tail) {
    const q = Math.sqrt(-2 * Math.log(p))
    return polynomial(C, q) / polynomial(D, q)
  }
  if (p > 1 - tail) return -computeNormalQuantile(1 - p)
  const q = p - 0.5
  const r = q * q
  return (polynomial(A, r) * q) / polynomial(B, r)
}

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
