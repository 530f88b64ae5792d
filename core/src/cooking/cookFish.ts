import type { Method, ResolvedOffer } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { COOK_PLANS, DONE_C, LONGEST_ON_ONE_FACE_MIN, USUAL_REST } from '../tables/cookPlans.ts'
import { METHOD_TABLE, type Heat } from '../tables/methods.ts'
import { readTrait, type Candidate } from '../traits/index.ts'
import { createPiece } from './createPiece.ts'
import { QUICK } from './grids.ts'
import type { Piece } from './runCook.ts'
import { solvePull, type CookGoal } from './solvePull.ts'

/** Minutes of a fish in a dish. */
export interface CookedFish {
  /** From the cold to the moment it is taken out. */
  readonly minutes: number
  /** Of the middle when it is taken out, degrees C; resting brings it to the target. */
  readonly pullC: number
}

/** Time grows as depth to this power where no plan tells minutes, as in smoke and broth: exponents of transient conduction, 20 to 30 mm. */
const DEPTH_EXPONENT: { readonly [H in Heat]?: number } = { water: 1.85, dry: 1.59 }

/** Whether somebody eats for whom nothing is left to the rest. */
export const eatsVulnerable = ({ diners: { children, pregnant, elderly, immunocompromised } }: NormalisedBrief): boolean =>
  children + pregnant + elderly + immunocompromised > 0

/** Wanted in the middle of a dish, degrees C: all the way where somebody vulnerable eats, whatever was asked. */
export const findTargetC = (brief: NormalisedBrief): number => DONE_C[eatsVulnerable(brief) ? 'set' : brief.doneness]

/** What a dish wants of its middle, and how it is cooked where nobody says otherwise; undefined where no heat tells minutes. */
export function findGoal(brief: NormalisedBrief): CookGoal | undefined {
  const targetC = findTargetC(brief)
  const stages = COOK_PLANS[brief.method]?.(targetC)
  return stages && { stages, rest: USUAL_REST, targetC, reachedBy: eatsVulnerable(brief) ? 'pull' : 'rest' }
}

/** All that the minutes of a fish in a dish hang on; the flesh by its fat. */
const nameCook = (
  { depthMm, startC, across, shapeNumber, skin }: Piece,
  fatG: number | undefined,
  method: Method,
  { targetC, reachedBy }: CookGoal,
) => [method, targetC, reachedBy, fatG, depthMm, startC, across?.halfM, across?.exponent, shapeNumber, skin].join('|')

const remembered = new WeakMap<ResolvedOffer, Map<string, CookedFish | null>>()
/** The offers of the shipped book stand as long as the server: no more dishes than this are remembered with each. */
const MOST_REMEMBERED = 60

/**
 * How one fish cooks in a dish, from the fridge to done: the one model of minutes there is, whoever asks. Heat is led through the piece
 * (`conduction`) in the media of the dish; remembered with the offer, for every dish in which it is the same piece. Within a
 * fifth.
 * @returns minutes until it is taken out, and at what temperature in the middle; undefined where no medium tells them
 */
export function cookFish(candidate: Candidate, brief: NormalisedBrief): CookedFish | undefined {
  const goal = findGoal(brief)
  if (!goal) return undefined
  const media = goal.stages.map(({ medium }) => medium)
  const piece = createPiece(candidate, brief, media)
  const name = nameCook(piece, readTrait('fat', candidate, brief)?.typical, brief.method, goal)
  const known = remembered.get(candidate.offer) ?? new Map<string, CookedFish | null>()
  remembered.set(candidate.offer, known)
  const ready = known.get(name)
  if (ready !== undefined) return ready ?? undefined
  const solved = solvePull(piece, goal, QUICK)
  const cooked = solved.kind === 'never' ? null : { minutes: solved.run.cookedS / 60, pullC: solved.run.pullC }
  if (known.size >= MOST_REMEMBERED) known.clear()
  known.set(name, cooked)
  return cooked ?? undefined
}

/** Whether a face burns before a dish that takes that long is done, in the stages it usually goes through. @param minutes in the heat */
export const burnsWithin = (brief: NormalisedBrief, minutes: number): boolean =>
  findGoal(brief)?.stages.some(({ medium, share = 0 }) => share * minutes > (LONGEST_ON_ONE_FACE_MIN[medium] ?? Infinity)) ?? false

/** How many times as long one fish takes as another by depth alone, where no minutes can be told; undefined without heat. */
export function compareByDepth(candidate: Candidate, other: Candidate, brief: NormalisedBrief): number | undefined {
  const exponent = DEPTH_EXPONENT[METHOD_TABLE[brief.method].heat]
  return exponent === undefined ? undefined : (candidate.offer.depthMm.typical / other.offer.depthMm.typical) ** exponent
}
