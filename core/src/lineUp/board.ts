import type { Brief, Gate, OfferSheet, Part, ResolvedOffer, Result } from '@tender-gill/contract'
import { groupBy } from '../lists/index.ts'
import type { NormalisedBrief, Problem } from '../facts/index.ts'
import { createFindSpecies, hidesTheFish, createNormalise, normaliseBrief, type FindSpecies, type Normalise } from '../brief/index.ts'
import { computePortionCost, findPrice } from '../amounts/index.ts'
import { computeFit, createScoring, withAsks, type Fit, type Scoring } from '../fit/index.ts'
import { findGates, findStructuralGates, type OfferOn } from '../gates/index.ts'
import { applyMarket, type ChosenSheet, type MarketDay } from '../market/index.ts'
import { EVEN_PARTS } from '../tables/formats.ts'
import { readAskTable } from '../tables/styles.ts'
import { findForms, type Candidate } from '../traits/index.ts'
import { listOtherWays, type OtherWay } from './otherWays.ts'
import { asksCost, computePrecedence, keepHighest } from './standing.ts'

/** A candidate with its fit and the gates it fails. */
export interface Entry {
  readonly candidate: Candidate
  readonly fit: Fit
  readonly gates: readonly Gate[]
  /** Which of two that do equally well a cook would name first, the higher: the cheaper kind where nobody sees the fish, then the better known. */
  readonly precedence: number
}

/** A brief laid over a sheet: everything line-up and stand-ins start from. */
export interface Board {
  readonly rawBrief: Brief
  readonly brief: NormalisedBrief
  /** Reads a brief as this one was read: on the same day, with the same leanings. */
  readonly normalise: Normalise
  readonly scoring: Scoring
  /** One entry an offer: its best form for this brief. The whole sheet, in the pool or not. */
  readonly entries: readonly Entry[]
  /** All offers of the day, whoever of them answers: what is scored is settled by these. */
  readonly whole: readonly ResolvedOffer[]
  /** The entries that the brief considers. */
  readonly considered: readonly Entry[]
  readonly findSpecies: FindSpecies
  /** An offer as the brief's own market has it on another day; as it is today where the brief brings no year. */
  readonly offerOn: OfferOn
  /** The same dish cooked in every other way, as the engine reads it. */
  readonly otherWays: () => readonly OtherWay[]
  /** The same board as if the house had no leanings; null where it has none. */
  readonly withoutLeanings: () => Board | null
}

const costOf = ({ candidate }: Entry, brief: NormalisedBrief) =>
  computePortionCost(candidate.offer, candidate.form, brief)?.typical ?? Infinity

/** Familiarity runs from 0 to 10; where nobody sees the fish, a dear one stands behind all that are not. */
export const rankKnown = ({ market, familiarity }: Pick<ResolvedOffer, 'market' | 'familiarity'>, brief: NormalisedBrief): number =>
  familiarity - (market === 'premium' && hidesTheFish(brief) ? 11 : 0)

/** A passing form beats a failing one, then the house's way of buying, the higher fit, the lower cost, the more usual form. */
function pickForm(entries: readonly Entry[], brief: NormalisedBrief): Entry | undefined {
  const precedenceOf = ({ candidate }: Entry) => computePrecedence(candidate, brief, false)
  return entries.reduce<Entry | undefined>((best, entry) => {
    if (!best) return entry
    const passes = entry.gates.length - best.gates.length
    if (passes !== 0) return passes < 0 ? entry : best
    const leans = precedenceOf(entry) - precedenceOf(best)
    if (leans !== 0) return leans > 0 ? entry : best
    if (entry.fit.fit !== best.fit.fit) return entry.fit.fit > best.fit.fit ? entry : best
    return costOf(entry, brief) < costOf(best, brief) ? entry : best
  }, undefined)
}

/** Judges one offer in every form that gives the cut; an offer with no such form is judged in the first form it is sold in. */
export function judgeForms(offer: ResolvedOffer, brief: NormalisedBrief, scoring: Scoring): readonly Entry[] {
  const forms = findForms(offer, brief)
  const fallback = offer.forms.find(({ sold }) => sold !== false)?.form ?? offer.forms[0]?.form ?? 'whole'
  // Forms differ in cost alone: where no price is known the most usual one stands for all.
  const usual = offer.prices.length > 0 || brief.house.bought !== null ? forms : forms.slice(0, 1)
  const all: readonly Candidate[] = (usual.length > 0 ? usual : [fallback]).map((form) => ({ offer, form }))
  const priced = all.filter(({ form }) => findPrice(offer, form))
  // A form with no price must not win over one whose price is known and high: not knowing is no bargain.
  const candidates = asksCost(scoring) && priced.length > 0 ? priced : all
  const checks = findStructuralGates(offer, brief)
  const precedence = rankKnown(offer, brief)
  return candidates.map((candidate) => ({
    candidate,
    precedence,
    fit: computeFit(candidate, brief, scoring),
    gates: findGates(candidate, brief, scoring, checks),
  }))
}

