import type { AskKey, AskStanding, Brief, HouseLean, OfferSheet, Result } from '@tender-gill/contract'
import { say, term, type Caution, type LineUp, type Problem, type RankedFish } from '../facts/index.ts'
import { finish, stepRanks, type RankShares } from '../draws/index.ts'
import { explainPoints } from '../fit/index.ts'
import { findCautions } from '../safety/index.ts'
import { ASK_ORDER } from '../tables/askOrder.ts'
import { DRAWS, ENGINE_VERSION } from '../tables/constants.ts'
import { findPrice } from '../amounts/index.ts'
import { byFit, createBoard, groupBySpecies, pickForSpecies, pickStanding, type Board, type Entry } from './board.ts'
import { listLeftOut } from './listLeftOut.ts'
import { describeFish, describePurchase } from '../rows/index.ts'
import { toTenth, toThousandth } from '../rounding/index.ts'

export interface LineUpOptions {
  /** The kitchen's calendar day, ISO date. */
  readonly today: string
  /** False while a band is dragged: exact fit only, all shares 0. */
  readonly shares?: boolean
  /** False to skip what is left out, while a band is dragged. */
  readonly leftOut?: boolean
  /** How many rows to tell, the best first; all when left out. The order and the shares are of all. */
  readonly rows?: number
}

/** Where each ask of a brief finds an entry, for the strips. */
export const listStandings = ({ fit }: Entry): AskStanding[] =>
  fit.readings.map(({ key, value, desirability }) => ({
    trait: key,
    low: value?.low ?? null,
    typical: value?.typical ?? null,
    high: value?.high ?? null,
    desirability: toThousandth(desirability),
  }))

function listUnchecked({ brief, scoring }: Board): readonly Caution[] {
  return scoring.dropped
    .filter((key) => brief.asks[key]?.must || (key === 'portionCost' && brief.budget?.must))
    .map((key) => ({ kind: 'unchecked', sentence: say('caution.unchecked', { ask: term('ask', key) }) }))
}

function describeRow(entry: Entry, board: Board, shares: RankShares | undefined, tossUp: boolean): RankedFish {
  const { offer, form } = entry.candidate
  const share = shares?.bySpecies.get(offer.species)
  const [first, second, third] = share?.rankShares ?? [0, 0, 0]
  return {
    ...describeFish(entry.candidate, board.brief.askedAs[offer.species]),
    quoteId: findPrice(offer, form)?.quoteId ?? null,
    fit: toTenth(entry.fit.fit),
    pointsLost: [...explainPoints(entry.fit, board.brief)],
    firstShare: toThousandth(first),
    rankShares: [toThousandth(first), toThousandth(second), toThousandth(third)],
    passShare: toThousandth(share?.passShare ?? 1),
    tossUp,
    ...describePurchase(entry.candidate, board.brief),
    standings: listStandings(entry),
    unknown: entry.fit.readings.filter(({ unknown }) => unknown).map(({ key }) => key),
    cautions: [...findCautions(offer, board.brief), ...listUnchecked(board)],
  }
}

/** The offer that stands for each species, in standing order; every passing offer when the brief asks for all. */
function pickRows({ brief, scoring, considered }: Board): { readonly standing: readonly Entry[]; readonly rows: readonly Entry[] } {
  const passing = considered.filter(({ gates }) => gates.length === 0)
  const standing = pickStanding(passing, brief, scoring)
  const rows = brief.allOffers ? passing : [...groupBySpecies(standing).values()].flatMap((group) => pickForSpecies(group, brief))
  return { standing, rows: [...rows].sort(byFit) }
}

/** The rows of a line-up of this board, the fittest first. */
export const listRows = (board: Board): readonly Entry[] => pickRows(board).rows

/** How many rows a line-up of this board has. */
export const countRows = (board: Board): number => pickRows(board).rows.length

