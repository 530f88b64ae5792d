import { interpolateYear } from '../market/season.ts'
import { toIsoDate } from '../calendar/index.ts'
import { median, type PriceDay } from './priceDays.ts'
import { shrink } from './followPrice.ts'

/** Twelve log differences from the year's own middle, January first. */
export type MonthPattern = readonly number[]

export const FLAT_YEAR: MonthPattern = new Array<number>(12).fill(0)
/** A pattern needs a year to be one. */
const LEAST_MONTHS = 10
/** Quotes on days this close together say one thing. */
const APART_DAYS = 7

const monthOf = (day: number): number => Number(toIsoDate(day).slice(5, 7)) - 1

/**
 * How prices of one series stand in each month against the middle of their year; flat unless nearly every month is known. One winter may be
 * chance, so each month is shrunk to the pattern of the group by n/(n+3), n the weeks on which there were quotes in it.
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
  return middles.map((middle, month) => {
    const share = middle === null ? 0 : shrink(known[month]?.weeks ?? 0)
    return share * ((middle ?? year) - year) + (1 - share) * (group[month] ?? 0)
  })
}

/** The pattern on a day, straight between mid-months. */
export const readPattern = (pattern: MonthPattern, day: number): number =>
  pattern === FLAT_YEAR ? 0 : interpolateYear(pattern, toIsoDate(day))
