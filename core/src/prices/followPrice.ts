import type { PriceDay } from './priceDays.ts'

/** What following a series of prices up to its last day has found. */
export interface FollowedPrice {
  /** Log price of a kilogram as it stands after the last day. */
  readonly level: number
  /** Half of the 5 to 95 range in log price, for the day of the last quote. */
  readonly halfRange: number
  /** Half-life of the weights that foretold this series best, days. */
  readonly halfLifeDays: number
  /** Days set aside as slips: a price by the box read as one by the kilo, a point too far. */
  readonly slips: number
  /** Whether the last day was taken, and not set aside. */
  readonly lastTaken: boolean
}

/**
 * Half-lives tried, days. Two weeks serve where little is known; a price that wanders day by day is followed more closely, one that merchants
 * scatter around is averaged longer. The handicap is in shares of the mean error: a short memory must earn its keep.
 */
const HALF_LIVES = [
  { days: 0.15, handicap: 1.12 },
  { days: 2, handicap: 1.08 },
  { days: 6, handicap: 1.03 },
  { days: 14, handicap: 1 },
  { days: 40, handicap: 1.05 },
] as const
/** The handicap weighs as much as this many foretold days. */
const HANDICAP_DAYS = 4
/** Errors are remembered with this half-life, in foretold days. */
const ERROR_MEMORY = 40

/** Half of the 5 to 95 range where one quote stands alone, log price: about 10 %. */
export const ALONE_HALF_RANGE = -Math.log(0.9)
/** Doubtful until another day says the same: more than twice or less than half, or far beyond what the series is used to. */
const DOUBTFUL = Math.log(1.9)
const DOUBTFUL_RANGES = 3
/** Spread grows with the square root of the time since the last quote, from that of one quote's day. */
const SPREAD_DAYS = 14
export const spreadOver = (days: number): number => Math.sqrt(1 + Math.max(0, days) / SPREAD_DAYS)

/** Weight of a sample against its prior, n/(n+3). */
export const shrink = (n: number): number => n / (n + 3)

interface Memory {
  readonly halfLife: number
  readonly handicap: number
  weight: number
  level: number
  errors: number
  errorWeight: number
  /** The last gap, days, and what it left of the weight: lists come day by day, so that it is mostly the same. */
  gapDays: number
  left: number
}

const forget = (memory: Memory, gapDays: number) => {
  if (gapDays !== memory.gapDays) {
    memory.gapDays = gapDays
    memory.left = 0.5 ** (gapDays / memory.halfLife)
  }
  memory.weight *= memory.left
}
const learn = (memory: Memory, value: number) => {
  memory.weight += 1
  memory.level += (value - memory.level) / memory.weight
}
const restart = (memory: Memory, value: number) => {
  memory.weight = 1
  memory.level = value
}

/** The memory that foretold best so far, its handicap in shares of the usual error counted as some foretold days. */
function pickBest(memories: readonly Memory[]): Memory {
  let usual = 0
  for (const { errors, errorWeight } of memories) usual += errors / Math.max(1e-9, errorWeight) / memories.length
  let best: Memory | undefined
  let least = Infinity
  for (const memory of memories) {
    const cost = (memory.errors + HANDICAP_DAYS * memory.handicap * usual) / (memory.errorWeight + HANDICAP_DAYS)
    if (best && cost >= least) continue
    best = memory
    least = cost
  }
  if (!best) throw new RangeError('no memory to pick from')
  return best
}

/** Errors that are remembered for the range. */
const ERRORS_KEPT = 60

/** The last errors, in order of time and in order of size at once: the range is asked for at each step. */
interface Errors {
  readonly recent: number[]
  readonly sorted: number[]
}

/** Place of a value in a sorted list. */
function placeOf(sorted: readonly number[], value: number): number {
  let from = 0
  let to = sorted.length
  while (from < to) {
    const middle = (from + to) >> 1
    if ((sorted[middle] ?? 0) < value) from = middle + 1
    else to = middle
  }
  return from
}

function remember({ recent, sorted }: Errors, error: number): void {
  recent.push(error)
  sorted.splice(placeOf(sorted, error), 0, error)
  if (recent.length <= ERRORS_KEPT) return
  const oldest = recent.shift() ?? 0
  sorted.splice(placeOf(sorted, oldest), 1)
}

/**
 * Half of the range that held nine of ten of the errors so far (the next order statistic up, as in split conformal prediction, so that few
 * errors do not look like certainty), mixed with that of a single quote by n/(n+3).
 */
function findHalfRange({ sorted }: Errors): number {
  if (sorted.length === 0) return ALONE_HALF_RANGE
  const rank = 0.9 * (sorted.length + 1) - 1
  const below = Math.min(sorted.length - 1, Math.max(0, Math.floor(rank)))
  const above = Math.min(sorted.length - 1, below + 1)
  const low = sorted[below] ?? 0
  const held = low + ((sorted[above] ?? low) - low) * Math.min(1, Math.max(0, rank - below))
  const share = shrink(sorted.length)
  return share * held + (1 - share) * ALONE_HALF_RANGE
}

/**
 * Days that are followed: what is older weighs less than a thousandth at the longest half-life, and its errors are long forgotten.
 */
export const MOST_DAYS_FOLLOWED = 400

/**
 * Follows a series of prices day by day: exponentially decaying weights, with the half-life under which each day was best foretold from the
 * days before (exponential smoothing, after Brown 1959, its constant chosen by prequential error, Dawid 1984); a doubtful day counts only
 * once the next says the same.
 * @param all days, oldest first, at least one   @throws RangeError when there is none
 */
export function followPrice(all: readonly PriceDay[]): FollowedPrice {
  const days = all.slice(-MOST_DAYS_FOLLOWED)
  const [first, ...rest] = days
  if (!first) throw new RangeError('no price to follow')
  const memories = HALF_LIVES.map(({ days: halfLife, handicap }): Memory => ({
    halfLife,
    handicap,
    weight: 1,
    level: first.logPerKg,
    errors: 0,
    errorWeight: 0,
    gapDays: 0,
    left: 1,
  }))
  const found: Errors = { recent: [], sorted: [] }
  let pending: number | null = null
  let slips = 0
  let last = first.day
  const decay = 0.5 ** (1 / ERROR_MEMORY)
  for (const { day, logPerKg, certain } of rest) {
    const gap = day - last
    const spread = spreadOver(gap)
    const best = pickBest(memories)
    const error = Math.abs(logPerKg - best.level)
    const doubt = Math.max(DOUBTFUL, DOUBTFUL_RANGES * findHalfRange(found) * spread)
    if (!certain && error > doubt && (pending === null || Math.abs(logPerKg - pending) > doubt / 2)) {
      pending = logPerKg
      slips += 1
      continue
    }
    for (const memory of memories) {
      memory.errors = memory.errors * decay + Math.min(doubt, Math.abs(logPerKg - memory.level)) / spread
      memory.errorWeight = memory.errorWeight * decay + 1
      forget(memory, gap)
      if (error > doubt) restart(memory, logPerKg)
      else learn(memory, logPerKg)
    }
    if (error > doubt && pending !== null) slips -= 1
    remember(found, Math.min(error, doubt) / spread)
    pending = null
    last = day
  }
  const best = pickBest(memories)
  return { level: best.level, halfRange: findHalfRange(found), halfLifeDays: best.halfLife, slips, lastTaken: last === days.at(-1)?.day }
}
