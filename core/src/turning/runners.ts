import type { AskKey, BandKey, Gate, Range } from '@tender-gill/contract'
import type { NormalisedAsk, NormalisedBrief } from '../facts/index.ts'
import { computeMiss, desirabilityOfMiss, toAxis, type Band } from '../axes/index.ts'
import type { ScoredAsk } from '../fit/index.ts'
import { asksCost, computePrecedence, judgeForms, type Board, type Entry } from '../lineUp/index.ts'
import { readTrait } from '../traits/index.ts'

/** How one ask finds one runner: what the order is made of. */
export interface Share {
  readonly logD: number
  readonly miss: number
  /** Miss of the low and the high end together. */
  readonly rangeMiss: number
}

/** One offer in one form, with everything that a single change can move. */
export interface Runner {
  readonly id: string
  readonly species: string
  readonly common: string
  /** Which of a species' runners may stand for it: the highest. */
  readonly precedence: number
  /** Which of two that do equally well goes first, the higher. */
  readonly known: number
  readonly gates: readonly Gate[]
  /** By scored ask, in their order. */
  readonly values: readonly (Range | null)[]
  readonly shares: readonly Share[]
  /** Sums over asks of pull x share. */
  readonly total: Share
  /** Cost of a portion, whether or not it is scored. */
  readonly cost: Range | null
}

/** Figures of all runners side by side, in their order: what a move is worked out on. */
export interface Columns {
  readonly logD: Float64Array
  readonly miss: Float64Array
  readonly rangeMiss: Float64Array
}
export interface Standing extends Columns {
  readonly passes: Uint8Array
}

/** What one ask finds of all runners: their shares, and where they stand on its axis (NaN where that is not known). */
export interface AskColumns {
  readonly shares: Columns
  readonly low: Float64Array
  readonly typical: Float64Array
  readonly high: Float64Array
}

/** A field of runners under one brief, by id. */
export interface Field {
  readonly brief: NormalisedBrief
  readonly asks: readonly ScoredAsk[]
  readonly runners: readonly Runner[]
  /** By scored ask, in their order. */
  readonly columns: readonly AskColumns[]
  readonly standing: Standing
  /** Which runners a species has. */
  readonly bySpecies: ReadonlyMap<string, readonly number[]>
  /** Species of each runner as a whole number, and the precedence it has in it. */
  readonly species: Int32Array
  readonly precedence: Int8Array
  /** Which of two that do equally well goes first, the higher. */
  readonly known: Float64Array
  /** Room to work a move out in. */
  readonly moved: Standing
  readonly highest: Int8Array
}

export const shareOf = (key: BandKey, value: Range, band: Band): Share => {
  const miss = computeMiss(key, value.typical, band)
  return {
    logD: Math.log(desirabilityOfMiss(miss)),
    miss,
    rangeMiss: computeMiss(key, value.low, band) + computeMiss(key, value.high, band),
  }
}

const NOTHING: Share = { logD: 0, miss: 0, rangeMiss: 0 }

const addUp = (asks: readonly ScoredAsk[], shares: readonly Share[]): Share =>
  asks.reduce(
    (sum, { ask }, i) => {
      const share = shares[i]
      return share
        ? {
            logD: sum.logD + ask.pull * share.logD,
            miss: sum.miss + ask.pull * share.miss,
            rangeMiss: sum.rangeMiss + ask.pull * share.rangeMiss,
          }
        : sum
    },
    { logD: 0, miss: 0, rangeMiss: 0 },
  )

function toRunner({ candidate, fit, gates, precedence: known }: Entry, board: Board): Runner {
  const { offer } = candidate
  const shares = fit.readings.map(({ key, value, desirability, miss, unknown }, i): Share => {
    const ask = board.scoring.asks[i]?.ask
    if (key === 'colour' || unknown || !value || !ask) return { logD: Math.log(desirability), miss, rangeMiss: 0 }
    return shareOf(key, value, ask)
  })
  return {
    id: offer.id,
    species: offer.species,
    common: offer.common,
    precedence: computePrecedence(candidate, board.brief, asksCost(board.scoring)),
    known,
    gates,
    values: fit.readings.map(({ value }) => value),
    shares,
    total: addUp(board.scoring.asks, shares),
    cost: readTrait('portionCost', candidate, board.brief),
  }
}

