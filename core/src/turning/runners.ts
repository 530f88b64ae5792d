import type { AskKey, BandKey, Gate, NormalisedAsk, NormalisedBrief, Range } from '@tender-gill/contract'
import { computeMiss, desirabilityOfMiss, type Band } from '../axes/index.ts'
import type { ScoredAsk } from '../fit/index.ts'
import { failsMust } from '../gates/index.ts'
import { asksCost, computePrecedence, judgeForms, keepHighest, type Board, type Entry } from '../lineUp/index.ts'
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
  readonly gates: readonly Gate[]
  /** By scored ask, in their order. */
  readonly values: readonly (Range | null)[]
  readonly shares: readonly Share[]
  /** Sums over asks of pull x share. */
  readonly total: Share
  /** Cost of a portion, whether or not it is scored. */
  readonly cost: Range | null
}

/** A field of runners under one brief. */
export interface Field {
  readonly brief: NormalisedBrief
  readonly asks: readonly ScoredAsk[]
  readonly runners: readonly Runner[]
}

export const shareOf = (key: BandKey, value: Range, band: Band): Share => {
  const miss = computeMiss(key, value.typical, band)
  return {
    logD: Math.log(desirabilityOfMiss(miss)),
    miss,
    rangeMiss: computeMiss(key, value.low, band) + computeMiss(key, value.high, band),
  }
}

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

function toRunner({ candidate, fit, gates }: Entry, board: Board): Runner {
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
    gates,
    values: fit.readings.map(({ value }) => value),
    shares,
    total: addUp(board.scoring.asks, shares),
    cost: readTrait('portionCost', candidate, board.brief),
  }
}

/** Lays out every offer in every form for a board. */
export function createField(board: Board): Field {
  const considered = new Set(board.considered.map(({ candidate }) => candidate.offer.id))
  const runners = board.entries
    .filter(({ candidate }) => considered.has(candidate.offer.id))
    .flatMap((entry) => (entry.candidate.offer.prices.length > 0 ? judgeForms(entry.candidate.offer, board.brief, board.scoring) : [entry]))
    .map((entry) => toRunner(entry, board))
  return { brief: board.brief, asks: board.scoring.asks, runners }
}

/** One change to a brief or its market, all else as it is. */
export type Move =
  | { readonly kind: 'pull'; readonly at: number; readonly to: number }
  | { readonly kind: 'edge'; readonly at: number; readonly end: 'from' | 'to'; readonly to: number }
  | { readonly kind: 'price'; readonly species: string; readonly factor: number }

const scale = ({ low, typical, high }: Range, by: number): Range => ({ low: low * by, typical: typical * by, high: high * by })

/** Gates that are named like an ask and are also checks of their own: no band opens those. */
const ALSO_CHECKS: ReadonlySet<AskKey> = new Set<AskKey>(['thickness', 'stock'])
/** Whether a runner would pass if the bound on one ask let it. */
export const lacksOnly = ({ gates }: Runner, key: AskKey): boolean =>
  gates.length === 0 || (!ALSO_CHECKS.has(key) && gates.every((gate) => gate === key || (key === 'portionCost' && gate === 'budget')))

interface Moved {
  readonly total: Share
  readonly passes: boolean
}

const shift = (total: Share, by: number, before: Share, after: Share): Share => ({
  logD: total.logD + by * (after.logD - before.logD),
  miss: total.miss + by * (after.miss - before.miss),
  rangeMiss: total.rangeMiss + by * (after.rangeMiss - before.rangeMiss),
})
/** A sum of shares less what one ask gives it. */
export const withoutShare = (total: Share, pull: number, share: Share): Share => ({
  logD: total.logD - pull * share.logD,
  miss: total.miss - pull * share.miss,
  rangeMiss: total.rangeMiss - pull * share.rangeMiss,
})

const NOTHING: Share = { logD: 0, miss: 0, rangeMiss: 0 }

