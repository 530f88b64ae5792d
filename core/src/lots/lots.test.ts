import type { ColdPlace, ColdReading, Lot, PlaceKind } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { buildOffer } from '../testing/builders.ts'
import { told } from '../testing/told.ts'
import { judgeHistamine, sumIceDays } from '../cold/index.ts'
import { judgeLot, judgePlace, planUseFirst, readHistory, thinReadings } from './index.ts'
import { cases } from '../testing/cases.ts'

const HOUR = 3_600_000
const BEGAN = Date.parse('2026-06-13T08:00:00Z')
const at = (hours: number): string => new Date(BEGAN + hours * HOUR).toISOString()
const place = (kind: PlaceKind, usualC: number, thermometer: string | null = null): ColdPlace => ({
  name: 'The low fridge',
  kind,
  usualC,
  thermometer,
})
const FRIDGE = { id: 'fridge', place: place('fridge', 4) }
const FREEZER = { id: 'freezer', place: place('freezer', -20) }
const PLACES = [FRIDGE, FREEZER]
const stay = (hours: number, patch: Partial<Lot['stays'][number]> = {}): Lot['stays'][number] => ({
  ...{ from: at(hours), place: 'fridge', celsius: null, iced: false, ...patch },
})
const LEAN = buildOffer('Piscis lentus', {})
const TUNNY = buildOffer('Piscis rubens', { histamine: true, storage: 'oily' })
const lot = (patch: Partial<Lot> = {}): Lot => ({
  ...{ species: LEAN.species, offerId: LEAN.id, form: 'whole', g: 1000, merchant: null, boughtAt: at(0), use: 'cooked' },
  ...{
    ageIceDays: { low: 1, typical: 2, high: 4 },
    servings: [],
    line: null,
    journey: null,
    stays: [stay(0)],
    state: 'here',
    freezing: null,
  },
  ...patch,
})
type Pairs = readonly (readonly [hours: number, celsius: number])[]
const readings = (...pairs: Pairs): ColdReading[] => pairs.map(([hours, celsius]) => ({ place: 'fridge', at: at(hours), celsius }))
const history = (one: Lot, hours: number, told: ColdReading[] = []) =>
  readHistory(one, BEGAN + hours * HOUR, { places: PLACES, readings: told }).map(({ hours: h, celsius, basis }) => [h, celsius, basis])

describe('how a lot was kept', () => {
  it('is in ice as long as ice lasts, then as its place usually is', () => {
    expect(history(lot({ stays: [stay(0, { iced: true })] }), 20)).toEqual([
      [12, 0, 'ice'],
      [8, 4, 'usual'],
    ])
    expect(history(lot({ stays: [stay(0, { iced: true }), stay(10, { iced: true })] }), 20)).toEqual([
      [10, 0, 'ice'],
      [10, 0, 'ice'],
    ])
  })

  it('is what the thermometer told, as long as a reading tells anything', () => {
    expect(history(lot(), 5, readings([-0.5, 3], [1, 6], [4, 5]))).toEqual([
      [1, 3, 'reading'],
      [2, 6, 'reading'],
      [1, 4, 'usual'],
      [1, 5, 'reading'],
    ])
  })

  it('is what somebody said, or nobody knows', () => {
    expect(history(lot({ stays: [stay(0, { place: null, celsius: 12 }), stay(2, { place: null }), stay(3)] }), 4)).toEqual([
      [2, 12, 'said'],
      [1, null, 'unknown'],
      [1, 4, 'usual'],
    ])
  })

  it('holds every hour once, whatever was told', () => {
    const hour = fc.integer({ min: -10, max: 80 })
    const known = fc.uniqueArray(fc.tuple(hour, fc.integer({ min: -2, max: 15 })), { selector: ([h]) => h, maxLength: 12 })
    const stays = fc.array(fc.tuple(fc.integer({ min: 1, max: 60 }), fc.boolean(), fc.constantFrom('fridge', 'freezer', null)), {
      maxLength: 4,
    })
    fc.assert(
      fc.property(known, stays, fc.integer({ min: 0, max: 90 }), (pairs, moves, until) => {
        const sorted = [...moves].sort((a, b) => a[0] - b[0])
        const one = lot({ stays: [stay(0), ...sorted.map(([h, iced, where]) => stay(h, { iced, place: where }))] })
        const told = readings(...[...pairs].sort((a, b) => a[0] - b[0]))
        const stretches = readHistory(one, BEGAN + until * HOUR, { places: PLACES, readings: told })
        expect(stretches.reduce((sum, { hours }) => sum + hours, 0)).toBeCloseTo(until, 6)
        stretches.slice(1).forEach(({ fromMs }, i) => expect(fromMs).toBe(stretches[i]?.toMs))
      }),
      { numRuns: cases(160) },
    )
  })
})

