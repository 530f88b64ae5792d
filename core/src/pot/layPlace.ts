import type { AskKey, BandKey } from '@tender-gill/contract'
import { phrase, type NormalisedAsk, type NormalisedBrief } from '../facts/index.ts'
import { createScoring, type Scoring } from '../fit/index.ts'
import type { Board } from '../lineUp/index.ts'
import { isMarketKey } from '../traits/index.ts'
import type { Role } from './roles.ts'

/** What the dish asks of every fish in the pot, whatever its place: what those who eat need, and price, stock and season as in a line-up. */
const asksOfAll = (brief: NormalisedBrief): NormalisedBrief['asks'] =>
  Object.fromEntries(
    Object.entries(brief.asks).filter(([key, ask]) => ask.because.includes('diner') || (key !== 'colour' && isMarketKey(key as AskKey))),
  )

/** A place of the pot with what is scored in it. */
export interface Place {
  readonly role: Role
  readonly brief: NormalisedBrief
  readonly scoring: Scoring
}

/** A place with what its role asks, and what the dish asks of all. */
export function layPlace(role: Role, { brief, whole }: Board): Place {
  const own = { ...brief, asks: { ...asksOfAll(brief), ...roleAsks(role.asks, role.why, brief) } }
  return { role, brief: own, scoring: createScoring(own, whole) }
}

const roleAsks = (asks: Role['asks'], why: string, brief: NormalisedBrief): Record<string, NormalisedAsk> =>
  Object.fromEntries(
    Object.entries(asks).map(([key, { from, to, pull }]): [string, NormalisedAsk] => {
      const diners = brief.asks[key as BandKey]
      const own: NormalisedAsk = { from: from ?? null, to: to ?? null, pull, must: null, because: ['method'], reason: phrase(why) }
      // Whoever eats may be stricter than the place: few bones for the shy.
      if (!diners?.because.includes('diner')) return [key, own]
      return [
        key,
        {
          ...own,
          from: stricter(own.from, diners.from, Math.max),
          to: stricter(own.to, diners.to, Math.min),
          pull: Math.max(pull, diners.pull),
        },
      ]
    }),
  )

const stricter = (a: number | null, b: number | null, pick: (a: number, b: number) => number): number | null =>
  a === null ? b : b === null ? a : pick(a, b)