const toColumns = (shares: readonly Share[]): Columns => ({
  logD: Float64Array.from(shares, ({ logD }) => logD),
  miss: Float64Array.from(shares, ({ miss }) => miss),
  rangeMiss: Float64Array.from(shares, ({ rangeMiss }) => rangeMiss),
})

function toAskColumns({ key }: ScoredAsk, at: number, runners: readonly Runner[]): AskColumns {
  const onAxis = (end: keyof Range) =>
    Float64Array.from(runners, ({ values }) => {
      const value = values[at]
      return key === 'colour' || !value ? NaN : toAxis(key, value[end])
    })
  return {
    shares: toColumns(runners.map(({ shares }) => shares[at] ?? NOTHING)),
    low: onAxis('low'),
    typical: onAxis('typical'),
    high: onAxis('high'),
  }
}

/** Lays out every offer in every form for a board. */
export function createField(board: Board): Field {
  const considered = new Set(board.considered.map(({ candidate }) => candidate.offer.id))
  const runners = board.entries
    .filter(({ candidate }) => considered.has(candidate.offer.id))
    .flatMap((entry) => (entry.candidate.offer.prices.length > 0 ? judgeForms(entry.candidate.offer, board.brief, board.scoring) : [entry]))
    .map((entry) => toRunner(entry, board))
    .sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0))
  const names = [...new Set(runners.map(({ species }) => species))]
  const numbers = new Map(names.map((name, i) => [name, i]))
  const { asks } = board.scoring
  const room = (): Standing => ({ ...toColumns(runners.map(() => NOTHING)), passes: new Uint8Array(runners.length) })
  return {
    brief: board.brief,
    asks,
    runners,
    columns: asks.map((ask, at) => toAskColumns(ask, at, runners)),
    standing: {
      ...toColumns(runners.map(({ total }) => total)),
      passes: Uint8Array.from(runners, ({ gates }) => Number(gates.length === 0)),
    },
    bySpecies: new Map(names.map((name) => [name, runners.flatMap((runner, i) => (runner.species === name ? [i] : []))])),
    species: Int32Array.from(runners, ({ species }) => numbers.get(species) ?? 0),
    precedence: Int8Array.from(runners, ({ precedence }) => precedence),
    known: Float64Array.from(runners, ({ known }) => known),
    moved: room(),
    highest: new Int8Array(names.length),
  }
}

/** One change to a brief or its market, all else as it is. */
export type Move =
  | { readonly kind: 'pull'; readonly at: number; readonly to: number }
  | { readonly kind: 'edge'; readonly at: number; readonly end: 'from' | 'to'; readonly to: number }
  | { readonly kind: 'price'; readonly species: string; readonly factor: number }

/** Gates that are named like an ask and are also checks of their own: no band opens those. */
const ALSO_CHECKS: ReadonlySet<AskKey> = new Set<AskKey>(['thickness', 'stock', 'mercury'])
/** Whether a runner would pass if the bound on one ask let it. */
export const lacksOnly = ({ gates }: Runner, key: AskKey): boolean =>
  gates.length === 0 || (!ALSO_CHECKS.has(key) && gates.every((gate) => gate === key || (key === 'portionCost' && gate === 'budget')))

/** A sum of shares less what one ask gives it. */
export const withoutShare = (total: Share, pull: number, share: Share): Share => ({
  logD: total.logD - pull * share.logD,
  miss: total.miss - pull * share.miss,
  rangeMiss: total.rangeMiss - pull * share.rangeMiss,
})

/** The band after an edge moved, and the bound when the brief made its band the bound. */
export function moveBand(ask: NormalisedAsk, end: 'from' | 'to', to: number): { band: Band; must: NormalisedAsk['must'] } {
  const band = { from: ask.from, to: ask.to, [end]: to }
  const isBound = ask.must !== null && ask.must.from === ask.from && ask.must.to === ask.to && ask.because.includes('brief')
  return { band, must: isBound ? band : ask.must }
}
