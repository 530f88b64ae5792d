import type { Range } from '@tender-gill/contract'
import { ALONE_HALF_RANGE, followPrice, MOST_DAYS_FOLLOWED, shrink, spreadOver } from './followPrice.ts'
import { STILL_GROUP, type GroupMove } from './groupMove.ts'
import { createPatternReader, findMonthPattern } from './monthPattern.ts'
import { gatherDays, type PriceDay, type PriceQuote } from './priceDays.ts'

/** Price of a kilogram on a day, and what it rests on. */
export interface PriceEstimate {
  readonly perKg: Range
  readonly quotes: number
  /** Days between the last quote and the day asked for. */
  readonly ageDays: number
  readonly halfLifeDays: number
  /** Days set aside as slips. */
  readonly slips: number
}

const RECENT_HALF_LIFE_DAYS = 14
/** What is left of a quote's weight after so many days; what is older than these is reckoned as asked. */
const RECENT_WEIGHTS = Float64Array.from({ length: 1024 }, (_, days) => 0.5 ** (days / RECENT_HALF_LIFE_DAYS))
const weighRecent = (days: number): number => RECENT_WEIGHTS[days] ?? 0.5 ** (days / RECENT_HALF_LIFE_DAYS)
/** With this many recent quotes of its own a fish hardly needs its group. */
const OWN_IS_ENOUGH = 0.9

/**
 * Estimates a price from the quotes up to a day: the month's pattern taken out, older quotes moved with the group as far as the fish's own
 * are few (1 - n/(n+3), n the recent quotes), followed by decaying weights, the month put back; a price of the very day stands as it is. low and high are the 5th and 95th percentile
 * of what is asked on that day. Quotes after the day count for nothing.
 * @param quotes of one offer in one form, any order   @param groupOf the movement of the rest of its group, asked for only when needed
 * @returns undefined when there is no quote up to the day
 */
export function estimatePrice(quotes: readonly PriceQuote[], day: number, groupOf?: () => GroupMove): PriceEstimate | undefined {
  return estimateFromDays(gatherDays(quotes), day, groupOf)
}

/** The same from quotes that were gathered by day: asked again for many days, they are gathered once. @param all oldest first */
export function estimateFromDays(
  all: readonly PriceDay[],
  day: number,
  groupOf: () => GroupMove = () => STILL_GROUP,
): PriceEstimate | undefined {
  const days = (all.at(-1)?.day ?? day) <= day ? all : all.filter((one) => one.day <= day)
  const last = days.at(-1)
  if (!last) return undefined
  let recent = 0
  let quotes = 0
  for (const one of days) {
    recent += weighRecent(day - one.day)
    quotes += one.quotes
  }
  const own = shrink(recent)
  const group = own < OWN_IS_ENOUGH ? groupOf() : STILL_GROUP
  const pattern = findMonthPattern(days, group.pattern)
  const patternOn = createPatternReader(pattern)
  const now = group.indexOn(day)
  const moved = days.slice(-MOST_DAYS_FOLLOWED).map((one): PriceDay => ({
    ...{ day: one.day, quotes: one.quotes, certain: one.certain },
    logPerKg: one.logPerKg - patternOn(one.day) + (1 - own) * (now - group.indexOn(one.day)),
  }))
  const { level, halfRange, halfLifeDays, slips, lastTaken } = followPrice(moved)
  // A price asked on the very day is what is paid on it, unless it was set aside.
  const typical = last.day === day && lastTaken ? last.logPerKg : level + patternOn(day)
  const half = Math.min(2, Math.max(halfRange, days.length === 1 ? ALONE_HALF_RANGE : 0) * spreadOver(day - last.day))
  return {
    perKg: { low: Math.exp(typical - half), typical: Math.exp(typical), high: Math.exp(typical + half) },
    quotes,
    ageDays: day - last.day,
    halfLifeDays,
    slips,
  }
}
