import type { OrderDay } from '@tender-gill/contract'
import { addDays, weekdayOf } from '@tender-gill/core'
import { describeDay } from '../reader/index.ts'

export const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const
export const nameWeekday = (date: string): string => WEEKDAYS[weekdayOf(date) - 1] ?? ''

/** A day as people in a kitchen say it: today, tomorrow, by its weekday within a week, else by its date. */
export function sayDay(date: string, today: string): string {
  if (date === today) return 'today'
  if (date === addDays(today, 1)) return 'tomorrow'
  return date > today && date < addDays(today, 7) ? nameWeekday(date) : describeDay(date)
}

/** Until when to order, and for which day. */
export const sayOrder = ({ delivery, orderBy }: OrderDay, today: string): string =>
  `order by ${orderBy.time} ${sayDay(orderBy.date, today)} for ${sayDay(delivery, today)}`
