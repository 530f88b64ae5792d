import { median, middleOf, type PriceDay, type PriceQuote } from './priceDays.ts'
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

/** What was asked for one fish of a group in one way, by day, in any order. */
export interface MemberSeries {
  readonly member: string
  readonly days: readonly { readonly quotes: readonly PriceQuote[] }[]
}

/**
 * What was asked on one day, each about the middle of its own series so that a dear fish weighs no more than a cheap one: log prices,
 * ascending, and beside them whose each is. Numbers apart from objects: a group has a hundred thousand of them.
 */
interface GroupDay {
  readonly day: number
  readonly logs: number[]
  readonly members: number[]
}

interface IndexPoint {
  readonly day: number
  readonly level: number
}

/** The index of a group, the pattern of its year taken out. */
function smooth(days: readonly PriceDay[], patternOn: (day: number) => number): readonly IndexPoint[] {
  const points: IndexPoint[] = []
  let weight = 0
  let level = 0
  let last = days[0]?.day ?? 0
  for (const { day, logPerKg, quotes } of days) {
    weight = weight * 0.5 ** ((day - last) / GROUP_HALF_LIFE_DAYS) + quotes
    level += ((logPerKg - patternOn(day) - level) * quotes) / weight
    points.push({ day, level })
    last = day
  }
  return points
}

/** Puts a price in its place among those of the day. */
function insert({ logs, members }: GroupDay, log: number, member: number): void {
  let at = logs.length
  while (at > 0 && (logs[at - 1] ?? 0) > log) at -= 1
  logs.splice(at, 0, log)
  members.splice(at, 0, member)
}

function gatherGroup(series: readonly MemberSeries[], numberOf: (member: string) => number): readonly GroupDay[] {
  const days = new Map<number, GroupDay>()
  for (const { member, days: own } of series) {
    const logs: number[] = []
    for (const { quotes } of own) for (const { logPerKg } of quotes) logs.push(logPerKg)
    if (logs.length === 0) continue
    const middle = median(logs)
    const number = numberOf(member)
    for (const { quotes } of own)
      for (const { day, logPerKg } of quotes) {
        const there = days.get(day)
        if (there) insert(there, logPerKg - middle, number)
        else days.set(day, { day, logs: [logPerKg - middle], members: [number] })
      }
  }
  return [...days.values()].sort((a, b) => a.day - b.day)
}

function follow(days: readonly PriceDay[]): GroupMove {
  if (days.length === 0) return STILL_GROUP
  const pattern = findMonthPattern(days)
  const patternOn = createPatternReader(pattern)
  const points = smooth(days, patternOn)
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

/**
 * The common movement of a group: the median of each day, robust against the slip of one. The group is gathered once, however many of its
 * members ask how the others moved.
 * @returns how all of the group moved without one member, or with all of them where none is named
 */
export function gatherGroupMoves(series: readonly MemberSeries[]): (without?: string) => GroupMove {
  const numbers = new Map([...new Set(series.map(({ member }) => member))].map((member, i) => [member, i]))
  const days = gatherGroup(series, (member) => numbers.get(member) ?? -1)
  return (without) => {
    const left = without === undefined ? undefined : numbers.get(without)
    return follow(
      days.flatMap(({ day, logs, members }): readonly PriceDay[] => {
        const others = left === undefined ? logs : logs.filter((_, i) => members[i] !== left)
        return others.length === 0 ? [] : [{ day, logPerKg: middleOf(others), quotes: others.length, certain: false }]
      }),
    )
  }
}
