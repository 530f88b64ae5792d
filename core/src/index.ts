export { FACT_PARAMS, type FactCode, type FactCodeOf } from './facts/index.ts'
export { band, bound, celsius, days, figure, length, mass, minutes, money, phrase, say, share, term, trait } from './facts/index.ts'
export { markAbsent, planAbsence, stepAbsencePlan } from './absences/index.ts'
export { computePortionCost, computeWeightToBuyG, countPortions, findCutForm, type Yields } from './amounts/index.ts'
export { computeDesirability, fromAxis, toAxis } from './axes/index.ts'
export { hidesTheFish, createFindSpecies, normaliseBrief, type FindSpecies } from './brief/index.ts'
export {
  answerCold,
  computeDaysLeft,
  computeIceDays,
  computeIceKg,
  computeKeepingDays,
  computeSpoilageRate,
  judgeHistamine,
  measureCold,
  sumIceDays,
  type ColdKept,
} from './cold/index.ts'
export { findBetterBuy, judgeAsked, type AskedPrice, type BetterBuy, type JudgedPrice, type PriceVerdict } from './counter/index.ts'
export {
  judgeLot,
  judgeMove,
  judgePlace,
  planUseFirst,
  readHistory,
  thinReadings,
  type House,
  type JudgedLot,
  type JudgedMove,
  type KeptStretch,
  type KnownLot,
  type KnownPlace,
  type LotAdvice,
  type LotInHouse,
  type PlaceWarmth,
  type UseFirst,
  type WaitingServing,
  type WarmthBasis,
} from './lots/index.ts'
export { conduct } from './conduction/index.ts'
export { answerFreshness, listSigns, RAW_FOR_THE_VULNERABLE } from './freshness/index.ts'
export { stepCoverCard, writeCoverCard } from './coverCard/index.ts'
export { simulateRanks, type Entrant } from './draws/index.ts'
export { answerFishFirst } from './fishFirst/index.ts'
export { computeFit, createScoring, type Fit, type Scoring } from './fit/index.ts'
export { applyOpenings } from './gates/index.ts'
export { byFit, countRows, createBoard, rankBoard, rankLineUp, stepBoard, type Board, type Entry } from './lineUp/index.ts'
export {
  applyMarket,
  applyPrices,
  computeStockStanding,
  isClosed,
  chooseOffered,
  keepOffered,
  midMonth,
  resolveSeason,
} from './market/index.ts'
export { findCautions, findRawRefusal, hasVulnerable, isServedRaw, listSafetyNotes } from './safety/index.ts'
export {
  findLeader,
  isOver,
  listComing,
  listTaken,
  pickPerDish,
  replaceTaken,
  type DatedServing,
  type KeptDish,
  type KeptDishes,
} from './kept/index.ts'
export { findStandIns, mapSwaps, stepSwaps } from './standIns/index.ts'
export { AXES, DEFAULT_PORTION_G, ENGINE_VERSION, FORMS_FOR, GRAMS_PER_LB } from './tables/constants.ts'
export { createPlainBrief, gridCell, usualFormats } from './tables/cuts.ts'
export { METHOD_TABLE } from './tables/methods.ts'
export { computeFilletDepthMm, findForms, kindOf, readTrait, type Candidate } from './traits/index.ts'
export { findRelatives, type KinDifference, type Relative } from './relatives/index.ts'
export { answerTurning, findTurningPoints, stepTurningPoints } from './turning/index.ts'
export { answerPot, listRoles, planPot, type PotOptions, type Role } from './pot/index.ts'
export { findEfficient, type Worth } from './efficient/index.ts'
export { compareLineUps } from './decisions/index.ts'
export { findYearOfDish, stepYearOfDish } from './year/index.ts'
export {
  computePerKg,
  convertSeries,
  createPriceBook,
  estimatePrice,
  gatherGroupMoves,
  findDay,
  gatherQuotes,
  layEndToEnd,
  listQuotes,
  sliceQuotes,
  findUsualPrice,
  gatherDays,
  sortQuotes,
  type GroupMove,
  type PriceEstimate,
  mergeSeries,
  readSeries,
  splitQuotes,
  type PriceBook,
  type PriceQuote,
  type PriceSeries,
  type QuoteKind,
  type QuoteSource,
  type Quotes,
  type SeriesQuote,
} from './prices/index.ts'
export { groupBy } from './lists/index.ts'
export { SERVICE_HOUR } from './tables/signs.ts'
export { addDays, atHour, clockIn, countDays, dateIn, DAY_MS, isDay, toDayNumber, toIsoDate, weekdayOf } from './calendar/index.ts'
export { planOrder, type LocalMoment } from './orders/index.ts'
export { stepSlab, type SlabContext } from './slab/index.ts'
export { stepAlerts, type DecidedDish } from './alerts/index.ts'
export {
  USUAL_SHORT_CHANCE,
  answerAmounts,
  compareForms,
  compareParts,
  computeFoodCost,
  type FoodCost,
  computeKept,
  computeShortChance,
  computeWeightForRiskG,
  countFed,
  countFishToCut,
  listFactors,
  piecesOf,
  splitRest,
} from './purchase/index.ts'
export {
  findSeller,
  stepBuySheet,
  writeBuySheet,
  writeLine,
  writeMessages,
  readGrade,
  type BuyContext,
  type BuyDays,
} from './buySheet/index.ts'
export { answerCook, clockBefore, cookInstead, cutThicknessMm, type CookedInstead } from './cookSheet/index.ts'
export { COOK_MEDIUM_TABLE } from './tables/cookMedia.ts'
export { listHandTasks, type HandWork } from './hands/index.ts'
export { findPinBones, type PinBones } from './tables/pinBones.ts'
export {
  planRun,
  type Places,
  type RunClash,
  type RunDish,
  type RunPlace,
  type RunPlan,
  type RunRow,
  type RunTask,
} from './runSheet/index.ts'
export { USUAL_PLACES } from './tables/kitchenRun.ts'
export {
  cardKey,
  layRound,
  listCards,
  NO_PROGRESS,
  pickCard,
  scoreAnswer,
  type Card,
  type PracticeKind,
  type Progress,
  type Round,
} from './practice/index.ts'
export {
  findOutcome,
  isLearntName,
  isLineName,
  isRecordLine,
  isServedLine,
  recordLine,
  servedKey,
  servedLine,
  type ServedLine,
  foldActs,
  leaveOut,
  LEARNT_KEYS,
  lookBack,
  rankLessons,
  searchBook,
  toLearnEvents,
  type Book,
  type BookSearch,
  type LessonSubject,
  type LookBackContext,
} from './houseBook/index.ts'
export { groupOfMethod, type CountedSwap } from './swaps/index.ts'
export {
  arrivalPrior,
  answerLearn,
  foldEvents,
  layLearnt,
  layMerchants,
  layChoice,
  learnPulls,
  learnSwaps,
  NOTHING_LEARNT,
  type Folded,
} from './learn/index.ts'