const judge = (one: Lot, hours: number, more: { told?: ColdReading[]; eaten?: number | null; offer?: typeof LEAN } = {}) =>
  judgeLot({
    ...{ lot: one, offer: more.offer ?? LEAN, nowMs: BEGAN + hours * HOUR, warmths: { places: PLACES, readings: more.told ?? [] } },
    servings:
      more.eaten === undefined ? [] : [{ id: 's', dish: 'Supper', eatenMs: more.eaten === null ? null : BEGAN + more.eaten * HOUR }],
  })

describe('how a lot stands', () => {
  it('lasts until its days are used up as it is kept: in ice first, then in its place', () => {
    // 12 days of keeping, 2 behind it: 10 left; half a day in ice, 9.5 at 4 °C, where a day is worth 1.96.
    const { lastsMs } = judge(lot({ stays: [stay(0, { iced: true })] }), 0)
    expect(((lastsMs?.typical ?? 0) - BEGAN) / HOUR).toBeCloseTo(12 + (9.5 * 24) / 1.96, 6)
    expect(lastsMs && lastsMs.low < lastsMs.typical && lastsMs.typical < lastsMs.high).toBe(true)
  })

  it('ends at the same moment whenever it is asked, as long as nothing changes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100 }), fc.boolean(), (hours, iced) => {
        const one = lot({ stays: [stay(0, { iced })] })
        expect(judge(one, hours).lastsMs?.typical).toBeCloseTo(judge(one, 0).lastsMs?.typical ?? 0, -1)
      }),
      { numRuns: cases(80) },
    )
  })

  it('says which serving it will not reach, and which only if it was young', () => {
    expect(judge(lot(), 0, { eaten: 60 })).toMatchObject({ advice: 'fine', late: [], doubtful: [] })
    expect(judge(lot(), 0, { eaten: 110 })).toMatchObject({ advice: 'fine', doubtful: [{ id: 's' }] })
    expect(told(judge(lot(), 0, { eaten: 110 }).sentence)).toBe(
      'It lasts until Supper only if it was not older than usual when bought: 10 days on ice left (8 to 11).',
    )
    expect(judge(lot(), 0, { eaten: 160 })).toMatchObject({ advice: 'freeze', late: [{ id: 's' }] })
    expect(judge(lot(), 110, { eaten: 160 })).toMatchObject({ advice: 'use-now' })
  })

  it('stands still in the freezer, and goes on when it is taken out', () => {
    const frozen = lot({ stays: [stay(0, { place: 'freezer' })] })
    expect(judge(frozen, 2000)).toMatchObject({ advice: 'frozen', lastsMs: null, renewIceMs: null })
    const thawed = lot({ stays: [stay(0, { place: 'freezer' }), stay(2000)] })
    expect(judge(thawed, 2024).cold.iceDays).toBeCloseTo(1.96, 6)
  })

  it('is to be thrown away once its time is up, or once it may have formed histamine', () => {
    expect(told(judge(lot(), 400).sentence)).toMatch(/^Throw it away: its time is up/)
    const tunny = lot({ species: TUNNY.species, offerId: TUNNY.id })
    const warm = readings(...Array.from({ length: 6 }, (_, i) => [i, 14] as const))
    const { advice, sentence } = judge(tunny, 6, { told: warm, offer: TUNNY })
    expect(advice).toBe('throw')
    expect(told(sentence)).toContain('cooking does not undo it')
    expect(judge(tunny, 6, { offer: TUNNY }).advice).not.toBe('throw')
  })

  it('reminds of the ice while there is some', () => {
    expect(judge(lot({ stays: [stay(0, { iced: true })] }), 3).renewIceMs).toBe(BEGAN + 12 * HOUR)
    expect(judge(lot(), 3).renewIceMs).toBeNull()
  })
})

