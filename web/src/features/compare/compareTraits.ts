import type { BandKey, NormalisedAsk, NormalisedBrief, ResolvedOffer } from '@tender-gill/contract'
import { AXES, toAxis } from '@tender-gill/core'
import { HAND_KEYS, type HandKey } from '../species/index.ts'
import { readOffer } from '../species/index.ts'

/** One trait of several fish on one axis. */
export interface ComparedTrait {
  readonly key: HandKey
  readonly ask: NormalisedAsk | undefined
  /** Widest distance between two of them, in shoulders of the axis. */
  readonly spread: number
  /** Whether the difference matters: for the dish when one is open, else by its size alone. */
  readonly matters: boolean
}

/** A difference a cook would notice, in shoulders. */
const NOTICED = 0.5

/** How far apart several fish are on each trait, the differences that matter for the open dish first, then the widest. */
export function compareTraits(offers: readonly ResolvedOffer[], brief: NormalisedBrief | null): readonly ComparedTrait[] {
  const compared = HAND_KEYS.map((key): ComparedTrait => {
    const places = offers.map((offer) => toAxis(key as BandKey, readOffer(offer, key).typical))
    const spread = places.length > 1 ? (Math.max(...places) - Math.min(...places)) / AXES[key as BandKey].shoulder : 0
    const ask = brief?.asks[key as BandKey]
    const asked = ask !== undefined && ask.pull > 0
    return { key, ask: asked ? ask : undefined, spread, matters: spread >= NOTICED && (brief === null || asked) }
  })
  const rank = ({ matters, ask, spread }: ComparedTrait) => (matters ? 100 : 0) + (ask?.pull ?? 0) * Math.min(1, spread) + spread / 10
  return [...compared].sort((a, b) => rank(b) - rank(a) || HAND_KEYS.indexOf(a.key) - HAND_KEYS.indexOf(b.key))
}
