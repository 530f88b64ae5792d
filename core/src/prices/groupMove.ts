import { orderByDay } from './orderByDay.ts'
import { median, middleBetween, type PriceDay } from './priceDays.ts'
import type { Quotes } from './quotes.ts'
import { FLAT_YEAR, createPatternReader, findMonthPattern, type MonthPattern } from './monthPattern.ts'

/** Half-life of the weights of a group's index, days. */
const GROUP_HALF_LIFE_DAYS = 14

/** How the prices of a group have moved together. */
export interface GroupMove {
  readonly pattern: MonthPattern
  /** Log of the group's index on a day, the month's pattern taken out; differences alone mean anything. */
  readonly indexOn: (day: number) => number
}

export const STILL_GROUP: GroupMove = { pattern: FLAT_YEAR, indexOn: () => 0 }

/** What was asked for one fish of a group in one way. */
export interface MemberSeries {
  readonly member: string
  readonly quotes: Pick<Quotes, 'day' | 'logPerKg'>
}

/**
 * What was asked for a whole group, oldest first and ascending within a day: each about the middle of its own series, so that a dear fish
 * weighs no more than a cheap one, and beside it whose it is.
 */
interface GroupQuotes {
  readonly day: Int32Array
  readonly log: Float64Array
  readonly member: Uint16Array
}

/** The index of a group on each day from its first to its last, the pattern of its year taken out; it stays where nothing was asked. */
function smooth(days: readonly PriceDay[], patternOn: (day: number) => number): Float64Array {
  const first = days[0]?.day ?? 0
  const levels = new Float64Array((days.at(-1)?.day ?? first) - first + 1)
  let weight = 0
  let level = 0
  let last = first
  for (const { day, logPerKg, quotes } of days) {
    levels.fill(level, last - first, day - first)
    weight = weight * 0.5 ** ((day - last) / GROUP_HALF_LIFE_DAYS) + quotes
    level += ((logPerKg - patternOn(day) - level) * quotes) / weight
    levels[day - first] = level
    last = day
  }
  return levels
}

function gatherGroup(series: readonly MemberSeries[], numberOf: (member: string) => number): GroupQuotes {
  const count = series.reduce((sum, { quotes }) => sum + quotes.day.length, 0)
  const [day, log, member] = [new Int32Array(count), new Float64Array(count), new Uint16Array(count)]
  let at = 0
  for (const { member: name, quotes } of series) {
    if (quotes.day.length === 0) continue
    const middle = median(quotes.logPerKg)
    day.set(quotes.day, at)
    log.set(
      quotes.logPerKg.map((one) => one - middle),
      at,
    )
    member.fill(numberOf(name), at, at + quotes.day.length)
    at += quotes.day.length
  }
  const order = orderByDay(day, log)
  const [days, logs, members] = [new Int32Array(count), new Float64Array(count), new Uint16Array(count)]
  for (let i = 0; i < count; i += 1) {
    const place = order[i] ?? 0
    days[i] = day[place] ?? 0
    logs[i] = log[place] ?? 0
    members[i] = member[place] ?? 0
  }
  return { day: days, log: logs, member: members }
}

/** The middle of each day, one member left out. */
function readGroupDays({ day, log, member }: GroupQuotes, without: number | undefined): readonly PriceDay[] {
  const days: PriceDay[] = []
  const others = new Float64Array(day.length)
  for (let from = 0, to = 0; from < day.length; from = to) {
    const on = day[from] ?? 0
    let count = 0
    for (; to < day.length && day[to] === on; to += 1) {
      if (member[to] === without) continue
      others[count] = log[to] ?? 0
      count += 1
    }
    if (count > 0) days.push({ day: on, logPerKg: middleBetween(others, 0, count), quotes: count, certain: false })
  }
  return days
}

function follow(days: readonly PriceDay[]): GroupMove {
  if (days.length === 0) return STILL_GROUP
  const pattern = findMonthPattern(days)
  const patternOn = createPatternReader(pattern)
  const first = days[0]?.day ?? 0
  const levels = smooth(days, patternOn)
  return { pattern, indexOn: (day) => levels[Math.min(levels.length - 1, Math.max(0, day - first))] ?? 0 }
}

/**
 * The common movement of a group: the median of each day, robust against the slip of one. The group is gathered once, however many of its
 * members ask how the others moved.
 * @returns how all of the group moved without one member, or with all of them where none is named
 */
export function gatherGroupMoves(series: readonly MemberSeries[]): (without?: string) => GroupMove {
  const numbers = new Map([...new Set(series.map(({ member }) => member))].map((member, i) => [member, i]))
  let gathered: GroupQuotes | undefined
  return (without) => {
    const left = without === undefined ? undefined : numbers.get(without)
    if (left !== undefined && numbers.size === 1) return STILL_GROUP
    gathered ??= gatherGroup(series, (member) => numbers.get(member) ?? 0)
    return follow(readGroupDays(gathered, left))
  }
}
