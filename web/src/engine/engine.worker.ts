import type {
  Brief,
  BriefRecord,
  LineUp,
  Method,
  OfferSheet,
  Problem,
  ResolvedOffer,
  Result,
  SpeciesSheet,
  StandIns,
  StandInsRequest,
} from '@tender-gill/contract'
import {
  createBoard,
  createFindSpecies,
  findRelatives,
  findStandIns,
  normaliseBrief,
  planPot,
  planAmount,
  rankBoard,
  rankLineUp,
  stepBoard,
  stepTurningPoints,
  type Amount,
  type PotPlan,
  type Relative,
  type TurningPoints,
} from '@tender-gill/core'
import { expose } from 'comlink'
import { listBookRows, type BookRow } from './bookRows.ts'
import { createFishSearch, type FishHit, type FishSearch, type SharedName } from './fishSearch.ts'
import { rankMethods, type MethodRow } from './rankMethods.ts'

export interface DishRow {
  readonly id: string
  /** Place of a fish in the dish's line-up, from 1; null when it is left out. */
  readonly place: number | null
  readonly of: number
  readonly fit: number | null
  readonly sentence: string
}
export interface Leader {
  readonly common: string
  readonly fit: number
  readonly offerId: string
  readonly count: number
}
/** A price typed in before it is kept, for a kilogram. */
export interface TypedPrice {
  readonly perKg: number
  readonly currency: string
}
export interface AmountRequest {
  readonly brief: Brief
  readonly offerId: string
  readonly form: ResolvedOffer['forms'][number]['form']
  readonly typed: TypedPrice | null
}

export interface LineUpRequest {
  readonly shares: boolean
  readonly leftOut: boolean
  /** How many rows to send. */
  readonly rows: number
}
export interface ShownLineUp {
  readonly lineUp: LineUp
  /** How many fish can do the dish, sent or not. */
  readonly able: number
  /** The draws were left before their end: there are no shares. */
  readonly left: boolean
}

let sheet: OfferSheet | undefined
let search: FishSearch | undefined
let species: Promise<readonly SpeciesSheet[]> | undefined
let rows: readonly BookRow[] | undefined
/** Counts the studies of shares: the newest alone goes on. */
let study = 0
const SLICE_MS = 30
/** Answers that are asked for in several places of one page. */
const turned = new Map<string, Result<TurningPoints, readonly Problem[]>>()
const MOST_KEPT = 40
let today = ''

function need(): OfferSheet {
  if (!sheet) throw new Error('the offers are not loaded')
  return sheet
}

async function fetchSpecies(): Promise<readonly SpeciesSheet[]> {
  const answer = await fetch('/api/species')
  if (!answer.ok) throw new Error(`the book could not be fetched (${answer.status})`)
  return (await answer.json()) as readonly SpeciesSheet[]
}
/** The book, fetched when first asked for; asked for again when that failed. */
const needSpecies = (): Promise<readonly SpeciesSheet[]> =>
  (species ??= fetchSpecies().catch((error: unknown) => {
    species = undefined
    throw error
  }))
const needSearch = (): FishSearch => (search ??= createFishSearch(need().offers))

const withTyped = (offer: ResolvedOffer, form: AmountRequest['form'], typed: TypedPrice | null): ResolvedOffer => {
  if (!typed) return offer
  const { perKg, currency } = typed
  const price = {
    form,
    perKg: { low: perKg, typical: perKg, high: perKg },
    currency,
    quotes: 1,
    latestDate: null,
    quoteId: null,
    merchant: null,
    glaze: 0,
  }
  return { ...offer, prices: [...offer.prices.filter((one) => one.form !== form), price] }
}

