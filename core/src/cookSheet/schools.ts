import type { Doneness } from '@tender-gill/contract'
import { eatsVulnerable, QUICK, solvePull, type CookGoal, type Piece } from '../cooking/index.ts'
import type { Cook, NormalisedBrief } from '../facts/index.ts'
import { DONE_C } from '../tables/cookPlans.ts'
import { spread } from './listSigns.ts'

/** Minutes of a piece with something else about it; null where it cannot be had. */
export function minutesOf(piece: Piece, goal: CookGoal): number | null {
  const solved = solvePull(piece, goal, QUICK)
  return solved.kind === 'solved' ? solved.run.cookedS / 60 : null
}

/** How far one may cook it: every school, with its minutes by the same stages; closed for the vulnerable but the guideline. */
export function listSchools(piece: Piece, goalOf: (targetC: number) => CookGoal, brief: NormalisedBrief): Cook['schools'] {
  const vulnerable = eatsVulnerable(brief)
  const shown = (Object.keys(DONE_C) as Doneness[]).filter((doneness) => doneness !== 'rare' || brief.doneness === 'rare')
  return shown.map((doneness: Doneness) => {
    const targetC = DONE_C[doneness]
    const solved = solvePull(piece, goalOf(targetC), QUICK)
    const known = solved.kind === 'solved'
    return {
      ...{ doneness, targetC, closed: vulnerable && doneness !== 'set' },
      minutes: known ? spread(solved.run.cookedS / 60) : null,
      coreC: known ? solved.run.pullC : null,
    }
  })
}

/** Steps by which the minutes are tried: depth and heat as shares, the others in kelvins. */
const STEP = { thickness: 0.1, start: 5, target: 4, heat: 0.05 } as const

/** What the minutes hang on most: each a little less and a little more, all else as it is. */
export function listSensitivity(piece: Piece, goal: CookGoal, heated: (by: number) => CookGoal): Cook['sensitivity'] {
  const deeper = (by: number): Piece => ({ ...piece, depthMm: piece.depthMm * by })
  return [
    {
      what: 'thickness',
      less: minutesOf(deeper(1 - STEP.thickness), goal),
      more: minutesOf(deeper(1 + STEP.thickness), goal),
    },
    {
      what: 'start',
      less: minutesOf({ ...piece, startC: piece.startC - STEP.start }, goal),
      more: minutesOf({ ...piece, startC: piece.startC + STEP.start }, goal),
    },
    {
      what: 'target',
      less: minutesOf(piece, { ...goal, targetC: goal.targetC - STEP.target }),
      more: minutesOf(piece, { ...goal, targetC: goal.targetC + STEP.target }),
    },
    { what: 'heat', less: minutesOf(piece, heated(1 - STEP.heat)), more: minutesOf(piece, heated(1 + STEP.heat)) },
  ]
}
