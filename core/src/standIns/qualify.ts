import type { MissingReason } from '@tender-gill/contract'
import { computePortionCost } from '../amounts/index.ts'
import type { Board, Entry } from '../lineUp/index.ts'

/** Which entries may stand in, and which conditions could not be checked. */
export interface Qualified {
  readonly entries: readonly Entry[]
  readonly dropped: readonly string[]
}

const costOf = ({ candidate }: Entry, board: Board) => computePortionCost(candidate.offer, candidate.form, board.brief)?.typical

function cheaperOnly(entries: readonly Entry[], missing: Entry, board: Board): Qualified {
  const limit = costOf(missing, board)
  if (limit === undefined || entries.every((entry) => costOf(entry, board) === undefined))
    return { entries, dropped: ['Prices are not known, so “too dear” could not be checked: the ladder is by likeness alone.'] }
  return { entries: entries.filter((entry) => (costOf(entry, board) ?? Infinity) < limit), dropped: [] }
}

function betterStockOnly(entries: readonly Entry[], missing: Entry): Qualified {
  const floor = missing.candidate.offer.stock?.typical
  if (floor === undefined || entries.every(({ candidate }) => candidate.offer.stock === null))
    return { entries, dropped: ['No evidence is kept on these stocks, so their standing could not be checked.'] }
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
