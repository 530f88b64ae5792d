import type { NormalisedBrief, PointsLost } from '../facts/index.ts'
import { describeMiss } from './describeMiss.ts'
import type { Fit } from './computeFit.ts'
import { splitPoints } from './splitPoints.ts'
import { toTenth } from '../rounding/index.ts'

/** Points lost by ask, in proportion to pull x -ln d, adding up exactly to 100 less the shown fit; the heaviest first. */
export function explainPoints({ fit, readings }: Fit, brief: NormalisedBrief): readonly PointsLost[] {
  const weights = readings.map(({ pull, desirability }) => pull * -Math.log(desirability))
  const shares = splitPoints(weights, toTenth(100 - toTenth(fit)))
  const currency = brief.budget?.currency ?? brief.house.usualPortionCost?.currency ?? null
  return readings
    .map((reading, i) => ({
      trait: reading.key,
      points: shares[i] ?? 0,
      sentence: describeMiss(reading, brief.asks[reading.key], currency),
    }))
    .filter(({ points }) => points > 0)
    .sort((a, b) => b.points - a.points)
}
