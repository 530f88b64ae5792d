import type { Format, Method, OfferSheet } from '@tender-gill/contract'
import { say, term, type MethodForSeen } from '../facts/index.ts'
import { createBoard } from '../lineUp/index.ts'
import { METHODS_IN_ORDER, createPlainBrief, usualFormats } from '../tables/cuts.ts'
import { describeWorst, judgeSeen, pickSeen } from './judgeSeen.ts'
import type { Seen } from './readSeen.ts'
import { toTenth } from '../rounding/index.ts'

/** One way of cooking in one cut, with the fish that suits it best. */
function judge(method: Method, format: Format, seen: readonly Seen[], sheet: OfferSheet, today: string): MethodForSeen | undefined {
  const own = seen.map(({ matches, dress }) => matches.map((offer) => ({ ...dress(offer), hidden: false })))
  const board = createBoard(createPlainBrief(method, format), { ...sheet, offers: own.flat() }, today)
  if (!board.ok) return undefined
  const { brief, scoring } = board.value
  // As the board has them: with what the kitchen keeps of stocks laid over them.
  const onBoard = new Map(board.value.entries.map(({ candidate: { offer } }) => [offer.id, offer]))
  const entries = seen.flatMap((fish, i) => (own[i] ?? []).map((offer) => judgeSeen(fish, onBoard.get(offer.id) ?? offer, brief, scoring)))
  const best = pickSeen(entries, brief, scoring)
  if (!best) return undefined
  const { offer } = best.candidate
  return {
    method,
    label: say('method', { method: term('method', method) }),
    format,
    seen: own.findIndex((offers) => offers.some(({ id }) => id === offer.id)),
    common: offer.common,
    fit: best.gates.length > 0 ? null : toTenth(best.fit.fit),
    sentence: describeWorst(best, brief),
  }
}

/** The ways of cooking fish that were seen, best first: each in the cut and with the fish that suit it best; what none can do last. */
export function rankSeenMethods(seen: readonly Seen[], sheet: OfferSheet, today: string): readonly MethodForSeen[] {
  const byFit = (a: MethodForSeen, b: MethodForSeen) => (b.fit ?? -1) - (a.fit ?? -1)
  return METHODS_IN_ORDER.flatMap((method) =>
    usualFormats(method)
      .flatMap((format) => judge(method, format, seen, sheet, today) ?? [])
      .sort(byFit)
      .slice(0, 1),
  ).sort(byFit)
}
