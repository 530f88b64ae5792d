export {
  byFit,
  createBoard,
  judgeForms,
  groupBySpecies,
  judgeOffer,
  knowsTheYear,
  pickForSpecies,
  pickStanding,
  rankKnown,
  rejudge,
  withFreezing,
  type Board,
  type Entry,
} from './board.ts'
export { findEntry } from './findEntry.ts'
export { asksCost, computePrecedence, keepHighest } from './standing.ts'
export { listLeftOut } from './listLeftOut.ts'
export { countRows, listRows, listStandings, rankBoard, rankLineUp, stepBoard, type LineUpOptions } from './rankLineUp.ts'
