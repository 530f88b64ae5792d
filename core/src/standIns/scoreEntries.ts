import type { TextureKey } from '@tender-gill/contract'
import { findSwap, learnAlike } from '../swaps/index.ts'
import type { Board, Entry } from '../lineUp/index.ts'
import { compareOnAxes, computeStandInScore, type TraitGap } from './computeAlike.ts'
import { compareLooks, createLikenessScale, placeOnAxes } from './likeness.ts'

/** A passing entry as a stand-in for what is missing. */
export interface ScoredEntry {
  readonly entry: Entry
  readonly alike: number
  /** How this swap went in the house, and how alike they are by the book. */
  readonly learnt?: { readonly alikeWas: number; readonly worked: number; readonly n: number }
  /** Traits in which it differs, what weighs most first. */
  readonly differs: readonly TextureKey[]
  readonly standIn: number
}

/** Best stand-in first; equals by offer id. */
export const byStandIn = (a: ScoredEntry, b: ScoredEntry) =>
  b.standIn - a.standIn || (a.entry.candidate.offer.id < b.entry.candidate.offer.id ? -1 : 1)

/** A gap that a cook would notice, in shoulders weighted as in the likeness. */
const NOTICED = 0.1
const listDiffering = (gaps: readonly TraitGap[]): readonly TextureKey[] =>
  gaps
    .filter(({ delta, pull }) => delta >= NOTICED && pull > 0)
    .sort((a, b) => b.pull * b.delta - a.pull * a.delta)
    .map(({ key }) => key)

/** Likeness and stand-in score of every entry; each by itself, whatever else is in the pool. */
export function scoreEntries(entries: readonly Entry[], missing: Entry, { brief, scoring }: Board): readonly ScoredEntry[] {
  const scale = createLikenessScale(brief, scoring)
  const wanted = placeOnAxes(missing.candidate, scale, brief)
  return entries.map((entry) => {
    const { alike: flesh, gaps } = compareOnAxes(scale, placeOnAxes(entry.candidate, scale, brief), wanted)
    const alikeWas = flesh * compareLooks(entry.candidate.offer, missing.candidate.offer, brief)
    const swap = findSwap(entry.candidate.offer, missing.candidate.offer.species, brief.method)
    const alike = swap ? learnAlike(alikeWas, swap.worked, swap.n) : alikeWas
    return {
      ...{ entry, alike, differs: listDiffering(gaps), standIn: computeStandInScore(alike, entry.fit.fit) },
      ...(swap && { learnt: { alikeWas, worked: swap.worked, n: swap.n } }),
    }
  })
}

/** The best-standing offer of each species, by stand-in score. */
export function bestOfSpecies(scored: readonly ScoredEntry[]): readonly ScoredEntry[] {
  const best = new Map<string, ScoredEntry>()
  for (const item of [...scored].sort(byStandIn)) {
    const { species } = item.entry.candidate.offer
    if (!best.has(species)) best.set(species, item)
  }
  return [...best.values()]
}

/** Of equals, the one bought as the missing fish was is less trouble: in its state first, then of its origin. */
export function compareTrouble(missing: Entry): (a: ScoredEntry, b: ScoredEntry) => number {
  const { state, origin } = missing.candidate.offer
  const trouble = ({ entry: { candidate } }: ScoredEntry) =>
    Number(candidate.offer.state !== state) * 2 + Number(candidate.offer.origin !== origin)
  return (a, b) => trouble(a) - trouble(b)
}
