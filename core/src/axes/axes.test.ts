import { BAND_KEYS } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { AXES, DESIRABILITY_FLOOR } from '../tables/constants.ts'
import { bandArbitrary } from '../testing/arbitraries.ts'
import { clampToScale, computeDesirability, computeMiss, createMiss, fromAxis, toAxis } from './index.ts'
import { cases } from '../testing/cases.ts'

const keyArbitrary = fc.constantFrom(...BAND_KEYS)
/** A trait with two values on its own scale. */
const pairArbitrary = keyArbitrary.chain((key) => fc.record({ key: fc.constant(key), ends: bandArbitrary(key) }))

describe('the axis of a trait', () => {
  it('keeps the order of its values, and leads back to each', () => {
    fc.assert(
      fc.property(pairArbitrary, ({ key, ends: [less, more] }) => {
        expect(toAxis(key, less)).toBeLessThanOrEqual(toAxis(key, more))
        if (more > 0) expect(fromAxis(key, toAxis(key, more))).toBeCloseTo(more, 6)
      }),
      { seed: 901, numRuns: cases(600) },
    )
  })

  it('keeps a value on its scale, and leaves alone what lies there', () => {
    fc.assert(
      fc.property(keyArbitrary, fc.double({ min: -1e6, max: 1e9, noNaN: true }), (key, x) => {
        const kept = clampToScale(key, x)
        expect(kept).toBeGreaterThanOrEqual(AXES[key].min)
        expect(kept).toBeLessThanOrEqual(AXES[key].max)
        expect(clampToScale(key, kept)).toBe(kept)
      }),
      { seed: 902 },
    )
  })
})

describe('desirability', () => {
  it('is whole inside a band, falls with the distance from it, and is never nothing', () => {
    const caseArbitrary = pairArbitrary.chain(({ key, ends }) =>
      fc.record({ key: fc.constant(key), ends: fc.constant(ends), values: bandArbitrary(key) }),
    )
    fc.assert(
      fc.property(caseArbitrary, ({ key, ends: [from, to], values: [a, b] }) => {
        const band = { from, to }
        for (const x of [a, b]) {
          const inside = x >= from && x <= to
          expect(computeMiss(key, x, band) === 0 || !inside).toBe(true)
          expect(computeDesirability(key, x, band)).toBeGreaterThanOrEqual(DESIRABILITY_FLOOR)
          expect(computeDesirability(key, x, band)).toBeLessThanOrEqual(1)
          expect(createMiss(key, band)(x)).toBeCloseTo(computeMiss(key, x, band), 9)
        }
        // Both above the band: the farther one is no better.
        if (a >= to) expect(computeDesirability(key, b, band)).toBeLessThanOrEqual(computeDesirability(key, a, band))
        if (b <= from) expect(computeDesirability(key, a, band)).toBeLessThanOrEqual(computeDesirability(key, b, band))
      }),
      { seed: 903, numRuns: cases(800) },
    )
  })

  it('knows no end that is open', () => {
    fc.assert(
      fc.property(pairArbitrary, ({ key, ends: [less, more] }) => {
        expect(computeMiss(key, more, { from: less, to: null })).toBe(0)
        expect(computeMiss(key, less, { from: null, to: more })).toBe(0)
        expect(computeMiss(key, less, { from: null, to: null })).toBe(0)
      }),
      { seed: 904 },
    )
  })

  it('is gone one shoulder beyond an end', () => {
    for (const key of BAND_KEYS) {
      const edge = fromAxis(key, toAxis(key, Math.max(AXES[key].min, 1)))
      const beyond = fromAxis(key, toAxis(key, edge) + AXES[key].shoulder)
      expect(computeMiss(key, beyond, { from: null, to: edge })).toBeCloseTo(1, 6)
      expect(computeDesirability(key, beyond, { from: null, to: edge })).toBeCloseTo(DESIRABILITY_FLOOR, 6)
    }
  })
})
