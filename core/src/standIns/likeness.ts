import type { Range, ResolvedOffer, TextureKey } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { toAxis } from '../axes/index.ts'
import type { Scoring } from '../fit/index.ts'
import { ALIKE, AXES, WORSE_SIDE, colourLikeness } from '../tables/constants.ts'
import { readTrait, type Candidate } from '../traits/index.ts'
import { TEXTURE_SET } from './textureSet.ts'

/** One texture ask of a dish, ready to measure distances along. */
interface ScaleTrait {
  readonly key: TextureKey
  readonly pull: number
  /** Edges of the wanted band on the axis; an open side is infinite. */
  readonly from: number
  readonly to: number
  readonly shoulder: number
  readonly worse: 'above' | 'below' | undefined
}

/** What likeness is measured along: the traits of the flesh that a dish pulls on, then what the flesh is, whatever the dish. */
export type LikenessScale = readonly ScaleTrait[]

/** What a whole fish is to the eye, beside its flesh. */
export type Look = Pick<ResolvedOffer, 'body' | 'cookedColour'>

/** What flesh is, whatever is made of it: each in full, no band to be inside of and no better side. */
const FLESH: readonly TextureKey[] = ['firmness', 'flake', 'cohesion', 'fat', 'flavour']

/** A fish on the axes of a scale: low, typical and high of each trait in turn; NaN where a trait is not known. */
export type AxisPlaces = Float64Array

/** The texture asks of a dish that pull, with the side on which each is worse, and the whole of the flesh once more. */
export function createLikenessScale(brief: NormalisedBrief, { asks }: Scoring): LikenessScale {
  const asked = asks.flatMap(({ key, ask }): ScaleTrait[] => {
    if (!TEXTURE_SET.has(key)) return []
    const trait = key as TextureKey
    return [
      {
        key: trait,
        pull: ask.pull,
        from: ask.from === null ? -Infinity : toAxis(trait, ask.from),
        to: ask.to === null ? Infinity : toAxis(trait, ask.to),
        shoulder: AXES[trait].shoulder,
        worse: trait === 'flavour' && brief.diners.dislikesStrongFish ? 'above' : WORSE_SIDE[trait],
      },
    ]
  })
  const whole = FLESH.map((key): ScaleTrait => ({
    ...{ key, pull: ALIKE.fleshPull, shoulder: AXES[key].shoulder, worse: undefined },
    // An empty band: all of a difference lies outside it.
    ...{ from: Infinity, to: -Infinity },
  }))
  return [...asked, ...whole]
}

/** How many builds lie between two fish in this dish: a flat or eel-like one is no round one, and served whole everybody sees it. */
function countBuilds(a: Look, b: Look, { format }: Pick<NormalisedBrief, 'format'>): number {
  if (format === 'mince' || format === 'frame') return 0
  const odd = ({ body }: Look) => (body === 'flat' || body === 'eel' ? body : 'round')
  return odd(a) === odd(b) ? 0 : format === 'whole' ? 2 : 1
}

/** What an unlike build or cooked colour leaves of the likeness of two fish, 0..1. */
export const compareLooks = (a: Look, b: Look, brief: Pick<NormalisedBrief, 'format'>): number =>
  Math.exp(-ALIKE.unlikeLook * (countBuilds(a, b, brief) + 1 - colourLikeness(a.cookedColour, b.cookedColour)))

const ENDS: readonly (keyof Range)[] = ['low', 'typical', 'high']

export function placeOnAxes(candidate: Candidate, scale: LikenessScale, brief: NormalisedBrief): AxisPlaces {
  const places = new Float64Array(scale.length * ENDS.length)
  scale.forEach(({ key }, i) => {
    const value = readTrait(key, candidate, brief)
    ENDS.forEach((end, k) => (places[i * ENDS.length + k] = value ? toAxis(key, value[end]) : NaN))
  })
  return places
}

/** Distance between two points on an axis in shoulders: what lies inside the wanted band counts little, what lies outside in full. */
function measure(c: number, m: number, { from, to, shoulder, worse }: ScaleTrait): number {
  const low = Math.min(c, m)
  const high = Math.max(c, m)
  const inside = Math.max(0, Math.min(high, to) - Math.max(low, from))
  const distance = (inside * ALIKE.insideBand + (high - low - inside) * ALIKE.outsideBand) / shoulder
  const outsideWorse = (worse === 'below' && c < from) || (worse === 'above' && c > to)
  return Math.min(ALIKE.cap, outsideWorse ? distance * ALIKE.worseSide : distance)
}

/**
 * How far a candidate is from the missing fish on the i-th trait of a scale, in weighted shoulders, 0..2: the mean over low, typical (twice)
 * and high. NaN where the trait is not known for both.
 */
export function measureGap(scale: LikenessScale, i: number, c: AxisPlaces, m: AxisPlaces): number {
  const trait = scale[i]
  if (!trait) return NaN
  const low = i * ENDS.length
  return (
    (measure(c[low] ?? NaN, m[low] ?? NaN, trait) +
      2 * measure(c[low + 1] ?? NaN, m[low + 1] ?? NaN, trait) +
      measure(c[low + 2] ?? NaN, m[low + 2] ?? NaN, trait)) /
    4
  )
}

/** 100 exp(-sum w delta / sum w); 100 where nothing pulls. */
export const toAlike = (weighted: number, pulls: number): number => (pulls > 0 ? 100 * Math.exp((-ALIKE.decay * weighted) / pulls) : 100)

/** How alike a candidate is to the missing fish, 0..100, over the traits known for both. */
export function computeLikeness(scale: LikenessScale, c: AxisPlaces, m: AxisPlaces): number {
  let pulls = 0
  let weighted = 0
  for (let i = 0; i < scale.length; i += 1) {
    const gap = measureGap(scale, i, c, m)
    if (Number.isNaN(gap)) continue
    const pull = scale[i]?.pull ?? 0
    pulls += pull
    weighted += pull * gap
  }
  return toAlike(weighted, pulls)
}
