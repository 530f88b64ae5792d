import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cases } from '../testing/cases.ts'
import { computeNormalCdf, computeNormalQuantile } from './index.ts'

describe('the standard normal distribution', () => {
  it('gives the quantiles of the standard normal to six figures', () => {
    for (const [p, z] of [
      [0.5, 0],
      [0.95, 1.644854],
      [0.975, 1.959964],
      [0.001, -3.090232],
    ] as const)
      expect(computeNormalQuantile(p)).toBeCloseTo(z, 6)
  })

  it('refuses a probability of 0 or 1', () => {
    expect(() => computeNormalQuantile(0)).toThrow(RangeError)
    expect(() => computeNormalQuantile(1)).toThrow(RangeError)
  })

  it('gives its distribution function to twelve figures', () => {
    for (const [z, p] of [
      [0, 0.5],
      [1, 0.841344746068543],
      [-1.959963984540054, 0.025],
      [3, 0.99865010196837],
      [-5, 2.866515718791939e-7],
      [9, 1],
    ] as const)
      expect(computeNormalCdf(z)).toBeCloseTo(p, 12)
  })

  it('goes there and back, and never falls', () => {
    fc.assert(
      fc.property(fc.double({ min: -5, max: 5, noNaN: true }), fc.double({ min: 0, max: 2, noNaN: true }), (z, more) => {
        expect(computeNormalQuantile(computeNormalCdf(z))).toBeCloseTo(z, 6)
        // To the last bits of a double.
        expect(computeNormalCdf(z + more)).toBeGreaterThanOrEqual(computeNormalCdf(z) - 1e-14)
        expect(computeNormalCdf(z) + computeNormalCdf(-z)).toBeCloseTo(1, 12)
      }),
      { seed: 81, numRuns: cases(200) },
    )
  })
})
