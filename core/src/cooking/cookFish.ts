import type { Form, ResolvedOffer } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { COOK_PLANS, DONE_C, LONGEST_ON_ONE_FACE_MIN, USUAL_REST } from '../tables/cookPlans.ts'
import { METHOD_TABLE, type Heat } from '../tables/methods.ts'
import type { Candidate } from '../traits/index.ts'
import { createPiece } from './createPiece.ts'
import { QUICK } from './grids.ts'
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

type Minutes = Partial<Record<Form, CookedFish | null>>
const remembered = new WeakMap<NormalisedBrief, WeakMap<ResolvedOffer, Minutes>>()

function cookAnew(candidate: Candidate, brief: NormalisedBrief): CookedFish | undefined {
  const goal = findGoal(brief)
  if (!goal) return undefined
  const piece = createPiece(
    candidate,
    brief,
    goal.stages.map(({ medium }) => medium),
  )
  const solved = solvePull(piece, goal, QUICK)
  return solved.kind === 'never' ? undefined : { minutes: solved.run.cookedS / 60, pullC: solved.run.pullC }
}

/**
 * How one fish cooks in a dish, from the fridge to done: the one model of minutes there is, whoever asks. Heat is led through the piece
 * (`conduction`) in the media of the dish; remembered for as long as the brief is. Within a fifth.
 * @returns minutes until it is taken out, and at what temperature in the middle; undefined where no medium tells them
 */
export function cookFish(candidate: Candidate, brief: NormalisedBrief): CookedFish | undefined {
  const ofBrief = remembered.get(brief) ?? new WeakMap<ResolvedOffer, Minutes>()
  remembered.set(brief, ofBrief)
  const known = ofBrief.get(candidate.offer) ?? {}
  ofBrief.set(candidate.offer, known)
  const cooked = known[candidate.form] === undefined ? (cookAnew(candidate, brief) ?? null) : known[candidate.form]
  known[candidate.form] = cooked ?? null
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
