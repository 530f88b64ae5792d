import type { Fact, Lot, Range, ResolvedOffer } from '@tender-gill/contract'
import { DAY_MS } from '../calendar/index.ts'
import { computeSpoilageRate, measureCold } from '../cold/index.ts'
import { figure, say, type Cold } from '../facts/index.ts'
import { UNKNOWN_WARMTH_C } from '../tables/signs.ts'
import { readAhead, readHistory, type KeptStretch, type Warmths } from './readHistory.ts'

/** A serving that a lot is for, and when it is eaten. */
export interface WaitingServing {
  readonly id: string
  readonly dish: string
  /** ms since 1970; null where no day is set. */
  readonly eatenMs: number | null
}

/** What to do with a lot, the most pressing first. */
export const LOT_ADVICE = ['throw', 'use-now', 'freeze', 'use-first', 'fine', 'frozen'] as const
export type LotAdvice = (typeof LOT_ADVICE)[number]

export interface JudgedLot {
  readonly cold: Omit<Cold, 'iceKg'>
  readonly history: readonly KeptStretch[]
  /** Until when it lasts as it is kept now, ms since 1970: by the high, the typical and the low age; null where the clock stands. */
  readonly lastsMs: { readonly low: number; readonly typical: number; readonly high: number } | null
  /** When its ice wants to be drained and renewed; null where it lies in none. */
  readonly renewIceMs: number | null
  /** How warm it will be kept, °C; null where nobody knows. */
  readonly aheadC: number | null
  readonly advice: LotAdvice
  /** Servings it will not last until, and those it lasts until only if it was younger than it may be. */
  readonly late: readonly WaitingServing[]
  readonly doubtful: readonly WaitingServing[]
  readonly sentence: Fact
}

/** When so many days on ice are used up: first in ice, then at what comes after it. */
function spend(leftDays: number, nowMs: number, { icedUntilMs, celsius: at }: ReturnType<typeof readAhead>): number {
  if (leftDays <= 0) return nowMs
  const icedDays = Math.max(0, icedUntilMs - nowMs) / DAY_MS
  if (leftDays <= icedDays) return nowMs + leftDays * DAY_MS
  const rate = computeSpoilageRate(at ?? UNKNOWN_WARMTH_C)
  return rate === 0 ? Infinity : icedUntilMs + ((leftDays - icedDays) / rate) * DAY_MS
}

/** Worth freezing while so much of its time is left, days on ice; after that it only keeps what is no longer good. */
const WORTH_FREEZING_DAYS = 2
const SOON_MS = DAY_MS

interface Asked {
  readonly lot: Lot
  readonly offer: ResolvedOffer
  /** What it is for. */
  readonly servings: readonly WaitingServing[]
  /** ms since 1970 */
  readonly nowMs: number
  readonly warmths: Warmths
}

interface Weighed extends Pick<JudgedLot, 'lastsMs' | 'late' | 'doubtful'> {
  readonly cold: JudgedLot['cold']
  readonly waits: number
  readonly nowMs: number
}

function advise({ cold, lastsMs, late, waits, nowMs }: Weighed): LotAdvice {
  if (cold.histamine.stop || cold.leftDays.high <= 0) return 'throw'
  if (lastsMs === null) return 'frozen'
  if (cold.leftDays.typical <= 0) return 'use-now'
  if (late.length > 0 && cold.leftDays.typical >= WORTH_FREEZING_DAYS) return 'freeze'
  if (lastsMs.typical - nowMs < SOON_MS) return 'use-now'
  return late.length > 0 || (waits === 0 && lastsMs.typical - nowMs < 2 * SOON_MS) ? 'use-first' : 'fine'
}

const names = (servings: readonly WaitingServing[]): readonly string[] => servings.map(({ dish }) => dish)

function sumUp(advice: LotAdvice, { cold, late, doubtful }: Weighed): Fact {
  const left: Range = cold.leftDays
  const figures = {
    left: figure(Math.max(0, left.typical), 1),
    low: figure(Math.max(0, left.low), 1),
    high: figure(Math.max(0, left.high), 1),
  }
  switch (advice) {
    case 'throw':
      return cold.histamine.stop ? say('lot.throw.histamine') : say('lot.throw.spent')
    case 'frozen':
      return say('lot.frozen')
    case 'freeze':
      return say('lot.freeze', { dishes: names(late), ...figures })
    case 'use-now':
      return say('lot.use-now', { ...figures, look: left.low <= 0 ? 'yes' : 'no' })
    case 'use-first':
      return late.length > 0 ? say('lot.late', { dishes: names(late), ...figures }) : say('lot.use-first', figures)
    case 'fine':
      return doubtful.length > 0 ? say('lot.doubtful', { dishes: names(doubtful), ...figures }) : say('lot.fine', figures)
  }
}

/**
 * How a lot stands now: its clock by everything that is known of how it was kept, until when it lasts as it is kept, which of its servings
 * it will not reach, and what to do with it.
 */
export function judgeLot({ lot, offer, servings, nowMs, warmths }: Asked): JudgedLot {
  const history = readHistory(lot, nowMs, warmths)
  const cold = measureCold({ offer, history, use: lot.use, ...(lot.ageIceDays ? { ageIceDays: lot.ageIceDays } : {}) })
  const ahead = readAhead(lot, nowMs, warmths)
  const { low, typical, high } = cold.leftDays
  const [first, middle, last] = [low, typical, high].map((left) => spend(left, nowMs, ahead)) as [number, number, number]
  const lastsMs = Number.isFinite(last) ? { low: first, typical: middle, high: last } : null
  const dated = servings.filter((one): one is WaitingServing & { eatenMs: number } => one.eatenMs !== null && one.eatenMs > nowMs)
  const late = lastsMs ? dated.filter(({ eatenMs }) => eatenMs > lastsMs.typical) : []
  const doubtful = lastsMs ? dated.filter(({ eatenMs }) => eatenMs <= lastsMs.typical && eatenMs > lastsMs.low) : []
  const weighed = { cold, lastsMs, late, doubtful, waits: servings.length, nowMs }
  const advice = advise(weighed)
  return {
    ...{ cold, history, lastsMs, late, doubtful, advice, aheadC: ahead.celsius },
    renewIceMs: lot.stays.at(-1)?.iced && lastsMs ? ahead.icedUntilMs : null,
    sentence: sumUp(advice, weighed),
  }
}