/** An offer in the form that suits the brief best. */
export function judgeOffer(offer: ResolvedOffer, brief: NormalisedBrief, scoring: Scoring): Entry {
  const best = pickForm(judgeForms(offer, brief, scoring), brief)
  if (!best) throw new RangeError(`offer ${offer.id} is sold in no form`)
  return best
}

/** A brief that brings its own market is answered from that alone: the kitchen's prices do not mix in, whichever face asks. */
const withoutMarket = (offers: readonly ResolvedOffer[]): readonly ResolvedOffer[] =>
  offers.map((offer) =>
    offer.prices.length > 0 || offer.season || offer.stock ? { ...offer, prices: [], season: null, stock: null } : offer,
  )

export const withFreezing = (offer: ResolvedOffer, brief: NormalisedBrief): ResolvedOffer =>
  brief.offers[offer.species]?.frozenForRaw === undefined
    ? offer
    : { ...offer, frozenForRaw: offer.frozenForRaw || brief.offers[offer.species]?.frozenForRaw === true }

/** Sheets laid out for waters and days, each once: a dish is judged many times over while a band is dragged. */
const laidOut = new WeakMap<OfferSheet, Map<string, readonly ResolvedOffer[]>>()

/** The sheet with the kitchen's own years and stocks laid over it, for the waters and the day of a brief. */
function layHouse(sheet: OfferSheet, day: MarketDay): readonly ResolvedOffer[] {
  const { seasons = [], stocks = [] } = sheet
  if (seasons.length + stocks.length === 0) return sheet.offers
  const days = laidOut.get(sheet) ?? new Map<string, readonly ResolvedOffer[]>()
  laidOut.set(sheet, days)
  const key = `${day.date}|${day.waters?.join('|') ?? ''}`
  const ready = days.get(key) ?? applyMarket(sheet.offers, { seasons, stocks }, day)
  days.set(key, ready)
  return ready
}

/** The offers of a day: a brief that brings its own market is answered from that alone, any other from the kitchen's. */
const layDay = ({ market }: Brief, sheet: OfferSheet, day: MarketDay): readonly ResolvedOffer[] =>
  market ? applyMarket(withoutMarket(sheet.offers), market, day) : layHouse(sheet, day)

/** Whether anything is known of the year in the waters of a brief. */
export const knowsTheYear = (rawBrief: Brief, brief: Pick<NormalisedBrief, 'waters'>, sheet: OfferSheet): boolean =>
  brief.waters !== null && ((rawBrief.market ? rawBrief.market.seasons : sheet.seasons) ?? []).length > 0

/** The market on another day; each day is laid out once, and only when it is asked for. */
function createOfferOn(rawBrief: Brief, brief: NormalisedBrief, sheet: OfferSheet, findSpecies: FindSpecies): OfferOn {
  if (!knowsTheYear(rawBrief, brief, sheet)) return (offer) => offer
  const days = new Map<string, ReadonlyMap<string, ResolvedOffer>>()
  return (offer, date) => {
    const day =
      days.get(date) ??
      new Map(
        layDay(rawBrief, sheet, { date, waters: brief.waters, findSpecies }).map((dressed) => [dressed.id, withFreezing(dressed, brief)]),
      )
    days.set(date, day)
    return day.get(offer.id) ?? offer
  }
}

const once = <T>(make: () => T): (() => T) => {
  let made: { readonly value: T } | undefined
  return () => (made ??= { value: make() }).value
}

/**
 * Lays a brief over a sheet of offers: names and asks resolved, the brief's own market applied, every offer judged.
 * @returns the board, or every problem of the brief with its place
 */
