import type { TextureKey } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import type { Scoring } from '../fit/index.ts'
import { ALIKE } from '../tables/constants.ts'
import type { Candidate } from '../traits/index.ts'
import { compareLooks, createLikenessScale, measureGap, placeOnAxes, toAlike, type AxisPlaces, type LikenessScale } from './likeness.ts'

/** How far apart two fish are on one trait of this dish. */
export interface TraitGap {
  readonly key: TextureKey
  readonly pull: number
  /** Weighted distance in shoulders, 0..2. */
  readonly delta: number
}

export interface Alikeness {
  /** 0..100 */
  readonly alike: number
  readonly gaps: readonly TraitGap[]
}

/**
 * Likeness of two fish already placed on the axes of a dish, with the gap on each trait known for both. A trait that the dish asks and that
 * flesh is told by counts twice in the likeness and is one gap.
 */
export function compareOnAxes(scale: LikenessScale, candidate: AxisPlaces, missing: AxisPlaces): Alikeness {
  const gaps: TraitGap[] = []
  let pulls = 0
  let weighted = 0
  for (const [i, { key, pull }] of scale.entries()) {
    const delta = measureGap(scale, i, candidate, missing)
    if (Number.isNaN(delta)) continue
    if (!gaps.some((gap) => gap.key === key)) gaps.push({ key, pull, delta })
    pulls += pull
    weighted += pull * delta
  }
  return { alike: toAlike(weighted, pulls), gaps }
}

/**
 * How alike a candidate is to the missing fish inside this dish: 100 exp(-sum w delta / sum w) over the texture asks that pull and over what
 * the flesh is, times what an unlike build or colour leaves. A fish is 100 alike to itself; the rest of the pool plays no part.
 */
export function computeAlike(candidate: Candidate, missing: Candidate, brief: NormalisedBrief, scoring: Scoring): Alikeness {
  const scale = createLikenessScale(brief, scoring)
  const { alike, gaps } = compareOnAxes(scale, placeOnAxes(candidate, scale, brief), placeOnAxes(missing, scale, brief))
  return { alike: alike * compareLooks(candidate.offer, missing.offer, brief), gaps }
}

/** Stand-in score: alike^0.6 x fit^0.4, both 0..100. */
export const computeStandInScore = (alike: number, fit: number): number => alike ** ALIKE.alikeExponent * fit ** ALIKE.fitExponent