describe('readings', () => {
  it('are thinned to those that say something new, and every clock and every limit stays as it was', () => {
    const walk = fc.array(fc.double({ min: -1.2, max: 1.2, noNaN: true }), { minLength: 20, maxLength: 120 })
    fc.assert(
      fc.property(walk, fc.double({ min: -2, max: 12, noNaN: true }), (steps, from) => {
        let celsius = from
        const all = readings(...steps.map((step, i) => [i / 6, (celsius += step)] as const))
        const few = thinReadings(all)
        const until = BEGAN + (steps.length / 6) * HOUR
        const clock = (told: readonly ColdReading[]) => sumIceDays(readHistory(lot(), until, { places: PLACES, readings: told }))
        expect(clock(few)).toBeCloseTo(clock(all), 0)
        const stop = (told: readonly ColdReading[]) => judgeHistamine(TUNNY, readHistory(lot(), until, { places: PLACES, readings: told }))
        expect(stop(few).stop).toBe(stop(all).stop)
        expect(stop(few).hoursAbove4).toBeCloseTo(stop(all).hoursAbove4, 6)
      }),
      { numRuns: cases(120) },
    )
    const still = readings(...Array.from({ length: 144 }, (_, i) => [i / 6, 3 + (i % 2) / 10] as const))
    expect(thinReadings(still)).toHaveLength(24)
  })
})

describe('a place', () => {
  const known = { id: 'fridge', place: place('fridge', 3, 'low-fridge') }
  const now = BEGAN + 10 * HOUR
  const say = (...pairs: Pairs) => {
    const { problem } = judgePlace(known, readings(...pairs), now)
    return problem && told(problem)
  }

  it('is told to be warm, to have been warm, or silent; a door that stands open is nothing', () => {
    expect(say([8, 3], [9, 3], [9.9, 3])).toBeNull()
    expect(say([9, 3], [9.2, 8], [9.4, 3], [9.9, 3])).toBeNull()
    expect(say([8, 3], [9, 9], [9.9, 11])).toBe('The low fridge is too warm: up to 11 °C for an hour, and 5 °C is the most for fish.')
    expect(say([5, 3], [6, 9], [8, 3], [9.9, 3])).toBe(
      'The low fridge was too warm: up to 9 °C for 2 hours, where 5 °C is the most. What lay in it is older for it.',
    )
    expect(say([5, 3])).toBe('The low fridge has told no warmth for 5 hours.')
    expect(judgePlace(FRIDGE, [], now)).toMatchObject({ latest: null, problem: null })
  })

  it('is held to its own kind', () => {
    const warm = [{ place: 'freezer', at: at(0), celsius: -10 }]
    expect(judgePlace(FREEZER, warm, now).problem).not.toBeNull()
    expect(judgePlace({ id: 'freezer', place: place('shelf', 18) }, warm, now).problem).toBeNull()
  })
})

describe('what to use first', () => {
  it('is what presses most: to be thrown away, to be cooked today, to be frozen, then by how long it lasts', () => {
    const lots = [
      { id: 'fine', lot: lot() },
      { id: 'old', lot: lot({ ageIceDays: { low: 10, typical: 11, high: 12 } }) },
      { id: 'spent', lot: lot({ ageIceDays: { low: 13, typical: 14, high: 15 } }) },
      { id: 'gone', lot: lot({ state: 'used' }) },
      { id: 'late', lot: lot({ servings: ['s'] }) },
      { id: 'strange', lot: lot({ offerId: 'no.such' }) },
    ]
    const servings = [{ id: 's', dish: 'Supper', eatenMs: BEGAN + 300 * HOUR }]
    const plan = planUseFirst({ lots, places: PLACES, readings: [], servings, offers: [LEAN], nowMs: BEGAN })
    expect(plan.lots.map(({ id, advice }) => [id, advice])).toEqual([
      ['spent', 'throw'],
      ['old', 'use-now'],
      ['late', 'freeze'],
      ['fine', 'fine'],
    ])
    expect(plan.places.map(({ id }) => id)).toEqual(['fridge', 'freezer'])
  })
})
