import type { CookRequest, Fact, Gate, Range, ResolvedOffer, Result } from '@tender-gill/contract'
import {
  composeFish,
  createPiece,
  eatsVulnerable,
  findGoal,
  findTargetC,
  layRest,
  layStages,
  QUICK,
  runCook,
  solvePull,
  type CookGoal,
  type LaidStage,
  type Piece,
  type SolvedCook,
} from '../cooking/index.ts'
import { celsius, figure, length, minutes, say, term, type Cook, type NormalisedBrief, type Problem } from '../facts/index.ts'
import { describeGate } from '../gates/index.ts'
import { computeProperties } from '../heat/index.ts'
import { createBoard, findEntry } from '../lineUp/index.ts'
import { keepSpecies, type ChosenSheet } from '../market/index.ts'
import { findWindows } from '../preparing/index.ts'
import { findCautions } from '../safety/index.ts'
import { ENGINE_VERSION } from '../tables/constants.ts'
import { COOK_MEDIUM_TABLE } from '../tables/cookMedia.ts'
import { COOK_PLANS, MOST_DEPTH_MM, TIME_ERROR, USUAL_REST } from '../tables/cookPlans.ts'
import { readTrait, type Candidate } from '../traits/index.ts'
import { listCookCautions } from './cookCautions.ts'
import { drawCurve, type Curve } from './drawCurve.ts'
import { listSigns, spread } from './listSigns.ts'
import { findUnjudged, parseStages } from './parseStages.ts'
import { listSchedule } from './schedule.ts'
import { listSchools, listSensitivity, minutesOf } from './schools.ts'

type Answer<T> = Result<T, readonly Problem[]>
const refuse = (path: string, message: Fact): Answer<never> => ({ ok: false, error: [{ path, message }] })

/** Powers of ten of Listeria for a minute at 70 degrees C. */
const LISTERIA_D70_MIN = 1 / 3
/** The thin end of a fillet is about this deep against its thick end. */
const THIN_END = 0.55
/** Temperature at which the properties are told, degrees C. */
const TOLD_AT_C = 40

/** A dish, a fish of it and how it goes, before anything is worked out. */
interface Asked {
  readonly brief: NormalisedBrief
  readonly candidate: Candidate
  readonly piece: Piece
  readonly goal: CookGoal
}

/** What rests, and the stages in the heat, as they are shown. */
function layOut(stages: readonly LaidStage[], { run }: Curve, rest: LaidStage, skin: boolean): Cook['stages'] {
  let [at, skinDown] = [0, skin]
  const shown = stages.map(({ medium, celsius: warmth, seconds, turned }) => {
    if (turned) skinDown = !skinDown
    const from = at
    at += seconds / 60
    const { oneSided, place } = COOK_MEDIUM_TABLE[medium]
    const face = !oneSided ? ('all' as const) : skinDown && skin ? ('skin' as const) : ('flesh' as const)
    return { medium, celsius: warmth, fromMinutes: from, toMinutes: at, face, turned, place, rest: false }
  })
  const resting = { medium: rest.medium, celsius: rest.celsius, fromMinutes: at, toMinutes: run.peakS / 60, face: 'all' as const }
  return [...shown, { ...resting, turned: false, place: null, rest: true }]
}

/** Where the middle comes to by the clock alone: taken out early, in time and late by what times are good to. */
function findPeaks(piece: Piece, stages: readonly LaidStage[], rest: LaidStage): Cook['peakC'] {
  const peakAfter = (by: number) =>
    runCook(
      piece,
      stages.map((stage) => ({ ...stage, seconds: stage.seconds * by })),
      rest,
      QUICK,
    ).peakC
  return { low: peakAfter(1 - TIME_ERROR), typical: peakAfter(1), high: peakAfter(1 + TIME_ERROR) }
}

/** The thin end of a fillet, out with the thick end. */
function findThinEnd({ brief, piece, goal }: Asked, stages: readonly LaidStage[], rest: LaidStage): Cook['thinEnd'] {
  if (brief.format !== 'fillet-skin-on' && brief.format !== 'fillet-skinless') return null
  const thin = { ...piece, depthMm: piece.depthMm * THIN_END }
  return { depthMm: thin.depthMm, peakC: runCook(thin, stages, rest, QUICK).peakC, minutes: minutesOf(thin, goal) }
}

const heatedBy =
  ({ goal }: Asked) =>
  (by: number): CookGoal => ({
    ...goal,
    stages: goal.stages.map((stage) => ({ ...stage, celsius: (stage.celsius ?? COOK_MEDIUM_TABLE[stage.medium].usualC) * by })),
  })

