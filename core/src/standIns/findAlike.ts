import type { Brief, OfferSheet } from '@tender-gill/contract'
import { byFit, createBoard } from '../lineUp/index.ts'
import { pickMissing } from './findStandIns.ts'
import { scoreEntries } from './scoreEntries.ts'
import { boardForMissing } from './widenAsks.ts'

/**
 * How alike one fish is to another in a dish, 0 to 100, gates left aside: the likeness of its best offer.
 * @returns undefined where one of them is not in the book, or the dish has a mistake
 */
export function findAlike(
  brief: Brief,
  { missing, standIn }: { readonly missing: string; readonly standIn: string },
  sheet: OfferSheet,
  today: string,
): number | undefined {
  const pair = { ...sheet, offers: sheet.offers.filter(({ species }) => species === missing || species === standIn) }
  const first = createBoard(brief, pair, today)
  if (!first.ok) return undefined
  const known = pickMissing(first.value, missing, undefined)
  if (!known) return undefined
  const board = boardForMissing(first.value, known)
  const entry =
    pickMissing(board, standIn, undefined) ?? [...board.entries].sort(byFit).find(({ candidate }) => candidate.offer.species === standIn)
  return entry && scoreEntries([entry], known, board)[0]?.alike
}
