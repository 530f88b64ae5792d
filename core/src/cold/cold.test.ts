import type { ColdRequest, ColdStretch, Journey } from '@tender-gill/contract'
import { parseCold } from '@tender-gill/contract/validators'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { buildOffer } from '../testing/builders.ts'
import { told } from '../testing/told.ts'
import { answerCold, computeIceKg, sumIceDays } from './index.ts'
import { cases } from '../testing/cases.ts'

const LEAN = buildOffer('Piscis lentus', {})
const FROZEN = buildOffer('Piscis lentus', { state: 'frozen' })
const TUNNY = buildOffer('Piscis rubens', { histamine: true, storage: 'oily' })
const SHEET = { offers: [LEAN, FROZEN, TUNNY] }
type Told = readonly (readonly [hours: number, celsius: number | null])[]
const H = (...stretches: Told): ColdStretch[] => stretches.map(([hours, celsius]) => ({ hours, celsius }))
const keep = (history: ColdStretch[], patch: Partial<ColdRequest> = {}) => {
  const answer = answerCold({ fish: 'Piscis lentus', history, ...patch }, SHEET)
  if (!answer.ok) throw new Error(JSON.stringify(told(answer.error)))
  return answer.value
}
const stops = (...history: Told) => keep(H(...history), { fish: 'Piscis rubens' }).histamine.stop

