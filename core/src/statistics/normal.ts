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

/** From here on the tail is below what a double can tell from 1. */
const FAR = 8.3

/**
 * Distribution function of the standard normal: its Taylor series about 0, after Marsaglia, summed until nothing is added. Absolute error
 * below 1e-14.
 * @param z any number   @returns 0..1
 */
export function computeNormalCdf(z: number): number {
  if (z <= -FAR) return 0
  if (z >= FAR) return 1
  let sum = z
  let term = z
  for (let n = 3, before = 0; sum !== before; n += 2) {
    term *= (z * z) / n
    before = sum
    sum += term
  }
  return Math.min(1, Math.max(0, 0.5 + sum * Math.exp(-0.5 * z * z - 0.9189385332046727)))
}
