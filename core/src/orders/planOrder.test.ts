import type { Merchant } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays, weekdayOf } from '../calendar/index.ts'
import { planOrder } from './index.ts'
import { cases } from '../testing/cases.ts'

const merchant: Merchant = { name: 'Holt', delivers: [2, 4, 6], orderBy: '18:00', daysAhead: 1, minimumOrder: null, feed: null }
/** A Wednesday. */
const WEDNESDAY = '2026-06-10'

describe('until when to order', () => {
  it('is the evening before for tomorrow, and the last minute still counts', () => {
    expect(planOrder(merchant, { date: WEDNESDAY, time: '18:00' })).toEqual({
      merchant: 'Holt',
      delivery: '2026-06-11',
      orderBy: { date: WEDNESDAY, time: '18:00' },
    })
    expect(planOrder(merchant, { date: WEDNESDAY, time: '18:01' })?.delivery).toBe('2026-06-13')
  })

  it('is for the last delivery on or before the day of a dish', () => {
    expect(planOrder(merchant, { date: WEDNESDAY, time: '09:00' }, '2026-06-19')?.delivery).toBe('2026-06-18')
    expect(planOrder(merchant, { date: WEDNESDAY, time: '19:00' }, '2026-06-12')).toBeNull()
    expect(planOrder(merchant, { date: WEDNESDAY, time: '09:00' }, '2026-06-09')).toBeNull()
  })

  it('passes over days without delivery', () => {
    expect(planOrder({ ...merchant, closed: ['2026-06-11'] }, { date: WEDNESDAY, time: '09:00' })?.delivery).toBe('2026-06-13')
    expect(planOrder({ ...merchant, delivers: [] }, { date: WEDNESDAY, time: '09:00' })).toBeNull()
  })

  it('always names a day of delivery whose last hour is still to come, and none better was passed over', () => {
    const arbitrary = fc.record({
      delivers: fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { maxLength: 7 }),
      daysAhead: fc.nat(4),
      day: fc.nat(60),
      hour: fc.integer({ min: 10, max: 23 }),
      within: fc.option(fc.nat(20)),
    })
    fc.assert(
      fc.property(arbitrary, ({ delivers, daysAhead, day, hour, within }) => {
        const now = { date: addDays(WEDNESDAY, day), time: `${hour}:30` }
        const wanted = within === null ? null : addDays(now.date, within)
        const one = { ...merchant, delivers, daysAhead }
        const had = Array.from({ length: 29 }, (_, i) => addDays(now.date, i)).filter((delivery) => {
          const last = addDays(delivery, -daysAhead)
          const open = last > now.date || (last === now.date && '18:00' >= now.time)
          return delivers.includes(weekdayOf(delivery)) && open && (wanted === null || delivery <= wanted)
        })
        expect(planOrder(one, now, wanted)?.delivery).toBe(wanted === null ? had[0] : had.at(-1))
      }),
      { seed: 310, numRuns: cases(300) },
    )
  })
})
