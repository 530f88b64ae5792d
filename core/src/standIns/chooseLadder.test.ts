import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cases } from '../testing/cases.ts'
import { chooseLadder, type Cause, type RungCandidate } from './index.ts'

const cause = (name: string, chance: number): Cause => ({ kind: 'weather', name, chance })

/** Expected standing by adding up every combination of causes failing or not. */
function expectedByEnumeration(rungs: readonly RungCandidate[]): { expected: number; atLeastOne: number } {
  const causes = [...new Map(rungs.flatMap((rung) => rung.causes).map((one) => [one.name, one])).values()]
  let expected = 0
  let atLeastOne = 0
  for (let world = 0; world < 2 ** causes.length; world += 1) {
    const failed = new Set(causes.filter((_, i) => world & (1 << i)).map(({ name }) => name))
    const chance = causes.reduce((p, one) => p * (failed.has(one.name) ? one.chance : 1 - one.chance), 1)
    const there = rungs.find((rung) => rung.causes.every(({ name }) => !failed.has(name)))
    expected += there ? chance * there.standIn : 0
    atLeastOne += there ? chance : 0
  }
  return { expected, atLeastOne }
}

const subsets = (n: number, most: number): readonly (readonly number[])[] =>
  Array.from({ length: 2 ** n }, (_, bits) => Array.from({ length: n }, (_x, i) => i).filter((i) => bits & (1 << i))).filter(
    (set) => set.length > 0 && set.length <= most,
  )

const rungsArbitrary = fc
  .array(
    fc.record({
      standIn: fc.integer({ min: 50, max: 100 }),
      names: fc.uniqueArray(fc.constantFrom('boat', 'farm', 'van', 'month'), { minLength: 1 }),
      group: fc.constantFrom('cod', 'hake', 'ling', 'pollack', 'saithe'),
    }),
    { minLength: 1, maxLength: 7 },
  )
  .map((rows) =>
    rows
      .map(({ standIn, names, group }): RungCandidate => ({
        standIn,
        group,
        causes: names.map((name) => cause(name, { boat: 0.3, farm: 0.04, van: 0.1, month: 0.2 }[name] ?? 0)),
      }))
      .sort((a, b) => b.standIn - a.standIn),
  )

const oneEach = (set: readonly RungCandidate[]) => new Set(set.map(({ group }) => group)).size === set.length

describe('chooseLadder', () => {
  it('finds the best set of at most three rungs, one of a group, as trying every set does', () => {
    fc.assert(
      fc.property(rungsArbitrary, fc.nat(2), (rungs, firstAmong) => {
        const allowed = subsets(rungs.length, 3).filter(([first = 0]) => firstAmong === 0 || first < firstAmong)
        const sets = allowed.map((set) => set.flatMap((i) => rungs[i] ?? [])).filter(oneEach)
        const best = Math.max(...sets.map((set) => expectedByEnumeration(set).expected))
        const { expected, chosen, atLeastOne } = chooseLadder(rungs, 3, { firstAmong })
        expect(oneEach(chosen.flatMap((i) => rungs[i] ?? []))).toBe(true)
        const own = expectedByEnumeration(chosen.flatMap((i) => rungs[i] ?? []))
        expect(expected).toBeCloseTo(best, 9)
        expect(expected).toBeCloseTo(own.expected, 9)
        expect(atLeastOne).toBeCloseTo(own.atLeastOne, 9)
      }),
      { seed: 14, numRuns: cases(150) },
    )
  })

  it('never stands lower for having one more fish to choose from', () => {
    fc.assert(
      fc.property(rungsArbitrary, (rungs) => {
        expect(chooseLadder(rungs, 3).expected).toBeGreaterThanOrEqual(chooseLadder(rungs.slice(0, -1), 3).expected - 1e-12)
      }),
      { seed: 15, numRuns: cases(150) },
    )
  })

  it('prefers a farmed fish of 80 over a second of 84 from the same boat', () => {
    const rungs = [
      { standIn: 90, group: 'a', causes: [cause('boat', 0.3)] },
      { standIn: 84, group: 'b', causes: [cause('boat', 0.3)] },
      { standIn: 80, group: 'c', causes: [cause('farm', 0.04)] },
    ]
    expect(chooseLadder(rungs, 2).chosen).toEqual([0, 2])
  })
})
