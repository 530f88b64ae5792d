import type { NormalisedBrief } from '../facts/index.ts'
import type { Scoring } from '../fit/index.ts'
import { AXES, DESIRABILITY_FLOOR, RAW_AS_COOKED, UNKNOWN_DESIRABILITY, colourLikeness } from '../tables/constants.ts'
import { readTrait, type Candidate } from '../traits/index.ts'

/** Desirability written out, one line a step, with none of the engine's helpers for it. */
export function referenceDesirability(key: keyof typeof AXES, x: number, from: number | null, to: number | null): number {
  const { scale, shoulder } = AXES[key]
  const g = (value: number) => (scale === 'sqrt' ? Math.sqrt(value) : scale === 'ln' ? Math.log(value) : value)
  const below = from === null ? 0 : g(from) - g(x)
  const above = to === null ? 0 : g(x) - g(to)
  return Math.max(DESIRABILITY_FLOOR, 1 - Math.max(0, below, above) / shoulder)
}

/** Fit written out as a product of powers, the straightforward way: the oracle that `computeFit` must equal to 1e-9. */
export function referenceFit(candidate: Candidate, brief: NormalisedBrief, { asks }: Scoring): number {
  const pulls = asks.reduce((sum, { ask }) => sum + ask.pull, 0)
  if (pulls === 0) return 100
  let product = 1
  for (const { key, ask } of asks) {
    let d: number
    if (key === 'colour')
      d = Math.max(
        DESIRABILITY_FLOOR,
        ...(ask.wanted ?? []).map((want) =>
          colourLikeness(want, brief.doneness === 'rare' ? RAW_AS_COOKED[candidate.offer.rawColour] : candidate.offer.cookedColour),
        ),
      )
    else {
      const value = readTrait(key, candidate, brief)
      d = value ? referenceDesirability(key, value.typical, ask.from, ask.to) : UNKNOWN_DESIRABILITY
    }
    product *= d ** (ask.pull / pulls)
  }
  return 100 * product
}
