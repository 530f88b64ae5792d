import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { USUAL_PLACES } from '../tables/kitchenRun.ts'
import { planRun, type RunDish } from './index.ts'
import { cases } from '../testing/cases.ts'

const stage = (place: string, fromMinutes: number, toMinutes: number, celsius = 200) => ({
  ...{ medium: 'oven-fan' as const, celsius, fromMinutes, toMinutes, face: 'all' as const, turned: false, place, rest: false },
})
const range = (typical: number) => ({ low: 0.8 * typical, typical, high: 1.2 * typical })
const dish = (id: string, patch: Partial<RunDish> & { place?: string; minutes?: number; celsius?: number } = {}): RunDish => {
  const { place = 'oven', minutes = 12, celsius = 200, ...rest } = patch
  return {
    ...{ id, dish: id, method: 'roast', covers: 4, serveAtMin: 20 * 60 },
    cook: {
      stages: [stage(place, 0, minutes, celsius)],
      pull: { minutes: range(minutes), coreC: 55, probeC: range(56) },
      total: range(minutes + 3),
    },
    ...rest,
  }
}
const held = (plan: ReturnType<typeof planRun>, dishes: readonly RunDish[]) =>
  plan.rows.map((row) => ({ ...row, minutes: dishes.find(({ id }) => id === row.id)?.cook.pull.minutes.typical ?? 0 }))