function movePull(runner: Runner, asks: readonly ScoredAsk[], { at, to }: Extract<Move, { kind: 'pull' }>): Moved {
  const share = runner.shares[at] ?? NOTHING
  return { total: shift(runner.total, to - (asks[at]?.ask.pull ?? 0), NOTHING, share), passes: runner.gates.length === 0 }
}

/** The band after an edge moved, and the bound when the brief made its band the bound. */
export function moveBand(ask: NormalisedAsk, end: 'from' | 'to', to: number): { band: Band; must: NormalisedAsk['must'] } {
  const band = { from: ask.from, to: ask.to, [end]: to }
  const isBound = ask.must !== null && ask.must.from === ask.from && ask.must.to === ask.to && ask.because.includes('brief')
  return { band, must: isBound ? band : ask.must }
}

function moveEdge(runner: Runner, asks: readonly ScoredAsk[], { at, end, to }: Extract<Move, { kind: 'edge' }>): Moved {
  const scored = asks[at]
  const value = runner.values[at]
  const before = runner.shares[at]
  if (!scored || scored.key === 'colour' || !before) return { total: runner.total, passes: runner.gates.length === 0 }
  const { band, must } = moveBand(scored.ask, end, to)
  if (!value) return { total: runner.total, passes: runner.gates.length === 0 }
  const fails = must !== null && failsMust(scored.key, value, must)
  return {
    total: shift(runner.total, scored.ask.pull, before, shareOf(scored.key, value, band)),
    passes: !fails && lacksOnly(runner, scored.key),
  }
}

function movePrice(runner: Runner, { brief, asks }: Field, { species, factor }: Extract<Move, { kind: 'price' }>): Moved {
  if (runner.species !== species || !runner.cost) return { total: runner.total, passes: runner.gates.length === 0 }
  const cost = scale(runner.cost, factor)
  const at = asks.findIndex(({ key }) => key === 'portionCost')
  const ask = asks[at]?.ask
  const before = runner.shares[at]
  const must = brief.asks.portionCost?.must ?? null
  const overBudget = brief.budget?.must === true && cost.typical > brief.budget.perPortion
  return {
    total: ask && before ? shift(runner.total, ask.pull, before, shareOf('portionCost', cost, ask)) : runner.total,
    passes: !overBudget && !(must !== null && failsMust('portionCost', cost, must)) && lacksOnly(runner, 'portionCost'),
  }
}

function applyMove(runner: Runner, field: Field, move: Move): Moved {
  switch (move.kind) {
    case 'pull':
      return movePull(runner, field.asks, move)
    case 'edge':
      return moveEdge(runner, field.asks, move)
    case 'price':
      return movePrice(runner, field, move)
  }
}

/** The same fit to a hair: sums are added up in another order than by the ranking, so their last bits may differ. */
const SAME = 1e-12

/** Who stands first after a move: the higher sum, then the smaller miss, then the smaller miss of the ranges, then the id. */
export function findFirst(field: Field, move?: Move): Runner | undefined {
  const moved = field.runners.flatMap((runner) => {
    const { total, passes } = move ? applyMove(runner, field, move) : { total: runner.total, passes: runner.gates.length === 0 }
    return passes ? [{ runner, total }] : []
  })
  const standing = keepHighest(
    moved,
    ({ runner }) => runner.species,
    ({ runner }) => runner.precedence,
  )
  let best: (typeof moved)[number] | undefined
  for (const one of standing) if (!best || goesBefore(one, best)) best = one
  return best?.runner
}

function goesBefore(a: { runner: Runner; total: Share }, b: { runner: Runner; total: Share }): boolean {
  if (Math.abs(a.total.logD - b.total.logD) > SAME) return a.total.logD > b.total.logD
  if (Math.abs(a.total.miss - b.total.miss) > SAME) return a.total.miss < b.total.miss
  if (Math.abs(a.total.rangeMiss - b.total.rangeMiss) > SAME) return a.total.rangeMiss < b.total.rangeMiss
  return a.runner.id < b.runner.id
}
