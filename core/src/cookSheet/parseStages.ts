import type { CookRequest, CookStage, Result } from '@tender-gill/contract'
import { celsius, length, say, type Problem } from '../facts/index.ts'
import { COOK_MEDIUM_TABLE } from '../tables/cookMedia.ts'
import { LEAST_DEPTH_MM, LEAST_START_C, USUAL_REST, type PlannedStage } from '../tables/cookPlans.ts'

/** Stages in the heat, and what it rests on after them. */
export interface StagesAsked {
  readonly stages: readonly PlannedStage[]
  readonly rest: PlannedStage
}

const rests = ({ medium }: CookStage): boolean => medium.startsWith('rest-')

/** Shares of the minutes that are not fixed: as said, as much each where nothing is said; they come to one. */
function shareOut(stages: readonly CookStage[]): readonly PlannedStage[] {
  const open = stages.filter(({ minutes }) => minutes === undefined)
  const sum = open.reduce((all, { share }) => all + (share ?? 1), 0)
  return stages.map(({ medium, celsius: at, minutes, share, turned }) => ({
    medium,
    ...(at !== undefined && { celsius: at }),
    ...(turned && { turned }),
    ...(minutes === undefined ? { share: sum > 0 ? (share ?? 1) / sum : 1 / open.length } : { minutes }),
  }))
}

/** Stages as they were asked for, or each problem with its place; undefined where none were. */
export function parseStages({ stages }: Pick<CookRequest, 'stages'>): Result<StagesAsked | undefined, readonly Problem[]> {
  if (!stages) return { ok: true, value: undefined }
  const problems: Problem[] = []
  stages.forEach((stage, i) => {
    const { leastC, mostC } = COOK_MEDIUM_TABLE[stage.medium]
    if (stage.celsius !== undefined && (stage.celsius < leastC || stage.celsius > mostC))
      problems.push({ path: `/stages/${i}/celsius`, message: say('problem.cook-warmth', { from: celsius(leastC), to: celsius(mostC) }) })
    if (rests(stage) && i < stages.length - 1) problems.push({ path: `/stages/${i}/medium`, message: say('problem.cook-rest-last') })
  })
  const heated = stages.filter((stage) => !rests(stage))
  if (heated.length === 0) problems.push({ path: '/stages', message: say('problem.cook-no-heat') })
  const last = stages.at(-1)
  return problems.length > 0
    ? { ok: false, error: problems }
    : { ok: true, value: { stages: shareOut(heated), rest: last && rests(last) ? { ...USUAL_REST, medium: last.medium } : USUAL_REST } }
}

/** What the model cannot judge: fish still frozen, and pieces without a middle. */
export function findUnjudged({ startC, thicknessMm }: Pick<CookRequest, 'startC' | 'thicknessMm'>): readonly Problem[] {
  const found: Problem[] = []
  if (startC !== undefined && startC < LEAST_START_C)
    found.push({ path: '/startC', message: say('problem.cook-frozen', { temperature: celsius(LEAST_START_C) }) })
  if (thicknessMm !== undefined && thicknessMm < LEAST_DEPTH_MM)
    found.push({ path: '/thicknessMm', message: say('problem.cook-thin', { depth: length(LEAST_DEPTH_MM) }) })
  return found
}