/** A fish that forgives long cooking, and one that dries in it; flesh that gives body to its sauce. On the 0 to 10 scales. */
const FORGIVES = 6
const DRIES = 4
const GIVES_BODY = 5

/** What long cooking does to a fish whose middle is done long before. */
function describeLong({ candidate, brief }: Asked): Fact {
  const typical = (trait: 'tolerance' | 'collagen') => readTrait(trait, candidate, brief)?.typical ?? DRIES
  const tolerance = typical('tolerance')
  return say('cook.long', {
    flesh: tolerance >= FORGIVES ? 'forgives' : tolerance < DRIES ? 'dries' : 'bears',
    body: typical('collagen') >= GIVES_BODY ? 'yes' : 'no',
  })
}

/** What it comes to, in a sentence. */
function sumUp({ run }: Curve, asked: Asked): Fact {
  const { goal, brief } = asked
  // As a cook says them: halves below ten, whole above.
  const whole = (seconds: number) => (seconds < 600 ? Math.round(seconds / 30) / 2 : Math.round(seconds / 60))
  const { low, high } = spread(run.cookedS)
  const common = {
    low: figure(whole(low), 1),
    high: minutes(whole(high)),
    core: celsius(Math.round(run.pullC)),
    peak: celsius(Math.round(run.peakC)),
  }
  const rises = goal.reachedBy === 'rest' && run.peakC - run.pullC >= 1 ? 'yes' : 'no'
  return brief.longCooking || brief.method === 'braise'
    ? say('cook.sum.long', { ...common, rises, long: describeLong(asked) })
    : say('cook.sum', { ...common, rises })
}

type Solved = Exclude<SolvedCook, { kind: 'never' }>

function writeSheet(asked: Asked, solved: Solved, request: CookRequest): Cook {
  const { brief, candidate, piece, goal } = asked
  const stages = layStages(goal.stages, solved.openS)
  const rest = layRest(goal.rest)
  const curve = drawCurve(piece, stages, rest)
  const { run } = curve
  const composition = composeFish(candidate, brief)
  const fatG = readTrait('fat', candidate, brief)?.typical ?? 0
  const windows = findWindows({ depthMm: piece.depthMm, fatG }, brief)
  const signs = listSigns(curve, stages, candidate, brief)
  return {
    ...{ species: candidate.offer.species, offerId: candidate.offer.id, depthMm: piece.depthMm, startC: piece.startC },
    ...{ targetC: goal.targetC, doneness: eatsVulnerable(brief) ? 'set' : brief.doneness, reachedBy: goal.reachedBy },
    composition: { ...composition },
    properties: { ...computeProperties(composition, TOLD_AT_C) },
    pull: {
      minutes: spread(run.cookedS / 60),
      coreC: run.pullC,
      probeC: { low: run.pullC, typical: (run.pullC + run.offCoreC) / 2, high: Math.max(run.pullC, run.offCoreC) },
    },
    peakC: findPeaks(piece, stages, rest),
    total: spread(run.peakS / 60),
    stages: layOut(stages, curve, rest, piece.skin),
    curve: curve.moments.map((moment) => ({ ...moment })),
    f70Minutes: run.f70Minutes,
    logCut: run.f70Minutes / LISTERIA_D70_MIN,
    signs: [...signs],
    schools: listSchools(piece, (targetC) => ({ ...goal, ...replan(goal, brief, request, targetC), targetC }), brief),
    thinEnd: findThinEnd(asked, stages, rest),
    sensitivity: listSensitivity(piece, goal, heatedBy(asked)),
    windows: [...windows],
    schedule: request.serveAt === undefined ? null : listSchedule(request.serveAt, run, stages, windows),
    cautions: [],
    sentence: sumUp(curve, asked),
    engineVersion: ENGINE_VERSION,
  }
}

/** A bath stands above what is wanted: where nobody said how warm, it goes with the target. */
const replan = (goal: CookGoal, brief: NormalisedBrief, { stages }: CookRequest, targetC: number): Pick<CookGoal, 'stages'> => ({
  stages: stages ? goal.stages : (COOK_PLANS[brief.method]?.(targetC) ?? goal.stages),
})

/** Why no minutes bring it there, with its place. */
const refuseNever = (hottestC: number, targetC: number, { stages }: CookRequest): Answer<never> =>
  refuse(stages ? '/stages' : '/method', say('problem.cook-never', { hottest: celsius(Math.round(hottestC)), target: celsius(targetC) }))

