import { describe, expect, it } from 'vitest'
import { atHour } from './index.ts'

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
