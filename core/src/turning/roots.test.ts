import { BAND_KEYS, type BandKey } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fromAxis } from '../axes/index.ts'
import { AXES, DESIRABILITY_FLOOR } from '../tables/constants.ts'
import { cases } from '../testing/cases.ts'
import { edgeRoots, lineRoot, pullRoots, sideOf, toEdgeRunner, type EdgeRunner } from './roots.ts'

const amount = fc.double({ min: -5, max: 5, noNaN: true })
const shareArbitrary = fc.record({ logD: amount.map((x) => -Math.abs(x)), miss: amount.map(Math.abs), rangeMiss: amount.map(Math.abs) })
const endArbitrary = fc.constantFrom('from' as const, 'to' as const)
const keyArbitrary = fc.constantFrom(...BAND_KEYS)
/** A runner whose three values lie on the scale of a trait, in their order. */
const runnerArbitrary = (key: BandKey): fc.Arbitrary<EdgeRunner> =>
  fc
    .record({
      values: fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 3, maxLength: 3 }),
      rest: shareArbitrary,
    })
    .map(({ values, rest }) => {
      const { min, max } = AXES[key]
      const [low = min, typical = min, high = min] = values
        .map((share) => min + share * (Math.min(max, min + 1_000) - min))
        .sort((a, b) => a - b)
      return toEdgeRunner(key, { low, typical, high }, rest)
    })

/** How far one stands above the other with the edge at a place, worked out anew from the definition of desirability. */
function gapAt(a: EdgeRunner, b: EdgeRunner, edge: number, { key, end, pull }: { key: BandKey; end: 'from' | 'to'; pull: number }): number {
  const logD = ({ typical }: EdgeRunner) => {
    const outside = end === 'from' ? edge - typical : typical - edge
    return Math.log(Math.max(DESIRABILITY_FLOOR, 1 - Math.max(0, outside) / AXES[key].shoulder))
  }
  return a.rest.logD - b.rest.logD + pull * (logD(a) - logD(b))
}

describe('where a line meets zero', () => {
  it('is the place at which it does, and nowhere for a level one', () => {
    fc.assert(
      fc.property(amount, amount, (a, b) => {
        for (const root of lineRoot(a, b)) expect(Math.abs(a + b * root)).toBeLessThan(1e-6 * Math.max(1, Math.abs(a)))
        expect(lineRoot(a, 0)).toEqual([])
      }),
      { numRuns: cases(200) },
    )
  })
})

describe('the pull at which two stand level', () => {
  it('makes their scores the same, or where they are level all along what breaks their tie', () => {
    fc.assert(
      fc.property(shareArbitrary, shareArbitrary, shareArbitrary, shareArbitrary, fc.integer({ min: 1, max: 5 }), (x, y, u, v, pull) => {
        const [a, b] = [
          { total: x, share: u },
          { total: y, share: v },
        ]
        const gap = (part: 'logD' | 'miss' | 'rangeMiss', root: number) =>
          a.total[part] - b.total[part] + (root - pull) * (a.share[part] - b.share[part])
        for (const root of pullRoots(a, b, pull)) {
          const scale = 1 + Math.abs(root)
          expect(Math.min(...(['logD', 'miss', 'rangeMiss'] as const).map((part) => Math.abs(gap(part, root)))) / scale).toBeLessThan(1e-6)
          expect(Math.abs(gap('logD', root)) / scale).toBeLessThan(1e-6)
        }
      }),
      { numRuns: cases(300) },
    )
  })

  it('is the same whichever of the two is named first', () => {
    fc.assert(
      fc.property(shareArbitrary, shareArbitrary, shareArbitrary, shareArbitrary, (x, y, u, v) => {
        const [a, b] = [
          { total: x, share: u },
          { total: y, share: v },
        ]
        const sorted = (roots: readonly number[]) => [...roots].sort((p, q) => p - q)
        const [there, back] = [sorted(pullRoots(a, b, 3)), sorted(pullRoots(b, a, 3))]
        expect(there).toHaveLength(back.length)
        there.forEach((root, i) => expect(root).toBeCloseTo(back[i] as number, 6))
      }),
      { numRuns: cases(200) },
    )
  })

  it('knows a tie that only its breaker can turn', () => {
    const level = { logD: -1, miss: 2, rangeMiss: 3 }
    const [a, b] = [
      { total: level, share: { logD: -0.5, miss: 1, rangeMiss: 0 } },
      { total: { ...level, miss: 1.5 }, share: { logD: -0.5, miss: 0.5, rangeMiss: 0 } },
    ]
    expect(pullRoots(a, b, 3)).toEqual([2])
  })
})