/** How thick a fish lies in a dish that names a cut: as it is cut, and never thicker than its flesh; undefined where none is named. */
export const cutThicknessMm = (
  { thicknessMm }: { readonly thicknessMm?: number | undefined },
  { depthMm }: Pick<ResolvedOffer, 'depthMm'>,
): number | undefined => (thicknessMm === undefined ? undefined : Math.min(thicknessMm, depthMm.typical))

/**
 * A dish, a fish of it and how it goes, with its minutes found; every problem with its place where it cannot be.
 * @param measured the thickness is that of the piece in hand; else it is the dish's cut, and a fish may be thinner
 */
function layCook(
  request: CookRequest,
  sheet: ChosenSheet,
  today: string,
  measured: boolean,
): Answer<Asked & { readonly solved: Solved; readonly gates: readonly Gate[] }> {
  const { fish, offer: _offer, weightG, startC, stages: _stages, serveAt: _serveAt, ...brief } = request
  const unjudged = findUnjudged(request)
  if (unjudged.length > 0) return { ok: false, error: unjudged }
  const asked = parseStages(request)
  if (!asked.ok) return asked
  const laid = createBoard(brief, keepSpecies(sheet, fish), today)
  if (!laid.ok) return laid
  const found = findEntry(request, laid.value)
  if (!found.ok) return found
  const { brief: dish } = laid.value
  const { candidate, gates } = found.value.entry
  const base = findGoal(dish) ?? { targetC: findTargetC(dish), reachedBy: 'rest' as const, stages: [], rest: USUAL_REST }
  const goal: CookGoal = { ...base, ...asked.value }
  if (goal.stages.length === 0) return refuse('/method', say('problem.cook-no-heat-known', { method: term('method', dish.method) }))
  const media = goal.stages.map(({ medium }) => medium)
  const piece = createPiece(candidate, dish, media, { thicknessMm: measured ? request.thicknessMm : undefined, weightG, startC })
  if (piece.depthMm > MOST_DEPTH_MM) return refuse('/weightG', say('problem.cook-thick', { depth: length(MOST_DEPTH_MM) }))
  // The minutes every face tells; the curve is then drawn on the fine grid for the same stages.
  const solved = solvePull(piece, goal, QUICK)
  if (solved.kind === 'never') return refuseNever(solved.hottestC, goal.targetC, request)
  return { ok: true, value: { brief: dish, candidate, piece, goal, solved, gates } }
}

/**
 * How a fish is cooked for a dish: heat through the piece stage by stage, when to take it out and where it comes to while it rests, what to
 * look for, the schools of doing it, and what can be done to it before. Times are good to a fifth.
 * @param request already valid by its schema   @returns the sheet unrounded, or every problem with its place
 */
export function answerCook(request: CookRequest, sheet: ChosenSheet, { today }: { readonly today: string }): Answer<Cook> {
  const laid = layCook(request, sheet, today, true)
  if (!laid.ok) return laid
  const { brief, candidate, goal, solved, gates } = laid.value
  const cautions = [
    ...gates.map((gate) => ({ kind: gate, sentence: describeGate(gate, candidate, brief) })),
    ...findCautions(candidate.offer, brief),
    ...listCookCautions(layStages(goal.stages, solved.openS), brief),
  ]
  return { ok: true, value: { ...writeSheet(laid.value, solved, request), cautions } }
}

/** Another fish in the same pan. */
export interface CookedInstead {
  readonly species: string
  readonly common: string
  readonly offerId: string
  readonly depthMm: number
  readonly minutes: Range
  readonly pullC: number
}

/** Other fish cooked as one is, by the same stages, in the dish's cut: those of which minutes can be told, in the order asked. */
export function cookInstead(
  request: CookRequest,
  others: readonly { readonly species: string; readonly offerId: string }[],
  sheet: ChosenSheet,
  { today }: { readonly today: string },
): readonly CookedInstead[] {
  const { weightG: _weight, ...same } = request
  return others.flatMap(({ species, offerId }) => {
    const laid = layCook({ ...same, fish: species, offer: offerId }, sheet, today, false)
    if (!laid.ok) return []
    const { candidate, piece, solved } = laid.value
    const { common } = candidate.offer
    return [{ species, common, offerId, depthMm: piece.depthMm, minutes: spread(solved.run.cookedS / 60), pullC: solved.run.pullC }]
  })
}
