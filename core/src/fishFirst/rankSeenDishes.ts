import type { Brief, OfferSheet, Result } from '@tender-gill/contract'
import type { DishForSeen, Problem, SeenRow } from '../facts/index.ts'
import { computeWeightToBuyG } from '../amounts/index.ts'
import { createScoring, explainPoints } from '../fit/index.ts'
import {
  byFit,
  createBoard,
  groupBySpecies,
  judgeOffer,
  pickForSpecies,
  pickStanding,
  withFreezing,
  type Board,
  type Entry,
} from '../lineUp/index.ts'
import { isOffered } from '../kept/index.ts'
import { findCautions } from '../safety/index.ts'
import { describeWorst, judgeSeen, pickSeen } from './judgeSeen.ts'
import type { Seen } from './readSeen.ts'
import { describeCost, describeFish } from '../rows/index.ts'
import { toTenth, toThousandth } from '../rounding/index.ts'

export interface SeenOptions {
  readonly today: string
  /** What a dish of another day is answered from; all are from the sheet at hand where this is left out. */
  readonly sheetOf?: (brief: Brief) => OfferSheet
  /** Whether a fish that was seen stands among what can be bought, and not among all of the book. */
  readonly onlyOffered?: boolean
}

interface Laid {
  readonly board: Board
  /** For each fish that was seen, what it may be. */
  readonly own: readonly (readonly Entry[])[]
}

/**
 * The board with the fish that were seen beside it, judged by the same asks: what is scored may hang on their prices. A fish that was seen is
 * the board's own offer, with the year, the stock and the prices of the dish's day on it, and its ticket over that.
 */
function layBeside(board: Board, seen: readonly Seen[]): Laid {
  const { brief } = board
  const onDay = new Map(board.entries.map(({ candidate: { offer } }) => [offer.id, offer]))
  const dressed = seen.map(({ matches, dress }) => matches.map((offer) => dress(onDay.get(offer.id) ?? withFreezing(offer, brief))))
  const scoring = createScoring(brief, [...board.whole, ...dressed.flat()])
  const own = seen.map((fish, i) => (dressed[i] ?? []).map((offer) => judgeSeen(fish, offer, brief, scoring)))
  if (scoring.asks.length === board.scoring.asks.length) return { board, own }
  const judge = ({ candidate }: Entry): Entry => judgeOffer(candidate.offer, brief, scoring)
  return { board: { ...board, scoring, entries: board.entries.map(judge), considered: board.considered.map(judge) }, own }
}

/** The offer that stands for every other species, in standing order. */
function listOthers({ considered, brief, scoring }: Board, seen: readonly Seen[], onlyOffered: boolean): readonly Entry[] {
  const species = new Set(seen.map((fish) => fish.species))
  const able = considered.filter(({ gates, candidate }) => gates.length === 0 && !species.has(candidate.offer.species))
  const passing = onlyOffered ? able.filter(isOffered) : able
  return [...groupBySpecies(pickStanding(passing, brief, scoring)).values()].flatMap((group) => pickForSpecies(group, brief))
}

/** Name of the offer in the book, under which a fish that was seen is judged. */
const bookId = (id: string) => id.replace(/\.seen-\d+$/, '')

function describeSeen(entry: Entry, at: number, totalG: number | null, { brief }: Board, others: readonly Entry[]): SeenRow {
  const { candidate, fit, gates } = entry
  const { offer, form } = candidate
  const [gate] = gates
  const buyG = computeWeightToBuyG(offer, form, brief).typical
  return {
    seen: at,
    ...describeFish(candidate),
    offerId: bookId(offer.id),
    fit: gate ? null : toTenth(fit.fit),
    place: gate ? null : others.filter((other) => byFit(other, entry) < 0).length + 1,
    of: others.length + (gate ? 0 : 1),
    pointsLost: [...explainPoints(fit, brief)],
    gate: gate ?? null,
    sentence: describeWorst(entry, brief),
    cautions: [...findCautions(offer, brief)],
    portionCost: describeCost(candidate, brief),
    buyG: Math.round(buyG),
    share: totalG === null ? null : toThousandth(totalG / buyG),
  }
}

const bestFirst = (a: SeenRow, b: SeenRow): number => (b.fit ?? -1) - (a.fit ?? -1) || a.seen - b.seen

/** One dish: how each fish that was seen does it, and where it would stand among all that can. */
function rankForDish(
  brief: Brief,
  at: number,
  seen: readonly Seen[],
  sheet: OfferSheet,
  { today, onlyOffered = false, sheetOf = () => sheet }: SeenOptions,
): Result<DishForSeen, readonly Problem[]> {
  const laid = createBoard(brief, sheetOf(brief), today)
  if (!laid.ok) return { ok: false, error: laid.error.map(({ path, message }) => ({ path: `/dishes/${at}${path}`, message })) }
  const { board, own } = layBeside(laid.value, seen)
  const others = listOthers(board, seen, onlyOffered)
  const rows = own.flatMap((entries, i) => {
    const entry = pickSeen(entries, board.brief, board.scoring)
    return entry ? [describeSeen(entry, i, seen[i]?.totalG ?? null, board, others)] : []
  })
  return { ok: true, value: { dish: at, name: brief.dish, rows: rows.sort(bestFirst) } }
}

/** The dishes for fish that were seen, the one they do best first. @returns them, or every problem of every brief with its place */
export function rankSeenDishes(
  dishes: readonly Brief[],
  seen: readonly Seen[],
  sheet: OfferSheet,
  options: SeenOptions,
): Result<readonly DishForSeen[], readonly Problem[]> {
  const answers = dishes.map((brief, at) => rankForDish(brief, at, seen, sheet, options))
  const problems = answers.flatMap((answer) => (answer.ok ? [] : answer.error))
  if (problems.length > 0) return { ok: false, error: problems }
  const best = ({ rows }: DishForSeen) => rows[0]?.fit ?? -1
  return {
    ok: true,
    value: answers.flatMap((answer) => (answer.ok ? [answer.value] : [])).sort((a, b) => best(b) - best(a) || a.dish - b.dish),
  }
}
