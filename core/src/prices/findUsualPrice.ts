import { dayOfYearOf } from '../calendar/index.ts'
import { median, type PriceDay } from './priceDays.ts'

/** Days that count towards what a fish usually costs: this year and the one before. */
const YEARS_DAYS = 800
const YEAR_DAYS = 365
const LEAST_DAYS = 5
/** How near in the calendar a price must be to speak for a day, as the standard deviation of its weight: half a month to each side. */
const NEAR_DAYS = 15
/** Prices of the last days are those of now, not the usual ones. */
const NOW_DAYS = 7
/** Together at least this weight of prices near the day, else the year's middle stands for it. */
const LEAST_WEIGHT = 1.5

/** Days between two days of the calendar, whatever their years, 0..182. */
function daysApart(a: number, b: number): number {
  const apart = Math.abs(dayOfYearOf(a) - dayOfYearOf(b))
  return Math.min(apart, 365 - Math.min(apart, 365))
}

/** The value at which half of the weight lies below. @param values with their weights, any order */
function weightedMedian(values: readonly (readonly [value: number, weight: number])[]): number {
  const sorted = [...values].sort(([a], [b]) => a - b)
  const half = sorted.reduce((sum, [, weight]) => sum + weight, 0) / 2
  let below = 0
  for (const [value, weight] of sorted) {
    below += weight
    if (below >= half) return value
  }
  return sorted.at(-1)?.[0] ?? Number.NaN
}

/**
 * What a kilogram usually costs at this time of the year: the middle of what it cost around this day of the calendar, this year and the one
 * before, the nearer days the more; the last week, which is what is held against it, left out. It lies within what was really asked at that
 * time. Where nothing was asked then, the middle of the last year.
 * @param all quotes gathered by day, oldest first
 * @returns in the unit of the quotes; null with fewer than five days of quotes in the last year
 */
export function findUsualPrice(all: readonly PriceDay[], day: number): number | null {
  const days = all.filter((one) => one.day <= day && one.day > day - YEARS_DAYS)
  const lastYear = days.filter((one) => one.day > day - YEAR_DAYS)
  if (lastYear.length < LEAST_DAYS) return null
  const near = days.flatMap((one: PriceDay): (readonly [number, number])[] => {
    const apart = daysApart(one.day, day)
    return one.day > day - NOW_DAYS || apart > 3 * NEAR_DAYS ? [] : [[one.logPerKg, Math.exp(-0.5 * (apart / NEAR_DAYS) ** 2)]]
  })
  const weight = near.reduce((sum, [, one]) => sum + one, 0)
  return Math.exp(weight >= LEAST_WEIGHT ? weightedMedian(near) : median(lastYear.map(({ logPerKg }) => logPerKg)))
}
