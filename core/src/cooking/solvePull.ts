import { COOK_MEDIUM_TABLE } from '../tables/cookMedia.ts'
import type { PlannedStage } from '../tables/cookPlans.ts'
import { runCook, type LaidStage, type Piece, type Run, type RunOptions } from './runCook.ts'

/** A plan and what it is for. */
export interface CookGoal {
  readonly stages: readonly PlannedStage[]
  readonly rest: PlannedStage
  /** Wanted in the middle, degrees C. */
  readonly targetC: number
  /** Whether it has to be there when it is taken out, or may come while it rests. */
  readonly reachedBy: 'pull' | 'rest'
}
/** How the minutes were found. */
export type SolvedCook =
  | { readonly kind: 'solved'; readonly openS: number; readonly run: Run }
  /** Every minute is fixed by the plan. */
  | { readonly kind: 'fixed'; readonly openS: 0; readonly run: Run }
  /** The fixed minutes alone take it past the target. */
  | { readonly kind: 'past'; readonly openS: 0; readonly run: Run }
  /** No time brings the middle there. */
  | { readonly kind: 'never'; readonly hottestC: number }

const celsiusOf = ({ medium, celsius }: PlannedStage): number => celsius ?? COOK_MEDIUM_TABLE[medium].usualC

/** A plan with its open minutes shared out. @param openS minutes that are not fixed, together, s */
export const layStages = (stages: readonly PlannedStage[], openS: number): readonly LaidStage[] =>
  stages.map((stage) => ({
    ...{ medium: stage.medium, celsius: celsiusOf(stage), turned: stage.turned ?? false },
    seconds: stage.minutes === undefined ? (stage.share ?? 0) * openS : stage.minutes * 60,
  }))

export const layRest = (rest: PlannedStage): LaidStage => ({
  ...{ medium: rest.medium, celsius: celsiusOf(rest) },
  seconds: 0,
  turned: false,
})

const FIRST_GUESS_S = 240
/** Time grows about so with depth. */
const depthOver = ({ depthMm }: Piece): number => Math.max(0.3, (depthMm / 20) ** 1.7)
/** Nobody waits longer for a piece of fish, s. */
const LONGEST_S = 6 * 3600
/** Minutes are found to this share of themselves, or the temperature to this much, K. */
const NEAR_SHARE = 0.003
const NEAR_K = 0.04
const MOST_ROUNDS = 40
/** While it is not there yet, the next cook is so many times as long. */
const ONWARDS = { least: 1.1, most: 3 } as const

/** The hottest that the middle could come to in a plan, degrees C. */
const hottestOf = (stages: readonly PlannedStage[]): number =>
  Math.max(
    ...stages.map((stage) => {
      const { around, above, below } = COOK_MEDIUM_TABLE[stage.medium].faces(celsiusOf(stage), {
        ...{ skinBelow: false, skinAbove: false, searedAbove: false },
      })
      return Math.max(...[around, above, below].map(({ mediumC, capC = Infinity }) => Math.min(mediumC, capC)))
    }),
  )

interface Tried {
  readonly openS: number
  readonly run: Run
  /** Above the target, K. */
  readonly over: number
  /** Of what is left to the hottest that it could come to, how much less than at the target, as a logarithm: hardly bent once heat is in the middle. */
  readonly progress: number
}

/**
 * The minutes of a plan that are not fixed, such that the middle comes to the target: a root of a function that rises with time, bracketed,
 * then by regula falsi with halving of the end that stays (Illinois), on the logarithm of what is left to the hottest: that falls straight
 * with time in the first term of the series, so that few cooks are led through.
 */
export function solvePull(piece: Piece, goal: CookGoal, options: RunOptions): SolvedCook {
  const { stages, rest, targetC, reachedBy } = goal
  const lead = (openS: number, how: RunOptions): Run => runCook(piece, layStages(stages, openS), layRest(rest), how)
  const hottestC = hottestOf(stages)
  const progressAt = (reachedC: number): number => Math.log((hottestC - targetC) / Math.max(NEAR_K, hottestC - reachedC))
  // Where it has to be there when it is taken out, its rest says nothing about the minutes: it is followed once they are found.
  const attempt = (openS: number): Tried => {
    const run = lead(openS, reachedBy === 'pull' ? { ...options, mostRestS: 0 } : options)
    const reachedC = reachedBy === 'pull' ? run.pullC : run.peakC
    return { openS, run, over: reachedC - targetC, progress: progressAt(reachedC) }
  }
  const followRest = ({ openS, run }: Tried): Run => (reachedBy === 'pull' ? lead(openS, options) : run)
  const allFixed = stages.every(({ minutes }) => minutes !== undefined)
  // Where nothing is fixed, no time at all leaves it as it was.
  const fixed = piece.startC >= targetC || stages.some(({ minutes }) => minutes !== undefined) ? attempt(0) : undefined
  if (fixed && allFixed) return { kind: 'fixed', openS: 0, run: followRest(fixed) }
  if (fixed && fixed.over >= 0) return { kind: 'past', openS: 0, run: followRest(fixed) }
  if (hottestC <= targetC) return { kind: 'never', hottestC }
  let low: Pick<Tried, 'openS' | 'progress'> = fixed ?? { openS: 0, progress: progressAt(piece.startC) }
  let high = attempt(FIRST_GUESS_S * depthOver(piece))
  while (high.over < 0 && high.openS < LONGEST_S) {
    // As straight on as it came. The middle lags at first, so that this is mostly beyond; where it is not, it goes on from there.
    const rise = high.progress - low.progress
    const onwards = rise > 0 ? high.openS - (high.progress * (high.openS - low.openS)) / rise : Infinity
    low = high
    high = attempt(Math.min(ONWARDS.most * high.openS, Math.max(ONWARDS.least * high.openS, onwards)))
  }
  if (high.over < 0) return { kind: 'never', hottestC: followRest(high).peakC }
  let [lowWeight, highWeight, last] = [1, 1, 0]
  for (let i = 0; i < MOST_ROUNDS && high.openS - low.openS > NEAR_SHARE * high.openS; i += 1) {
    const [a, b] = [low.progress * lowWeight, high.progress * highWeight]
    const found = attempt(low.openS + ((high.openS - low.openS) * -a) / (b - a))
    if (Math.abs(found.over) < NEAR_K) return { kind: 'solved', openS: found.openS, run: followRest(found) }
    if (found.over < 0) {
      low = found
      lowWeight = 1
      highWeight = last < 0 ? highWeight / 2 : 1
      last = -1
    } else {
      high = found
      highWeight = 1
      lowWeight = last > 0 ? lowWeight / 2 : 1
      last = 1
    }
  }
  return { kind: 'solved', openS: high.openS, run: followRest(high) }
}
