import type { NormalisedAsk, NormalisedBrief, Range, TextureKey } from '@tender-gill/contract'
import { toAxis } from '../axes/index.ts'
import type { Scoring } from '../fit/index.ts'
import { ALIKE, AXES, WORSE_SIDE } from '../tables/constants.ts'
import { readTrait, type Candidate } from '../traits/index.ts'
import { TEXTURE_SET } from './textureSet.ts'

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

const worseSide = (key: TextureKey, brief: NormalisedBrief) =>
  key === 'flavour' && brief.diners.dislikesStrongFish ? 'above' : WORSE_SIDE[key]

/** Distance between two points on the axis: what lies inside the wanted band counts little, what lies outside in full. */
function weighDistance(c: number, m: number, from: number, to: number): number {
  const low = Math.min(c, m)
  const high = Math.max(c, m)
  const inside = Math.max(0, Math.min(high, to) - Math.max(low, from))
  return inside * ALIKE.insideBand + (high - low - inside) * ALIKE.outsideBand
}

function computeGap(key: TextureKey, ask: NormalisedAsk, c: Range, m: Range, brief: NormalisedBrief): number {
  const from = ask.from === null ? -Infinity : toAxis(key, ask.from)
  const to = ask.to === null ? Infinity : toAxis(key, ask.to)
  const worse = worseSide(key, brief)
  const at = (end: keyof Range) => {
    const g = toAxis(key, c[end])
    const outsideWorse = (worse === 'below' && g < from) || (worse === 'above' && g > to)
    const distance = weighDistance(g, toAxis(key, m[end]), from, to) / AXES[key].shoulder
    return Math.min(ALIKE.cap, distance * (outsideWorse ? ALIKE.worseSide : 1))
  }
  return (at('low') + 2 * at('typical') + at('high')) / 4
}

/**
 * How alike a candidate is to the missing fish inside this dish: 100 exp(-0.7 sum w delta / sum w) over the texture asks that
 * pull. A fish is 100 alike to itself; the rest of the pool plays no part.
 */
export function computeAlike(candidate: Candidate, missing: Candidate, brief: NormalisedBrief, { asks }: Scoring): Alikeness {
  const gaps = asks.flatMap(({ key, ask }): TraitGap[] => {
    if (!TEXTURE_SET.has(key)) return []
    const textureKey = key as TextureKey
    const c = readTrait(textureKey, candidate, brief)
    const m = readTrait(textureKey, missing, brief)
    return c && m ? [{ key: textureKey, pull: ask.pull, delta: computeGap(textureKey, ask, c, m, brief) }] : []
  })
  const pulls = gaps.reduce((sum, { pull }) => sum + pull, 0)
  const weighted = gaps.reduce((sum, { pull, delta }) => sum + pull * delta, 0)
  return { alike: pulls > 0 ? 100 * Math.exp((-ALIKE.decay * weighted) / pulls) : 100, gaps }
}

/** Stand-in score: alike^0.6 x fit^0.4, both 0..100. */
export const computeStandInScore = (alike: number, fit: number): number => alike ** ALIKE.alikeExponent * fit ** ALIKE.fitExponent