type Leans = (brief: Board['brief'], plain: Board['brief']) => boolean
/** Whether the house leans, apart from the asks of traits: in a brief as it counts, beside the same without any leaning. */
const LEANS: Readonly<Record<HouseLean, Leans>> = {
  usualPortionCost: ({ house }) => house.usualPortionCost !== null,
  origin: ({ house }) => house.origin !== null,
  bought: ({ house }) => house.bought !== null,
  trim: ({ house }) => house.trim !== null,
  stockFloor: ({ house }) => house.stockFloor !== null,
  doneness: (brief, plain) => brief.doneness !== plain.doneness,
}
const namesHouse: (brief: Board['brief'], plain: Board['brief']) => HouseLean[] = (brief, plain) =>
  (Object.keys(LEANS) as HouseLean[]).filter((lean) => LEANS[lean](brief, plain))

/** What the house's leanings did to the first three. */
function describeLeaning(board: Board, rows: readonly Entry[]): LineUp['houseLeaning'] {
  const plain = board.withoutLeanings()
  if (!plain) return null
  const without = pickRows(plain).rows
  const first = (list: readonly Entry[]) =>
    list
      .slice(0, 3)
      .map(({ candidate }) => `${candidate.offer.id}.${candidate.form}`)
      .join('|')
  const saysOther = (key: AskKey) => JSON.stringify(board.brief.asks[key]) !== JSON.stringify(plain.brief.asks[key])
  const traits = ASK_ORDER.filter(saysOther)
  return {
    changed: first(rows) !== first(without),
    leaderWithout: without[0]?.candidate.offer.common ?? null,
    traits: [...traits],
    leans: namesHouse(board.brief, plain.brief),
  }
}

/** Ranks a board that is already laid. */
export const rankBoard = (board: Board, sheet: Pick<OfferSheet, 'snapshot'>, options: Omit<LineUpOptions, 'today'>): LineUp =>
  finish(stepBoard(board, sheet, options))

/** `rankBoard` in steps: yields the share of the draws that is done. */
export function* stepBoard(
  board: Board,
  sheet: Pick<OfferSheet, 'snapshot'>,
  { shares = true, leftOut = true, rows: most = Infinity }: Omit<LineUpOptions, 'today'>,
): Generator<number, LineUp> {
  const { brief, scoring, considered } = board
  const { standing, rows } = pickRows(board)
  const leader = rows[0]?.candidate.offer.species
  const ranks = shares ? yield* stepRanks(standing, brief, { draws: brief.draws, seed: brief.seed, scoring, leader }) : undefined
  const aheadShare = (entry: Entry) => ranks?.bySpecies.get(entry.candidate.offer.species)?.aheadShare ?? 0
  const tossUps = new Set(rows.filter((entry) => aheadShare(entry) >= DRAWS.tossUpShare).map(({ candidate }) => candidate.offer.species))
  if (leader && tossUps.size > 0) tossUps.add(leader)
  return {
    brief,
    ranked: rows.slice(0, most).map((entry) => describeRow(entry, board, ranks, tossUps.has(entry.candidate.offer.species))),
    leftOut: leftOut ? [...listLeftOut(board, considered)] : [],
    leftOutOfScoring: [...scoring.dropped],
    nothingAsked: scoring.asks.length === 0,
    noneShare: toThousandth(ranks?.noneShare ?? 0),
    houseLeaning: leftOut ? describeLeaning(board, rows) : null,
    snapshot: sheet.snapshot,
    engineVersion: ENGINE_VERSION,
    seed: brief.seed,
    draws: brief.draws,
  }
}

/**
 * The line-up: every fish of the sheet that passes the gates, in order of fit, with reasons and shares; and every one that does not, with
 * what would let it in. Pure and deterministic for a seed.
 * @param brief already valid by its schema   @returns the line-up, or every problem of the brief with its place
 */
export function rankLineUp(brief: Brief, sheet: OfferSheet, options: LineUpOptions): Result<LineUp, readonly Problem[]> {
  const board = createBoard(brief, sheet, options.today)
  return board.ok ? { ok: true, value: rankBoard(board.value, sheet, options) } : board
}
