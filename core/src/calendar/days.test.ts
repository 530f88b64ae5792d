import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays, countDays, dayOfYear, dayOfYearOf, isDay, toCivil, toDayNumber, toIsoDate, weekdayOf } from './index.ts'

describe('days', () => {
  it('are known by their number, and back, and a week later is the same day of the week', () => {
    fc.assert(
      fc.property(fc.integer({ min: -20_000, max: 60_000 }), (day) => {
        const date = toIsoDate(day)
        expect(toDayNumber(date)).toBe(day)
        expect(dayOfYearOf(day)).toBe(dayOfYear(date))
        const { year, month, dayOfMonth } = toCivil(day)
        expect(`${year}-${String(month).padStart(2, '0')}-${String(dayOfMonth).padStart(2, '0')}`).toBe(date)
        expect(weekdayOf(addDays(date, 7))).toBe(weekdayOf(date))
        expect(weekdayOf(addDays(date, 1))).toBe((weekdayOf(date) % 7) + 1)
      }),
      { seed: 301 },
    )
  })

  it('are told from what is none', () => {
    expect(['2026-02-29', '2028-02-29', '0000-01-01', '0001-01-01', '2026-13-01', '2026-1-1', '', 20260101, null].map(isDay)).toEqual([
      false,
      true,
      false,
      true,
      false,
      false,
      false,
      false,
      false,
    ])
    expect(countDays('2026-02-27', '2026-03-01')).toBe(2)
  })

  it('have the names of the calendar', () => {
    expect([weekdayOf('2026-11-23'), weekdayOf('2026-11-29'), weekdayOf('1969-12-31')]).toEqual([1, 7, 3])
    expect([dayOfYear('2026-01-01'), dayOfYear('2026-12-31'), dayOfYear('2028-12-31'), dayOfYear('2028-03-01')]).toEqual([1, 365, 366, 61])
    expect(addDays('2028-02-28', 2)).toBe('2028-03-01')
  })
})