describe('a run sheet', () => {
  it('works each dish back from its moment: the heat, the rest, the plate', () => {
    const [row] = planRun([dish('a')], USUAL_PLACES).rows
    expect(row).toMatchObject({ shiftMin: 0, startMin: 20 * 60 - 2 - 15, outMin: 20 * 60 - 2 - 3, batches: 1 })
    expect(row?.tasks.map(({ kind }) => kind)).toEqual(['stage', 'out', 'serve'])
  })

  it('lets two dishes share an oven that is as hot for both, and moves one where it is not', () => {
    const same = planRun([dish('a'), dish('b', { celsius: 210 })], { ...USUAL_PLACES, hand: 2 })
    expect(same.rows.every(({ shiftMin }) => shiftMin === 0)).toBe(true)
    expect(same.clashes).toEqual([])
    // A braise can wait; it comes out before the other goes in.
    const two = [dish('a', { celsius: 230, minutes: 8 }), dish('b', { celsius: 170, minutes: 20, method: 'braise' })]
    const apart = planRun(two, USUAL_PLACES)
    expect(apart.clashes).toEqual([])
    expect(apart.rows.find(({ id }) => id === 'a')?.shiftMin).toBe(0)
    const [first, second] = held(apart, two)
    expect((first?.startMin ?? 0) + (first?.minutes ?? 0)).toBeLessThanOrEqual((second?.startMin ?? 0) + 1e-9)
  })

  it('says what cannot be solved: two that may hardly wait, on one fryer', () => {
    const plan = planRun(
      [dish('a', { place: 'fryer', method: 'deep-fry' }), dish('b', { place: 'fryer', method: 'deep-fry' })],
      USUAL_PLACES,
    )
    expect(plan.clashes.map(({ place }) => place)).toContain('fryer')
    expect(plan.clashes[0]?.dishes).toEqual(['a', 'b'])
    const enough = planRun([dish('a', { place: 'fryer', method: 'deep-fry' }), dish('b', { place: 'fryer', method: 'deep-fry' })], {
      ...USUAL_PLACES,
      fryer: 2,
    })
    expect(enough.clashes).toEqual([])
  })

  it('begins with the work before the pan, which moves with its dish and holds nobody up', () => {
    const [row] = planRun([dish('a', { prepareMin: 25 })], USUAL_PLACES).rows
    expect(row?.tasks[0]).toMatchObject({ kind: 'prepare', atMin: (row?.startMin ?? 0) - 25 })
    const two = planRun([dish('a', { prepareMin: 60, place: 'burner' }), dish('b', { prepareMin: 60 })], { ...USUAL_PLACES, hand: 2 })
    expect(two.clashes).toEqual([])
    expect(two.rows.every(({ shiftMin }) => shiftMin === 0)).toBe(true)
  })

  it('counts batches where more portions come than a place takes', () => {
    const [fried] = planRun([dish('a', { place: 'fryer', method: 'deep-fry', covers: 10 })], USUAL_PLACES).rows
    expect(fried?.batches).toBe(3)
    // One after the other, the last just in time.
    const into = fried?.tasks.filter(({ kind }) => kind === 'stage').map(({ atMin }) => atMin) ?? []
    const out = fried?.tasks.filter(({ kind }) => kind === 'out').map(({ atMin }) => atMin) ?? []
    expect(into).toHaveLength(3)
    expect(into.slice(1)).toEqual(out.slice(0, 2))
    expect(out.at(-1)).toBe(fried?.outMin)
    expect(into[0]).toBe(fried?.startMin)
    expect(planRun([dish('a', { place: 'burner', method: 'pan-sear', covers: 10 })], USUAL_PLACES).rows[0]?.batches).toBe(1)
  })

  const any = fc.record({
    place: fc.constantFrom('oven', 'burner', 'fryer'),
    minutes: fc.integer({ min: 4, max: 25 }),
    celsius: fc.constantFrom(170, 200, 230),
    method: fc.constantFrom('roast' as const, 'braise' as const, 'pan-sear' as const, 'stew' as const),
    serveAtMin: fc.integer({ min: 1195, max: 1205 }),
  })

  it('shifts nothing beyond its slack, nothing where nothing clashes, and the order of the dishes does not matter', () => {
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 4 }), (patches) => {
        const dishes = patches.map((patch, i) => dish(`d${i}`, patch))
        const plan = planRun(dishes, USUAL_PLACES)
        const plenty = planRun(dishes, { burner: 99, oven: 99, steamer: 9, bath: 9, fryer: 99, grill: 9, broiler: 9, hand: 99 })
        expect(plenty.rows.every(({ shiftMin }) => shiftMin === 0)).toBe(true)
        expect(plenty.clashes).toEqual([])
        for (const { shiftMin } of plan.rows) expect(shiftMin).toBeLessThanOrEqual(30)
        const total = (rows: typeof plan.rows) => rows.reduce((sum, { shiftMin }) => sum + shiftMin, 0)
        const turned = planRun([...dishes].reverse(), USUAL_PLACES)
        expect(total(turned.rows)).toBe(total(plan.rows))
        expect(turned.clashes.length).toBe(plan.clashes.length)
      }),
      { numRuns: cases(80) },
    )
  })

  it('finds the least total shift there is, as trying everything does', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 12 }), fc.integer({ min: 5, max: 12 }), (first, second) => {
        const dishes = [
          dish('a', { minutes: first, celsius: 230, method: 'pan-sear', place: 'oven' }),
          dish('b', { minutes: second, celsius: 170, method: 'stew', place: 'oven' }),
        ]
        const plan = planRun(dishes, { ...USUAL_PLACES, hand: 9 })
        // The second has to be out before the first goes in, or in after it is out; by hand for two.
        const aFrom = 1200 - 2 - (first + 3)
        const bFrom = 1200 - 2 - (second + 3)
        const costs: number[] = []
        for (let a = 0; a <= 3; a += 1)
          for (let b = 0; b <= 20; b += 1) if (bFrom - b + second <= aFrom - a || aFrom - a + first <= bFrom - b) costs.push(a + b)
        if (costs.length > 0) expect(plan.rows.reduce((sum, { shiftMin }) => sum + shiftMin, 0)).toBe(Math.min(...costs))
        else expect(plan.clashes.length).toBeGreaterThan(0)
      }),
      { numRuns: cases(60) },
    )
  })
})
