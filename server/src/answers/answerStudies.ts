import type {
  Brief,
  FishFirst,
  FishFirstRequest,
  Freshness,
  FreshnessRequest,
  FindRequest,
  FoundNames,
  LineUp,
  Amounts,
  AmountsRequest,
  Cold,
  ColdRequest,
  Cook,
  CookRequest,
  Learnt,
  LearnRequest,
  Conducted,
  ConductRequest,
  PotPlan,
  PotRequest,
  StandIns,
  StandInsRequest,
  SwapMap,
  TurningPoints,
  TurningRequest,
  Untold,
  YearOfDish,
} from '@tender-gill/contract'
import {
  answerFishFirst,
  answerAmounts,
  answerCold,
  answerCook,
  answerLearn,
  answerFreshness,
  conduct,
  answerPot,
  createBoard,
  findStandIns,
  mapSwaps,
  stepBoard,
  stepTurningPoints,
  stepYearOfDish,
} from '@tender-gill/core'
import { answerFind } from '@tender-gill/names'
import type { Study } from '../compute/study.ts'
import { searchNames } from './searchNames.ts'
import { unwrap } from '../http/parseInput.ts'

/** Work in steps whose end may be a refusal: the value, or a 400 that names the places. */
function* unwrapped<T>(work: Generator<unknown, Parameters<typeof unwrap<T>>[0]>): Generator<unknown, T> {
  return unwrap(yield* work)
}

const lineUp: Study<Brief, Untold<LineUp>> = async (desk, kitchen, brief) => {
  const sheet = (await desk.openSheets(kitchen)).sheetOf(brief)
  return stepBoard(unwrap(createBoard(brief, sheet, kitchen.today)), sheet, {})
}
const standIns: Study<StandInsRequest, Untold<StandIns>> = async (desk, kitchen, request) =>
  unwrap(findStandIns(request, (await desk.openSheets(kitchen)).sheetOf(request), kitchen))
const swapMap: Study<Brief, Untold<SwapMap>> = async (desk, kitchen, brief) =>
  unwrap(mapSwaps(brief, (await desk.openSheets(kitchen)).sheetOf(brief), kitchen))
const year: Study<Brief, YearOfDish> = async (desk, kitchen, brief) =>
  unwrapped(stepYearOfDish(brief, (await desk.openSheets(kitchen)).sheetOf(brief), kitchen))
const turningPoints: Study<TurningRequest, Untold<TurningPoints>> = async (desk, kitchen, { winner, ...brief }) =>
  unwrapped(
    stepTurningPoints(brief, (await desk.openSheets(kitchen)).sheetOf(brief), {
      today: kitchen.today,
      ...(winner === undefined ? {} : { winner }),
    }),
  )
const pot: Study<PotRequest, Untold<PotPlan>> = async (desk, kitchen, request) =>
  unwrap(answerPot(request, (await desk.openSheets(kitchen)).sheetOf(request), kitchen))
const amounts: Study<AmountsRequest, Untold<Amounts>> = async (desk, kitchen, request) =>
  unwrap(answerAmounts(request, (await desk.openSheets(kitchen)).sheetOf(request), kitchen))
const cook: Study<CookRequest, Untold<Cook>> = async (desk, kitchen, request) =>
  unwrap(answerCook(request, (await desk.openSheets(kitchen)).sheetOf(request), kitchen))
const learn: Study<LearnRequest, Learnt> = async (desk, kitchen, request) =>
  unwrap(answerLearn(request, (await desk.openSheets(kitchen)).sheetOf({}), kitchen))
const fishFirst: Study<FishFirstRequest, Untold<FishFirst>> = async (desk, kitchen, request) => {
  const { sheetOf } = await desk.openSheets(kitchen)
  const sheet = sheetOf(request)
  return unwrap(
    answerFishFirst(request, sheet, { today: kitchen.today, sheetOf: (brief) => (brief.date === undefined ? sheet : sheetOf(brief)) }),
  )
}

/** By the names of the kitchen's own book. */
const find: Study<FindRequest, FoundNames> = async (desk, kitchen, request) =>
  answerFind(request, searchNames((await desk.books.read(kitchen.id)).sheets))

/** On a kitchen's own book: fish it has set right, or left out, answer as it says. */
const freshness: Study<FreshnessRequest, Untold<Freshness>> = async (desk, kitchen, request) =>
  unwrap(answerFreshness(request, (await desk.openSheets(kitchen)).sheetOf({})))
const cold: Study<ColdRequest, Untold<Cold>> = async (desk, kitchen, request) =>
  unwrap(answerCold(request, (await desk.openSheets(kitchen)).sheetOf({})))

/** Of nobody's kitchen: physics alone. */
const conduction: Study<ConductRequest, Conducted> = async (_desk, _kitchen, request) => conduct(request)

/** The engine's verbs on a kitchen's day. */
export const answerStudies = {
  learn,
  cook,
  conduct: conduction,
  lineUp,
  standIns,
  swapMap,
  year,
  turningPoints,
  pot,
  amounts,
  freshness,
  cold,
  fishFirst,
  find,
}