describe('the ice clock', () => {
  it.each([
    [H([48, 4]), 3.92],
    [H([1, 22], [0.5, 30], [24, 5]), 3.01],
    [H([96, 0], [1, 8], [36, 5]), 7.51],
    [H([3, 25]), 1.53],
    [H([24, -1]), 0.81],
    [H([240, -20]), 0],
    [H([48, -5]), 0.5],
    [H([24, null]), 6.25],
  ])('%j is worth %f days on ice', (history, days) => {
    expect(sumIceDays(history)).toBeCloseTo(days, 2)
  })

  it('takes the age and the history from what it keeps, and is not cut at nothing', () => {
    const { leftDays, leftHoursAt, iceDays } = keep(H([48, 4]))
    expect(iceDays).toBeCloseTo(3.92, 9)
    expect(leftDays.low).toBeCloseTo(12 - 6 - 3.92, 9)
    expect(leftDays.typical).toBeCloseTo(12 - 3 - 3.92, 9)
    expect(leftDays.high).toBeCloseTo(12 - 1 - 3.92, 9)
    expect(leftHoursAt.find(({ celsius }) => celsius === 4)?.hours).toBeCloseTo((5.08 * 24) / 1.96, 9)
    expect(keep(H([240, 4])).leftDays.typical).toBeLessThan(0)
    expect(keep([], { offer: FROZEN.id }).leftDays).toEqual({ low: 9, typical: 9, high: 9 })
    expect(keep([], { ageIceDays: { low: 0, typical: 1, high: 2 }, use: 'raw' }).leftDays).toEqual({ low: 4, typical: 5, high: 6 })
  })

  it('runs the same however a stretch is split, and never back', () => {
    const stretch = fc.record({
      hours: fc.double({ min: 0, max: 90, noNaN: true }),
      celsius: fc.double({ min: -20, max: 40, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.array(stretch, { maxLength: 5 }), stretch, fc.double({ min: 0, max: 1, noNaN: true }), (before, one, share) => {
        const split = [
          { ...one, hours: one.hours * share },
          { ...one, hours: one.hours * (1 - share) },
        ]
        expect(sumIceDays([...before, ...split])).toBeCloseTo(sumIceDays([...before, one]), 6)
        expect(sumIceDays([...before, one])).toBeGreaterThanOrEqual(sumIceDays(before))
      }),
      { numRuns: cases(120) },
    )
  })

  it('says in words what is left, and is told by its schema', () => {
    const answer = told(keep(H([48, 4]), { journey: { massKg: 1, startC: 12, ambientC: 20, hours: 2, box: 'eps-20l' } }))
    expect(parseCold(answer)).toMatchObject({ ok: true })
    expect(answer.sentence).toBe('5.1 days on ice left (2.1 to 7.1).')
    expect(told(keep(H([240, 4]))).sentence).toBe('Past its time by 10.6 days on ice.')
    expect(told(keep(H([120, 4]))).sentence).toBe(
      'Past its time by 0.8 days on ice; it would do only if it was younger than usual when bought.',
    )
    expect(told(keep(H([16, 20]))).cautions.map(({ sentence }) => sentence)).toEqual([
      'Above 15 °C the keeping estimate is only a hint. Put it on ice.',
      'If it was already old when bought, nothing is left of its time. Look at it and smell it before you use it.',
    ])
  })

  it('refuses an age upside down, with its place', () => {
    const answer = answerCold({ fish: 'Piscis lentus', history: [], ageIceDays: { low: 3, typical: 2, high: 4 } }, SHEET)
    expect(answer.ok ? [] : told(answer.error)).toEqual([
      { path: '/ageIceDays', message: 'must run from its lower end over its middle to its upper end' },
    ])
  })
})

describe('histamine', () => {
  it.each([
    [[[5, 24]], true],
    [[[2, 24]], false],
    [[[4, 12]], false],
    [[[8, 9]], false],
    [[[9, 4.5]], true],
    [[[30, 4.4]], false],
    [
      [
        [3, 10],
        [3, 21],
      ],
      false,
    ],
    [
      [
        [1.2, 22],
        [40, 0],
        [1.2, 23],
      ],
      true,
    ],
    [
      [
        [24, 0],
        [1, null],
      ],
      true,
    ],
    [
      [
        [24, 0],
        [0, null],
      ],
      false,
    ],
  ] as const)('%j stops it: %s', (history, stop) => {
    expect(stops(...history)).toBe(stop)
  })

  it('stops no other fish, and once stopped stays so', () => {
    expect(keep(H([40, 25], [1, null])).histamine).toMatchObject({ former: false, stop: false, anyAbove21: true })
    const stretch = fc.tuple(fc.integer({ min: 0, max: 12 }), fc.integer({ min: -5, max: 30 }))
    fc.assert(
      fc.property(fc.array(stretch, { minLength: 1, maxLength: 6 }), stretch, (before, after) => {
        fc.pre(stops(...before))
        expect(stops(...before, after)).toBe(true)
      }),
      { numRuns: cases(80) },
    )
  })

  it('says that cooking does not undo it', () => {
    const { sentence, cautions } = told(keep(H([5, 24]), { fish: 'Piscis rubens' }))
    expect(sentence).toBe('Throw it away.')
    expect(cautions[0]?.sentence).toContain('cooking does not undo it')
    expect(told(keep(H([1, 9]), { fish: 'Piscis rubens' })).cautions[0]?.sentence).toContain('9 °C is too warm for it')
  })
})

describe('ice for a journey', () => {
  const J = (massKg: number, startC: number, ambientC: number, hours: number, box: Journey['box']): Journey => ({
    ...{ massKg, startC, ambientC, hours, box },
  })
  it.each([
    [J(1, 12, 20, 2, 'eps-20l'), 0.54],
    [J(2, 12, 25, 4, 'eps-20l'), 1.27],
    [J(2, 12, 25, 4, 'thin-bag'), 2.75],
    [J(3, 12, 30, 8, 'open-tray'), 13.4],
    [J(2, 12, 25, 4, 'cooler'), 0.997],
    [J(2, -1, 25, 4, 'eps-20l'), 0.943],
    [J(2, 12, -5, 4, 'eps-20l'), 0.323],
  ])('%j takes %f kg', (journey, kg) => {
    expect(Math.abs(computeIceKg(journey) / kg - 1)).toBeLessThan(0.01)
  })

  it('adds nothing to the history', () => {
    expect(keep([], { journey: J(2, 12, 30, 8, 'thin-bag') }).iceDays).toBe(0)
  })
})
