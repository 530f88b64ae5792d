import { findMonthPattern, readPattern } from './monthPattern.ts'
import { gatherDays, median, type PriceQuote } from './priceDays.ts'

/** Days that count as a year of prices. */
const YEAR_DAYS = 365
const LEAST_DAYS = 5

/**
 * What a kilogram usually costs at this time of the year: the middle of the last year's prices with the month's pattern put on it, where a
 * year is known; else that middle alone. It is what today's price is held against.
 * @returns null with fewer than five days of quotes
 */
export function findUsualPrice(quotes: readonly PriceQuote[], day: number): number | null {
  const days = gatherDays(quotes.filter((quote) => quote.day <= day && quote.day > day - YEAR_DAYS))
  if (days.length < LEAST_DAYS) return null
  const pattern = findMonthPattern(days)
  return Math.exp(median(days.map((one) => one.logPerKg - readPattern(pattern, one.day))) + readPattern(pattern, day))
}