export function createBoard(rawBrief: Brief, sheet: ChosenSheet, today: string): Result<Board, readonly Problem[]> {
  const { chosenFrom: whole = sheet } = sheet
  const findSpecies = createFindSpecies(whole.offers)
  const normalise = createNormalise({ findSpecies, today, leanings: sheet.leanings })
  const normalised = normalise(rawBrief)
  if (!normalised.ok) return normalised
  const brief = normalised.value
  const day = { date: brief.date, waters: brief.waters, findSpecies }
  const offers = layDay(rawBrief, sheet, day).map((offer) => withFreezing(offer, brief))
  const all = whole === sheet ? offers : layDay(rawBrief, whole, day)
  const scoring = createScoring(brief, all)
  const pool = brief.pool ? new Set(brief.pool) : null
  const entries = offers.map((offer) => judgeOffer(offer, brief, scoring))
  const considered = entries.filter(({ candidate: { offer } }) => (pool ? pool.has(offer.species) : offer.hidden !== true))
  const withoutLeanings = () => {
    const unleaned = normaliseBrief(rawBrief, { findSpecies, today })
    if (unleaned.ok && JSON.stringify(unleaned.value) === JSON.stringify(brief)) return null
    const { leanings: _leanings, ...plain } = sheet
    const laid = createBoard(rawBrief, plain, today)
    return laid.ok ? laid.value : null
  }
  const offerOn = createOfferOn(rawBrief, brief, sheet, findSpecies)
  const otherWays = once(() => listOtherWays(rawBrief, offers, normalise))
  return {
    ok: true,
    value: { rawBrief, brief, normalise, scoring, entries, whole: all, considered, findSpecies, offerOn, otherWays, withoutLeanings },
  }
}

/**
 * The same offers judged by wider bands: no ask more, none less, no must touched, so that who passes and in which form stays as it is.
 * @param brief the board's own, with bands of asks that hold no must changed
 */
export function rejudge(board: Board, brief: NormalisedBrief): Board {
  const scoring = withAsks(board.scoring, brief.asks)
  const judged = new Map(board.entries.map((entry) => [entry, { ...entry, fit: computeFit(entry.candidate, brief, scoring) }]))
  return {
    ...board,
    brief,
    scoring,
    entries: [...judged.values()],
    considered: board.considered.map((entry) => judged.get(entry) ?? entry),
  }
}

/**
 * Standing order: unrounded fit, then the smaller sum of pull x miss; of those that do equally well the one a cook would name first, then the
 * one whose range stays closer to the bands, then offer id.
 */
export const byFit = (a: Entry, b: Entry): number =>
  toBillionth(b.fit.fit) - toBillionth(a.fit.fit) ||
  toBillionth(a.fit.missSum) - toBillionth(b.fit.missSum) ||
  b.precedence - a.precedence ||
  a.fit.rangeMissSum - b.fit.rangeMissSum ||
  (a.candidate.offer.id < b.candidate.offer.id ? -1 : 1)
/** Sums of the same parts differ in their last bits; those must not stand before what a cook would say. */
const toBillionth = (value: number): number => Math.round(value * 1e9)

/** Parts that suit the method come first, then the even middle of the fish, then the rest. */
function rankPart(part: Part, brief: NormalisedBrief): number {
  const first = readAskTable(brief).parts?.first ?? []
  if (first.includes(part)) return first.indexOf(part)
  return EVEN_PARTS.includes(part) ? 10 : 11
}

/** Of one species' passing entries the one that stands for it: the best fit, then the part the method asks for, then as in the standing order. */
export function pickForSpecies(group: readonly Entry[], brief: NormalisedBrief): readonly Entry[] {
  const partOf = ({ candidate }: Entry) => rankPart(candidate.offer.part, brief)
  return [...group].sort((a, b) => toBillionth(b.fit.fit) - toBillionth(a.fit.fit) || partOf(a) - partOf(b) || byFit(a, b)).slice(0, 1)
}

/** The passing entries that may stand for their species. */
export function pickStanding(passing: readonly Entry[], brief: NormalisedBrief, scoring: Scoring): readonly Entry[] {
  const costIsAsked = asksCost(scoring)
  if (!costIsAsked && brief.house.origin === null && brief.house.bought === null) return passing
  return keepHighest(
    passing,
    ({ candidate }) => candidate.offer.species,
    ({ candidate }) => computePrecedence(candidate, brief, costIsAsked),
  )
}

/** Groups entries by species, each group in its first-seen order. */
export const groupBySpecies = (entries: readonly Entry[]): ReadonlyMap<string, readonly Entry[]> =>
  groupBy(entries, ({ candidate }) => candidate.offer.species)
