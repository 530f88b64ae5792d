import type { Brief, Format, OfferSheet, Result } from '@tender-gill/contract'
import { say, term, type Problem, type TurningPoint } from '../facts/index.ts'
import { createBoard, type Board } from '../lineUp/index.ts'
import { midMonth, monthsAway, monthsByNearness } from '../market/index.ts'
import { usualFormats } from '../tables/cuts.ts'
import type { Wanted } from './nearest.ts'
import { findFirst } from './findFirst.ts'
import { createField, type Runner } from './runners.ts'

const leaderOf = (board: Result<Board, readonly Problem[]>): Runner | undefined =>
  board.ok ? findFirst(createField(board.value)) : undefined

/** The nearest month in which another stands first; every month is laid out anew. */
export function turnByMonth(brief: Brief, sheet: OfferSheet, board: Board, wanted: Wanted): TurningPoint | undefined {
  for (const month of monthsByNearness(board.brief.date)) {
    const date = midMonth(board.brief.date, month)
    const first = leaderOf(createBoard({ ...brief, date }, sheet, date))
    if (first && wanted.holds(first))
      return {
        kind: 'month',
        species: first.species,
        common: first.common,
        steps: monthsAway(board.brief.date, month),
        from: Number(board.brief.date.slice(5, 7)),
        to: month,
        opens: [{ path: '/date', value: date }],
        sentence: say('turn.month', { fish: first.common, month: term('month', String(month)) }),
      }
  }
  return undefined
}

/** The first of the usual cuts with which another stands first. */
export function turnByFormat(brief: Brief, sheet: OfferSheet, board: Board, wanted: Wanted, today: string): TurningPoint | undefined {
  const formats = usualFormats(brief.method).filter((format: Format) => format !== brief.format)
  for (const format of formats) {
    const first = leaderOf(createBoard({ ...brief, format }, sheet, today))
    if (first && wanted.holds(first))
      return {
        kind: 'format',
        species: first.species,
        common: first.common,
        steps: 1,
        from: null,
        to: null,
        opens: [{ path: '/format', value: format }],
        sentence: say('turn.format', { fish: first.common, now: term('format', format), was: term('format', board.brief.format) }),
      }
  }
  return undefined
}
