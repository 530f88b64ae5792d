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

/** The middle of each week on which there were quotes, by the month it lies in. @param days oldest first */
function gatherWeeks(days: readonly PriceDay[]): readonly (readonly number[])[] {
  const months = Array.from({ length: 12 }, (): number[] => [])
  let own: number[] = []
  let open = { week: Number.NaN, month: Number.NaN }
  const close = () => {
    if (own.length > 0) months[open.month]?.push(median(own))
    own = []
  }
  for (const { day, logPerKg } of days) {
    const week = Math.floor(day / APART_DAYS)
    const month = monthOf(day)
    if (week !== open.week || month !== open.month) {
      close()
      open = { week, month }
    }
    own.push(logPerKg)
  }
  close()
  return months
}

/**
 * How prices of one series stand in each month against the middle of their year; flat unless nearly every month is known. One winter may be
 * chance, so each month is shrunk to the pattern of the group by n/(n+3), n the weeks on which there were quotes in it. A month without any
 * takes the group's, or stands between its neighbours.
 * @param days oldest first
 */
export function findMonthPattern(days: readonly PriceDay[], group: MonthPattern = FLAT_YEAR): MonthPattern {
  const months = gatherWeeks(days)
  if (months.filter((weeks) => weeks.length > 0).length < LEAST_MONTHS) return group
  const middles = months.map((weeks) => (weeks.length > 0 ? median(weeks) : null))
  const present = middles.flatMap((middle) => (middle === null ? [] : [middle]))
  const year = present.reduce((sum, middle) => sum + middle, 0) / present.length
  const own = middles.map((middle, month) => {
    if (middle === null) return null
    const share = shrink(months[month]?.length ?? 0)
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

/** How to read a pattern on a day: straight between mid-months. Many days are asked for; a day of the year is worked out once. */
export function createPatternReader(pattern: MonthPattern): (day: number) => number {
  if (pattern === FLAT_YEAR) return () => 0
  const year = new Float64Array(367).fill(Number.NaN)
  return (day) => {
    const ofYear = dayOfYearOf(day)
    const ready = year[ofYear]
    if (ready !== undefined && !Number.isNaN(ready)) return ready
    const value = interpolateDay(pattern, ofYear)
    year[ofYear] = value
    return value
  }
}
