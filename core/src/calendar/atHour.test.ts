import { describe, expect, it } from 'vitest'
import { atHour, clockIn, dateIn } from './index.ts'

describe('an hour of a day in a zone', () => {
  it.each([
    ['2026-06-13', 18, 'UTC', '2026-06-13T18:00:00.000Z'],
    ['2026-06-13', 18, 'Atlantic/Azores', '2026-06-13T18:00:00.000Z'],
    ['2026-12-13', 18, 'Europe/Berlin', '2026-12-13T17:00:00.000Z'],
    ['2026-06-13', 18, 'Europe/Berlin', '2026-06-13T16:00:00.000Z'],
    ['2026-06-13', 24, 'Pacific/Auckland', '2026-06-13T12:00:00.000Z'],
    // The night on which the clocks go forward, and the one on which they go back.
    ['2026-03-29', 1, 'Europe/Berlin', '2026-03-29T00:00:00.000Z'],
    ['2026-03-29', 18, 'Europe/Berlin', '2026-03-29T16:00:00.000Z'],
    ['2026-10-25', 18, 'Europe/Berlin', '2026-10-25T17:00:00.000Z'],
  ])('%s %d:00 in %s is %s', (date, hour, zone, moment) => {
    expect(new Date(atHour(date, hour, zone)).toISOString()).toBe(moment)
  })
})

describe('a moment in a zone', () => {
  it.each([
    ['2026-06-13T22:30:00Z', 'UTC', '2026-06-13', '22:30'],
    ['2026-06-13T22:30:00Z', 'Europe/Berlin', '2026-06-14', '00:30'],
    ['2026-06-13T22:30:00Z', 'Pacific/Auckland', '2026-06-14', '10:30'],
    ['2026-12-31T23:59:59Z', 'Atlantic/Azores', '2026-12-31', '22:59'],
  ])('%s in %s is %s, %s', (moment, zone, date, hour) => {
    expect([dateIn(zone, Date.parse(moment)), clockIn(zone, Date.parse(moment))]).toEqual([date, hour])
  })

  it('is told of no zone that is none, and of no moment that is none', () => {
    expect(() => dateIn('Marrow/Sound', 0)).toThrow(RangeError)
    expect(() => clockIn('UTC', NaN)).toThrow(RangeError)
  })
})
