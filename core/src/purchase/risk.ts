import { computeNormalCdf, computeNormalQuantile } from '../statistics/index.ts'
import type { KeptShare } from './keptShare.ts'

/** A hair, so that what is just enough is not short for the last bit of a double. */
const HAIR = 1e-9

/** Whole fish of a grade: their middle weight, g, and the variance of one of them, as a share of that weight squared (even over the grade). */
export interface Pieces {
  readonly eachG: number
  readonly variance: number
}
export const piecesOf = ({ fromG, toG }: { readonly fromG: number; readonly toG: number }): Pieces => {
  const eachG = (fromG + toG) / 2
  return { eachG, variance: (toG - fromG) ** 2 / 12 / eachG ** 2 }
}

/**
 * Weight to buy so that it falls short of the need with a given chance: need / exp(mean + z(p) sd), ln of the kept share being normal.
 * @param needG on the plates, g   @param chance 0..1, both excluded
 */
export const computeWeightForRiskG = (needG: number, { mean, sd }: KeptShare, chance: number): number =>
  needG / Math.exp(mean + computeNormalQuantile(chance) * sd)

/**
 * Chance that what is bought falls short of the need.
 * @param variance of the weight bought itself, where fish are counted: that of one over their number   @returns 0..1
 */
export function computeShortChance(needG: number, boughtG: number, { mean, sd }: KeptShare, variance = 0): number {
  const short = Math.log(needG / boughtG) - mean
  const spread = Math.sqrt(sd * sd + variance)
  if (spread === 0) return short > HAIR ? 1 : 0
  return computeNormalCdf(short / spread)
}

/** Portions that a weight feeds at a given chance of falling short: the other way round of the weight for a risk. */
export const countFed = (boughtG: number, portionG: number, { mean, sd }: KeptShare, chance: number): number =>
  Math.floor((boughtG * Math.exp(mean + computeNormalQuantile(chance) * sd)) / portionG + HAIR)

/** Smallest number of fish of a grade, cut up, that falls short of the need with at most a given chance. */
export function countFishToCut(needG: number, { eachG, variance }: Pieces, kept: KeptShare, chance: number): number {
  const chanceOf = (count: number) => computeShortChance(needG, count * eachG, kept, variance / count)
  // More fish never fall short more often: doubled until enough, then halved down to the smallest.
  let enough = 1
  while (chanceOf(enough) > chance) enough *= 2
  let few = Math.floor(enough / 2)
  while (enough - few > 1) {
    const middle = Math.floor((enough + few) / 2)
    if (chanceOf(middle) > chance) few = middle
    else enough = middle
  }
  return enough
}

/** Weights are asked for in steps of this, g, where nothing else is said. */
export const USUAL_STEP_G = 50
/** Whole steps, packs or fish that a weight takes: rounded up, never down. */
export const countSteps = (g: number, stepG: number): number => Math.ceil(g / stepG - HAIR)