/** Everything the page asks of the engine. It runs here so that no band sticks while it is dragged. */
const engine = {
  /** Fetches the kitchen's offers of a day. */
  load: async (day: string): Promise<string> => {
    const answer = await fetch(`/api/offers?date=${day}`)
    if (!answer.ok) throw new Error(`the offers could not be fetched (${answer.status})`)
    sheet = (await answer.json()) as OfferSheet
    today = day
    search = undefined
    species = undefined
    rows = undefined
    turned.clear()
    return sheet.snapshot
  },
  /**
   * The line-up; only its first rows are sent to the page when it looks at no more, for a band that is dragged. Shares are drawn in slices,
   * so that other questions are answered meanwhile; a newer study, or a person who leaves it, ends it.
   */
  lineUp: async (
    brief: Brief,
    { shares, leftOut, rows }: LineUpRequest,
    onProgress?: (share: number) => void,
  ): Promise<Result<ShownLineUp, readonly Problem[]>> => {
    const sheet = need()
    const board = createBoard(brief, sheet, today)
    if (!board.ok) return board
    const show = (lineUp: LineUp, left: boolean): Result<ShownLineUp, readonly Problem[]> => ({
      ok: true,
      value: { lineUp: { ...lineUp, ranked: lineUp.ranked.slice(0, rows) }, able: lineUp.ranked.length, left },
    })
    if (!shares) return show(rankBoard(board.value, sheet, { shares, leftOut }), false)
    study += 1
    const mine = study
    const work = stepBoard(board.value, sheet, { shares, leftOut })
    for (let since = performance.now(); ;) {
      const step = work.next()
      if (step.done) return show(step.value, false)
      if (performance.now() - since < SLICE_MS) continue
      onProgress?.(step.value)
      await new Promise((resolve) => setTimeout(resolve))
      since = performance.now()
      if (study !== mine) return show(rankBoard(board.value, sheet, { shares: false, leftOut }), true)
    }
  },
  /** Ends the draws that are under way; what is exact is answered without them. */
  leaveStudy: (): void => {
    study += 1
  },
  /** What would take first place from the leader, or give it to another fish. */
  turningPoints: async (brief: Brief, winner: string | null): Promise<Result<TurningPoints, readonly Problem[]>> => {
    const key = JSON.stringify([brief, winner])
    const known = turned.get(key)
    if (known) return known
    const work = stepTurningPoints(brief, need(), { today, ...(winner ? { winner } : {}) })
    for (let since = performance.now(); ;) {
      const step = work.next()
      if (step.done) {
        if (turned.size >= MOST_KEPT) turned.clear()
        turned.set(key, step.value)
        return step.value
      }
      if (performance.now() - since < SLICE_MS) continue
      // Whatever else is asked meanwhile is answered first: nothing hangs on these points.
      await new Promise((resolve) => setTimeout(resolve))
      since = performance.now()
    }
  },
  /** The best sets of k fish for a pot, a mixed fry or a board. */
  pot: (brief: Brief, k: number): Result<PotPlan, readonly Problem[]> => planPot(brief, need(), { today, k }),
  standIns: (request: StandInsRequest): Result<StandIns, readonly Problem[]> => findStandIns(request, need(), { today }),
  offers: (ids: readonly string[]): readonly ResolvedOffer[] => need().offers.filter(({ id }) => ids.includes(id)),
  offersOf: (species: string): readonly ResolvedOffer[] => need().offers.filter((offer) => offer.species === species),
  commonNames: (species: readonly string[]): Readonly<Record<string, string>> =>
    Object.fromEntries(
      need()
        .offers.filter((offer) => species.includes(offer.species))
        .map((offer) => [offer.species, offer.common]),
    ),
  /** Who leads each dish, without shares. */
  leaders: (records: readonly BriefRecord[]): Readonly<Record<string, Leader | null>> =>
    Object.fromEntries(
      records.map(({ id, brief }) => {
        const answer = rankLineUp(brief, need(), { today, shares: false, leftOut: false })
        const first = answer.ok ? answer.value.ranked[0] : undefined
        return [
          id,
          first && answer.ok ? { common: first.common, fit: first.fit, offerId: first.offerId, count: answer.value.ranked.length } : null,
        ]
      }),
    ),
  amount: ({ brief, offerId, form, typed }: AmountRequest): Amount | null => {
    const { offers, leanings } = need()
    const offer = offers.find(({ id }) => id === offerId)
    const normalised = normaliseBrief(brief, { findSpecies: createFindSpecies(offers), today, leanings })
    return offer && normalised.ok ? planAmount(withTyped(offer, form, typed), form, normalised.value) : null
  },
  search: (text: string): readonly FishHit[] => needSearch().find(text),
  sharedName: (text: string): SharedName | null => needSearch().findShared(text),
  /** The book as lines, with the best fit of each fish for each way of cooking. */
  book: async (): Promise<readonly BookRow[]> => (rows ??= listBookRows(await needSpecies(), need(), today)),
  /** Entries of the book, in the order of the names asked. */
  sheets: async (names: readonly string[]): Promise<readonly SpeciesSheet[]> => {
    const all = await needSpecies()
    return names.flatMap((name) => all.find((sheet) => sheet.species === name) ?? [])
  },
  relatives: (offerId: string): readonly Relative[] => {
    const offer = need().offers.find(({ id }) => id === offerId)
    return offer ? findRelatives(offer, need().offers) : []
  },
  methodsFor: (species: string): readonly MethodRow[] => rankMethods(species, need(), today),
  dishesFor: (species: string, records: readonly BriefRecord[]): readonly DishRow[] =>
    records.map(({ id, brief }) => {
      const answer = rankLineUp(brief, need(), { today, shares: false })
      if (!answer.ok) return { id, place: null, of: 0, fit: null, sentence: 'The brief of this dish has a mistake.' }
      const { ranked, leftOut } = answer.value
      const at = ranked.findIndex((row) => row.species === species)
      const row = ranked[at]
      const out = leftOut.find((fish) => fish.species === species)
      return {
        id,
        place: row ? at + 1 : null,
        of: ranked.length,
        fit: row?.fit ?? null,
        sentence: row ? (row.pointsLost[0]?.sentence ?? 'Nothing it lacks.') : (out?.sentence ?? 'The dish does not consider it.'),
      }
    }),
}
export type Engine = typeof engine
export type { Method }
expose(engine)
