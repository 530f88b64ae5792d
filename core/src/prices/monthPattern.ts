import { interpolateDay } from '../market/season.ts'
import { dayOfYearOf, toCivil } from '../calendar/index.ts'
import { median, type PriceDay } from './priceDays.ts'
import { shrink } from './followPrice.ts'

/** Twelve log differences from the year's own middle, January first. */
export type MonthPattern = readonly number[]

export const FLAT_YEAR: MonthPattern = new Array<number>(12).fill(0)
/** A pattern needs a year to be one. */
const LEAST_MONTHS = 10
/** Quotes on days this close together say one thing. */
const APART_DAYS = 7

const monthOf = (day: number): number => toCivil(day).month - 1

/**
 * How prices of one series stand in each month against the middle of their year; flat unless nearly every month is known. One winter may be
 * chance, so each month is shrunk to the pattern of the group by n/(n+3), n the weeks on which there were quotes in it. A month without any
 * takes the group's, or stands between its neighbours.
 */
export function findMonthPattern(days: readonly PriceDay[], group: MonthPattern = FLAT_YEAR): MonthPattern {
  const months = Array.from({ length: 12 }, () => new Map<number, number[]>())
  for (const { day, logPerKg } of days) {
    const weeks = months[monthOf(day)]
    const week = Math.floor(day / APART_DAYS)
    weeks?.set(week, [...(weeks.get(week) ?? []), logPerKg])
  }
  const known = months.map((weeks) => ({ weeks: weeks.size, values: [...weeks.values()].map(median) }))
  if (known.filter(({ weeks }) => weeks > 0).length < LEAST_MONTHS) return group
  const middles = known.map(({ values }) => (values.length > 0 ? median(values) : null))
  const present = middles.flatMap((middle) => (middle === null ? [] : [middle]))
  const year = present.reduce((sum, middle) => sum + middle, 0) / present.length
  const own = middles.map((middle, month) => {
    if (middle === null) return null
    const share = shrink(known[month]?.weeks ?? 0)
    return share * (middle - year) + (1 - share) * (group[month] ?? 0)
  })
  return own.map((value, month) => value ?? (group === FLAT_YEAR ? bridge(own, month) : (group[month] ?? 0)))
}

/** A month of which nothing is known, on the straight line between the nearest that are. */
function bridge(months: readonly (number | null)[], month: number): number {
  const away = (step: 1 | -1) => {
    for (let by = 1; by < 12; by += 1) {
      const value = months[(month + step * by + 12) % 12]
      if (value !== null && value !== undefined) return { by, value }
    }
    return { by: 1, value: 0 }
  }
  const [before, after] = [away(-1), away(1)]
  return (before.value * after.by + after.value * before.by) / (before.by + after.by)
}

/** The pattern on a day, straight between mid-months. */
export const readPattern = (pattern: MonthPattern, day: number): number =>
  pattern === FLAT_YEAR ? 0 : interpolateDay(pattern, dayOfYearOf(day))
