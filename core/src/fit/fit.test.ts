import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BAND_KEYS } from '@tender-gill/contract'
import { computeDesirability, fromAxis, toAxis } from '../axes/index.ts'
import { cases } from '../testing/cases.ts'
import { bandArbitrary } from '../testing/arbitraries.ts'
import { splitPoints } from './index.ts'

describe('axes', () => {
  it('goes to the axis and back', () => {
    fc.assert(
      fc.property(fc.constantFrom(...BAND_KEYS), fc.double({ min: 0.1, max: 100, noNaN: true }), (key, x) => {
        expect(fromAxis(key, toAxis(key, x))).toBeCloseTo(x, 9)
      }),
      { seed: 41 },
    )
  })
})

describe('computeDesirability', () => {
  it('is 1 inside the band and at least 0.01 anywhere', () => {
    const anything = fc
      .constantFrom(...BAND_KEYS)
      .chain((key) => fc.tuple(fc.constant(key), bandArbitrary(key), fc.double({ min: 0.1, max: 100, noNaN: true })))
    fc.assert(
      fc.property(anything, ([key, [from, to], x]) => {
        const d = computeDesirability(key, x, { from, to })
        expect(d).toBeGreaterThanOrEqual(0.01)
        expect(d).toBeLessThanOrEqual(1)
        if (x >= from && x <= to) expect(d).toBeCloseTo(1, 9)
      }),
      { seed: 42, numRuns: cases(300) },
    )
  })

  it('falls to a third one step and a half below a band of firmness, whose shoulder is 3', () => {
    expect(computeDesirability('firmness', 4, { from: 6, to: 10 })).toBeCloseTo(1 / 3, 9)
    expect(computeDesirability('fat', 1, { from: 4, to: 9 })).toBeCloseTo(0.5, 9)
    expect(computeDesirability('weight', 500, { from: 900, to: null })).toBeCloseTo(0.01, 9)
  })
})

describe('splitPoints', () => {
  it('adds up to the shown total to the tenth, each share within a tenth of its due', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 50, noNaN: true }), { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 0, max: 1000 }),
        (weights, tenths) => {
          const shares = splitPoints(weights, tenths / 10)
          const sum = weights.reduce((a, b) => a + b, 0)
          if (sum === 0) return
          expect(shares.reduce((total, share) => total + Math.round(share * 10), 0)).toBe(tenths)
          shares.forEach((share, i) => expect(Math.abs(share - ((tenths / 10) * (weights[i] ?? 0)) / sum)).toBeLessThan(0.1 + 1e-9))
        },
      ),
      { seed: 43 },
    )
  })
})
