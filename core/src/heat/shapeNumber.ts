/**
 * How many times faster than a slab of the same half depth a rounder body comes to temperature: 1 a slab, 2 a long cylinder, 3 a sphere.
 * After Hossain, Cleland and Cleland (1992): n = 1 + f(b1) + f(b2), f(b) = (1 + 2/Bi) / (b^2 + 2b/Bi).
 * @param ratios the two other half axes over half the depth, each >= 1   @param biot h R / k, > 0
 */
export const computeShapeNumber = ([first, second]: readonly [number, number], biot: number): number => {
  const share = (b: number) => (1 + 2 / biot) / (b * b + (2 * b) / biot)
  return 1 + share(first) + share(second)
}
