import type { AskKey, CookedColour, Range } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { desirabilityOfMiss } from '../axes/index.ts'
import { UNKNOWN_DESIRABILITY, colourLikeness } from '../tables/constants.ts'
import { readColour, readTrait, type Candidate } from '../traits/index.ts'
import type { ScoredAsk, Scoring } from './scoring.ts'

/** How one ask found one candidate. */
export interface Reading {
  readonly key: AskKey
  readonly pull: number
  /** Null for colour and for what is not known. */
  readonly value: Range | null
  readonly unknown: boolean
  /** Distance outside the band in shoulders, 0 inside. */
  readonly miss: number
  readonly desirability: number
}

export interface Fit {
  /** 0..100, unrounded. */
  readonly fit: number
  /** Sum of pull x miss: the tie-breaker between equal fits. */
  readonly missSum: number
  /**
   * Sum of pull x miss at the low and the high end of each range: between fish that are equal so far, the one whose range stays closer to
   * the bands goes first. A whole band is equally good, so ties are common, and a name should not decide them.
   */
  readonly rangeMissSum: number
  readonly readings: readonly Reading[]
}

const bestLikeness = (wanted: readonly CookedColour[], colour: CookedColour) =>
  Math.max(0, ...wanted.map((want) => colourLikeness(want, colour)))

function readAsk({ key, ask, missOf }: ScoredAsk, candidate: Candidate, brief: NormalisedBrief): Reading {
  const pull = ask.pull
  if (key === 'colour') {
    const miss = 1 - bestLikeness(ask.wanted ?? [], readColour(candidate.offer, brief))
    return { key, pull, value: null, unknown: false, miss, desirability: desirabilityOfMiss(miss) }
  }
  const value = readTrait(key, candidate, brief)
  if (!value) return { key, pull, value, unknown: true, miss: 1 - UNKNOWN_DESIRABILITY, desirability: UNKNOWN_DESIRABILITY }
  const miss = missOf(value.typical)
  return { key, pull, value, unknown: false, miss, desirability: desirabilityOfMiss(miss) }
}

/**
 * Fit of a candidate for a brief: 100 exp(sum w ln d / sum w) over the scored asks (weighted geometric mean after Derringer and Suich,
 * 1980). No asks gives 100.
 */
export function computeFit(candidate: Candidate, brief: NormalisedBrief, { asks }: Scoring): Fit {
  const readings = asks.map((scored) => readAsk(scored, candidate, brief))
  let pulls = 0
  let logs = 0
  let missSum = 0
  let rangeMissSum = 0
  readings.forEach(({ pull, desirability, miss, value }, i) => {
    const missOf = asks[i]?.missOf
    if (missOf && value) rangeMissSum += pull * (missOf(value.low) + missOf(value.high))
    pulls += pull
    if (desirability < 1) logs += pull * Math.log(desirability)
    missSum += pull * miss
  })
  return { fit: pulls > 0 ? 100 * Math.exp(logs / pulls) : 100, missSum, rangeMissSum, readings }
}
