import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createFindSpecies, normaliseBrief } from '../brief/index.ts'
import { seriesShare } from '../testing/series.ts'
import { TODAY, buildBrief, must, mustTell } from '../testing/builders.ts'
import { computeUptake, findWindows } from './index.ts'
import { findFourier, findFrontSeconds } from './diffusion.ts'

const brief = (patch: object = {}) => must(normaliseBrief(buildBrief(patch), { findSpecies: createFindSpecies([]), today: TODAY }))
const windowsOf = (depthMm: number, patch: object = {}, fatG = 2) =>
  mustTell({ ok: true, value: findWindows({ depthMm, fatG }, brief(patch)) })
const one = (kind: string, depthMm: number, patch: object = {}, fatG = 2) => {
  const found = windowsOf(depthMm, patch, fatG).find((window) => window.kind === kind)
  if (!found) throw new Error(kind)
  return found
}

describe('what goes into a slab', () => {
  it('is what Fick’s series gives: half of it at a Fourier number of 0.197, more with time, never more than all', () => {
    expect(findFourier(0.5)).toBeCloseTo(0.197, 3)
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5, noNaN: true }), fc.double({ min: 0.0001, max: 1, noNaN: true }), (fourier, more) => {
        const [before, after] = [computeUptake(fourier), computeUptake(fourier + more)]
        expect(before).toBeGreaterThanOrEqual(0)
        expect(after).toBeGreaterThanOrEqual(before - 1e-9)
        expect(after).toBeLessThanOrEqual(1)
      }),
    )
  })

  it('joins the law of the square root to the series without a step', () => {
    expect(computeUptake(0.0199999)).toBeCloseTo(computeUptake(0.0200001), 4)
  })

  it('agrees with the series of heat in a face that is held: the same equation', () => {
    // The mean of a slab whose faces are held follows from its middle by the slope of the mean; compared where one term is left.
    const [a, b] = [0.4, 0.6]
    const decay = (1 - computeUptake(b)) / (1 - computeUptake(a))
    const middle = seriesShare('slab', { biot: 1e5, fourier: b }, 0) / seriesShare('slab', { biot: 1e5, fourier: a }, 0)
    expect(decay).toBeCloseTo(middle, 3)
  })

  it('has a front that goes as the square root of time', () => {
    expect(findFrontSeconds(0.004, 6e-10) / findFrontSeconds(0.002, 6e-10)).toBeCloseTo(4, 9)
  })
})

describe('windows before cooking', () => {
  it('open before they shut, and their range holds the typical', () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 50 }), fc.integer({ min: 0, max: 25 }), (depthMm, fatG) => {
        for (const { fromMinutes, toMinutes, from, to } of windowsOf(depthMm, {}, fatG)) {
          expect(fromMinutes).toBeLessThanOrEqual(toMinutes)
          for (const { low, typical, high } of [from, to]) {
            expect(low).toBeLessThanOrEqual(typical)
            expect(typical).toBeLessThanOrEqual(high)
          }
        }
      }),
    )
  })

  it('open later for a thicker and for a fatter piece, and with the skin on where it keeps salt out', () => {
    const opens = (depthMm: number, patch: object = {}, fatG = 2) => one('dry-salt', depthMm, patch, fatG).fromMinutes
    const bare = { format: 'fillet-skinless' }
    expect(opens(30, bare)).toBeGreaterThan(opens(15, bare))
    expect(opens(20, bare, 18)).toBeGreaterThan(opens(20, bare, 1))
    expect(opens(20)).toBeGreaterThan(opens(20, bare))
  })

  it('are those of kitchens: a brine of a quarter to two hours and a half, sour for a dice in minutes, a cure overnight', () => {
    const brine = one('brine', 25)
    expect(brine.fromMinutes).toBeGreaterThan(8)
    expect(brine.fromMinutes).toBeLessThan(40)
    expect(brine.toMinutes).toBeLessThan(200)
    const sour = one('sour', 12, { method: 'raw', format: 'slice' })
    expect(sour.fromMinutes).toBeLessThan(25)
    const cure = one('cure', 30, { method: 'cure', format: 'fillet-skin-on' })
    expect(cure.fromMinutes / 60).toBeGreaterThan(2)
    expect(cure.toMinutes / 60).toBeGreaterThan(12)
    expect(cure.toMinutes / 60).toBeLessThan(72)
  })

  it('never take up more salt than was strewn, and say how much, so that seasoning follows', () => {
    const dry = one('dry-salt', 25)
    expect(dry.salt).toEqual({ g: 1.2, to: '100g' })
    expect(dry.takenG).toBeLessThanOrEqual(1.2)
    expect(dry.takenG).toBeGreaterThan(0.5)
    expect(one('milk', 25).takenG).toBeNull()
  })

  it('put first what is usual with the way of cooking, and say every time that sour and salt do not make raw fish safe', () => {
    const usual = windowsOf(25).map((window) => window.usual)
    expect(usual.indexOf(false)).toBe(usual.filter(Boolean).length)
    for (const kind of ['sour', 'cure']) {
      const { how, tooLong } = one(kind, 25)
      expect(`${how} ${tooLong}`).toContain('do not make raw fish safe')
    }
  })
})
