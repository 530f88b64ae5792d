import type { Merchant, OrderDay } from '@tender-gill/contract'
import { addDays, weekdayOf } from '../calendar/index.ts'

/** A moment in the kitchen's zone. */
export interface LocalMoment {
  readonly date: string
  /** As 21:00. */
  readonly time: string
}

const LOOKED_AHEAD_DAYS = 28
const isBefore = (a: LocalMoment, b: LocalMoment): boolean => a.date < b.date || (a.date === b.date && a.time <= b.time)

/** When an order for a delivery must be in. */
export const findDeadline = ({ daysAhead, orderBy }: Merchant, delivery: string): LocalMoment => ({
  date: addDays(delivery, -daysAhead),
  time: orderBy,
})
const delivers = ({ delivers: days, closed = [] }: Merchant, date: string): boolean =>
  days.includes(weekdayOf(date)) && !closed.includes(date)

/**
 * The delivery to order for: the next that can still be had, or, for a dish with a day, the last that can still be had on or before it (the
 * fish is freshest). Both in the kitchen's zone; the last hour itself still counts.
 * @returns null when none can be had within four weeks, or none in time
 */
export function planOrder(merchant: Merchant, now: LocalMoment, wantedFor: string | null = null): OrderDay | null {
  const step = wantedFor === null ? 1 : -1
  let day = wantedFor ?? now.date
  for (let looked = 0; looked <= LOOKED_AHEAD_DAYS && day >= now.date; looked += 1) {
    const orderBy = delivers(merchant, day) ? findDeadline(merchant, day) : null
    if (orderBy && isBefore(now, orderBy)) return { merchant: merchant.name, delivery: day, orderBy }
    day = addDays(day, step)
  }
  return null
}
