import { findFirst } from './findFirst.ts'
import { type Field, type Move, type Runner } from './runners.ts'

export const PULL_MOST = 5
/** A pull of exactly nothing would stop the ask from being scored at all. */
export const PULL_LEAST = 1e-6
export const PRICE_MOST = 4
export const STEP = { price: 0.1, pull: 1, edgeShoulders: 0.5 } as const
/** Beyond a turning point by this much of its axis the order is settled. */
export const HAIR = 1e-7

export interface Wanted {
  /** Whether first place in this hand answers the question. */
  readonly holds: (first: Runner | undefined) => boolean
  /** Runners that must win for it. */
  readonly challengers: (runner: Runner) => boolean
  readonly defenders: (runner: Runner) => boolean
}

export interface Turn {
  readonly move: Move
  readonly value: number
  readonly steps: number
  readonly first: Runner
}

/** The nearest of many places at which first place passes; only places are tried, and each is proved by moving there. */
export function findNearest(
  field: Field,
  wanted: Wanted,
  places: readonly number[],
  now: number,
  toMove: (place: number) => Move,
  toSteps: (place: number) => number,
): Turn | undefined {
  const sorted = [...new Set(places)].filter((place) => Number.isFinite(place)).sort((a, b) => Math.abs(a - now) - Math.abs(b - now))
  for (const place of sorted) {
    // Who stands on the very edge falls by the least move, and which way that is is not told by where it stands.
    const away = Math.abs(place - now) < HAIR ? [HAIR, -HAIR] : [place > now ? HAIR : -HAIR]
    for (const by of away) {
      const move = toMove(place + by)
      const first = findFirst(field, move)
      if (first && wanted.holds(first)) return { move, value: place, steps: toSteps(place), first }
    }
  }
  return undefined
}

export function* pairs(field: Field, wanted: Wanted, mayRun: (runner: Runner) => boolean): Generator<readonly [Runner, Runner]> {
  const runners = field.runners.filter(mayRun)
  const challengers = runners.filter(wanted.challengers)
  for (const defender of runners.filter(wanted.defenders)) for (const challenger of challengers) yield [challenger, defender]
}

/** The one of the fewest steps. */
export const smallest = (turns: readonly (Turn | undefined)[]): Turn | undefined =>
  turns.filter((turn) => turn !== undefined).sort((a, b) => a.steps - b.steps)[0]