describe('the places at which two may change their order as an edge moves', () => {
  it('hold every change of order that a fine sweep of the scale finds', () => {
    const kase = keyArbitrary.chain((key) =>
      fc.record({
        key: fc.constant(key),
        a: runnerArbitrary(key),
        b: runnerArbitrary(key),
        end: endArbitrary,
        pull: fc.integer({ min: 1, max: 5 }),
      }),
    )
    fc.assert(
      fc.property(kase, ({ key, a, b, end, pull }) => {
        const roots = edgeRoots(a, b, key, end, pull)
        const { shoulder } = AXES[key]
        const values = [a.typical, b.typical]
        const [from, to] = [Math.min(...values) - 2 * shoulder, Math.max(...values) + 2 * shoulder]
        const step = (to - from) / 400
        const clear = 1e-7
        for (let place = from; place < to; place += step) {
          const [before, after] = [gapAt(a, b, place, { key, end, pull }), gapAt(a, b, place + step, { key, end, pull })]
          const turns = (before > clear && after < -clear) || (before < -clear && after > clear)
          if (turns) expect(roots.some((root) => root >= place - 1e-9 && root <= place + step + 1e-9)).toBe(true)
        }
      }),
      { numRuns: cases(60) },
    )
  })

  it('are places at which the two stand level', () => {
    const kase = keyArbitrary.chain((key) =>
      fc.record({ key: fc.constant(key), a: runnerArbitrary(key), b: runnerArbitrary(key), end: endArbitrary }),
    )
    fc.assert(
      fc.property(kase, ({ key, a, b, end }) => {
        for (const root of edgeRoots(a, b, key, end, 3)) expect(Math.abs(gapAt(a, b, root, { key, end, pull: 3 }))).toBeLessThan(1e-5)
      }),
      { numRuns: cases(100) },
    )
  })

  it('are none for two that differ nowhere but in what the edge does not touch', () => {
    const rest = { logD: -1, miss: 1, rangeMiss: 1 }
    const range = { low: 3, typical: 4, high: 5 }
    const a = toEdgeRunner('firmness', range, rest)
    const b = toEdgeRunner('firmness', range, { ...rest, logD: -2 })
    expect(edgeRoots(a, b, 'firmness', 'from', 3)).toEqual([])
  })
})

describe('the side of an edge', () => {
  it('is the one on which values are left behind as it moves up', () => {
    expect(sideOf('from')).toBe(1)
    expect(sideOf('to')).toBe(-1)
  })

  it('is measured on the axis of its trait, from which every value comes back', () => {
    fc.assert(
      fc.property(keyArbitrary, fc.double({ min: 0, max: 1, noNaN: true }), (key, share) => {
        const { min, max } = AXES[key]
        const value = min + share * (Math.min(max, min + 1_000) - min)
        const runner = toEdgeRunner(key, { low: value, typical: value, high: value }, { logD: 0, miss: 0, rangeMiss: 0 })
        expect(runner.low).toBe(runner.high)
        expect(fromAxis(key, runner.typical)).toBeCloseTo(value, 6)
      }),
      { numRuns: cases(100) },
    )
  })
})
