import type { LearnEvent, OfferSheet, Result } from '@tender-gill/contract'
import { say, type Problem } from '../facts/index.ts'
import { createBoard, listRows } from '../lineUp/index.ts'
import type { Choice } from './learnPulls.ts'

type Chose = Extract<LearnEvent, { kind: 'chose' }>

/** The line-up from which something was taken, or what is wrong with its brief. @param place of the event, for what is wrong */
export function layChoice({ brief, offerId }: Chose, sheet: OfferSheet, today: string, place = ''): Result<Choice, readonly Problem[]> {
  const board = createBoard(brief, sheet, today)
  if (!board.ok) return { ok: false, error: board.error.map((one) => ({ ...one, path: `${place}/brief${one.path}` })) }
  return listRows(board.value).some(({ candidate }) => candidate.offer.id === offerId)
    ? { ok: true, value: { board: board.value, offerId } }
    : { ok: false, error: [{ path: `${place}/offerId`, message: say('problem.not-in-line', { offer: offerId }) }] }
}
