import { gatherDays, median, type PriceDay, type PriceQuote } from './priceDays.ts'
import { FLAT_YEAR, findMonthPattern, readPattern, type MonthPattern } from './monthPattern.ts'

/** Half-life of the weights of a group's index, days. */
const GROUP_HALF_LIFE_DAYS = 14

/** How the prices of a group have moved together. */
export interface GroupMove {
  readonly pattern: MonthPattern
  /** Log of the group's index on a day, the month's pattern taken out; differences alone mean anything. */
  readonly indexOn: (day: number) => number
}

export const STILL_GROUP: GroupMove = { pattern: FLAT_YEAR, indexOn: () => 0 }

const centre = (quotes: readonly PriceQuote[]): readonly PriceQuote[] => {
  const middle = median(quotes.map(({ logPerKg }) => logPerKg))
  return quotes.map(({ day, logPerKg }) => ({ day, logPerKg: logPerKg - middle }))
}

interface IndexPoint {
  readonly day: number
  readonly level: number
}

function smooth(days: readonly PriceDay[]): readonly IndexPoint[] {
  const points: IndexPoint[] = []
  let weight = 0
  let level = 0
  let last = days[0]?.day ?? 0
  for (const { day, logPerKg, quotes } of days) {
    weight = weight * 0.5 ** ((day - last) / GROUP_HALF_LIFE_DAYS) + quotes
    level += ((logPerKg - level) * quotes) / weight
    points.push({ day, level })
    last = day
  }
  return points
}

/**
 * The common movement of several series, each about its own middle so that a dear fish weighs no more than a cheap one; robust by the median
 * of each day.
 * @param series quotes of each, log price; empty ones are passed over
 */
export function findGroupMove(series: readonly (readonly PriceQuote[])[]): GroupMove {
  const centred = series.filter((quotes) => quotes.length > 0).flatMap(centre)
  if (centred.length === 0) return STILL_GROUP
  const days = gatherDays(centred)
  const pattern = findMonthPattern(days)
  const points = smooth(days.map((day) => ({ ...day, logPerKg: day.logPerKg - readPattern(pattern, day.day) })))
  return {
    pattern,
    indexOn: (day) => {
      let from = 0
      let to = points.length
      while (from < to) {
        const middle = (from + to) >> 1
        if ((points[middle]?.day ?? 0) <= day) from = middle + 1
        else to = middle
      }
      return (points[Math.max(0, from - 1)] ?? { level: 0 }).level
    },
  }
}
