import type { Fact, MissingReason } from '@tender-gill/contract'
import { computePortionCost } from '../amounts/index.ts'
import type { Board, Entry } from '../lineUp/index.ts'
import { say } from '../facts/index.ts'
import { MARKET_STEP } from '../tables/constants.ts'

/** Which entries may stand in, and which conditions could not be checked. */
export interface Qualified {
  readonly entries: readonly Entry[]
  readonly dropped: readonly Fact[]
}

const costOf = ({ candidate }: Entry, board: Board) => computePortionCost(candidate.offer, candidate.form, board.brief)?.typical

/** Where no price tells, how dear a fish is in the trade does: a lower class, or the same unless that is the dearest. */
function cheaperByClass(entries: readonly Entry[], missing: Entry): Qualified {
  const stepOf = ({ candidate }: Entry) => MARKET_STEP[candidate.offer.market ?? 'everyday']
  const own = stepOf(missing)
  const isCheaper = (entry: Entry) => stepOf(entry) < own || (stepOf(entry) === own && own < MARKET_STEP.premium)
  return { entries: entries.filter(isCheaper), dropped: [say('stand-ins.unchecked.price')] }
}

function cheaperOnly(entries: readonly Entry[], missing: Entry, board: Board): Qualified {
  const limit = costOf(missing, board)
  if (limit === undefined || entries.every((entry) => costOf(entry, board) === undefined)) return cheaperByClass(entries, missing)
  return { entries: entries.filter((entry) => (costOf(entry, board) ?? Infinity) < limit), dropped: [] }
}

function betterStockOnly(entries: readonly Entry[], missing: Entry): Qualified {
  const floor = missing.candidate.offer.stock?.typical
  if (floor === undefined || entries.every(({ candidate }) => candidate.offer.stock === null))
    return { entries, dropped: [say('stand-ins.unchecked.stock')] }
  return { entries: entries.filter(({ candidate }) => (candidate.offer.stock?.typical ?? -1) > floor), dropped: [] }
}

/** The reasons for which another offer of the same species will do. */
export const sameSpeciesWillDo = (because: MissingReason | null): boolean => because === 'wrong-size' || because === 'looked-bad'

/** Narrows the passing entries to those that answer the reason the fish is missing. A rule is never loosened. */
export function qualify(passing: readonly Entry[], missing: Entry, because: MissingReason | null, board: Board): Qualified {
  const { offer } = missing.candidate
  const others = passing.filter(({ candidate }) =>
    sameSpeciesWillDo(because) ? candidate.offer.id !== offer.id : candidate.offer.species !== offer.species,
  )
  if (because === 'too-dear') return cheaperOnly(others, missing, board)
  if (because === 'stock') return betterStockOnly(others, missing)
  return { entries: others, dropped: [] }
}
