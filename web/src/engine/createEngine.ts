import type {
  Brief,
  BriefRecord,
  FishFirst,
  LineUp,
  Method,
  OfferSheet,
  PotPlan,
  Problem,
  ResolvedOffer,
  Result,
  SeenFish,
  SpeciesSheet,
  StandIns,
  StandInsRequest,
  SwapMap,
  TurningPoints,
  YearOfDish,
} from '@tender-gill/contract'
import {
  answerFishFirst,
  countRows,
  createBoard,
  createFindSpecies,
  findRelatives,
  createPlainBrief,
  findStandIns,
  mapSwaps,
  normaliseBrief,
  planPot,
  planAmount,
  rankBoard,
  rankLineUp,
  usualFormats,
  stepBoard,
  stepTurningPoints,
  stepYearOfDish,
  type Amount,
  type Relative,
} from '@tender-gill/core'
import { listBookRows, type BookRow } from './bookRows.ts'
import { createFishSearch, type FishHit, type FishSearch, type SharedName } from '@tender-gill/names'

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

/** Fish first, with the dishes that were asked for it and those whose brief has a mistake. */
export interface FishFirstShown {
  readonly answer: FishFirst
  readonly records: readonly BriefRecord[]
  readonly mistaken: readonly BriefRecord[]
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

const SLICE_MS = 30
const MOST_KEPT = 40

async function fetchSpecies(): Promise<readonly SpeciesSheet[]> {
  const answer = await fetch('/api/species')
  if (!answer.ok) throw new Error(`the book could not be fetched (${answer.status})`)
  return (await answer.json()) as readonly SpeciesSheet[]
}
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

/** Everything the page asks of the engine, on the offers of one kitchen and day. It runs in a worker, so that no band sticks while it is dragged. */
export function createEngine() {
  let sheet: OfferSheet | undefined
  let search: FishSearch | undefined
  let species: Promise<readonly SpeciesSheet[]> | undefined
  let rows: readonly BookRow[] | undefined
  /** Counts the studies of shares: the newest alone goes on. */
  let study = 0
  /** Answers that are asked for in several places of one page. */
  const turned = new Map<string, Result<TurningPoints, readonly Problem[]>>()
  const maps = new Map<Method, Result<SwapMap, readonly Problem[]>>()
  let today = ''

  function need(): OfferSheet {
    if (!sheet) throw new Error('the offers are not loaded')
    return sheet
  }

  /** The book, fetched when first asked for; asked for again when that failed. */
  const needSpecies = (): Promise<readonly SpeciesSheet[]> =>
    (species ??= fetchSpecies().catch((error: unknown) => {
      species = undefined
      throw error
    }))
  const needSearch = (): FishSearch => (search ??= createFishSearch(need().offers))

  return {
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
      maps.clear()
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
        value: { lineUp: { ...lineUp, ranked: lineUp.ranked.slice(0, rows) }, able: countRows(board.value), left },
      })
      if (!shares) return show(rankBoard(board.value, sheet, { shares, leftOut, rows }), false)
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
    /** A dish over the year, a month at a time; other questions are answered in between. */
    year: async (brief: Brief, onMonth: (done: number) => void): Promise<Result<YearOfDish, readonly Problem[]>> => {
      const work = stepYearOfDish(brief, need(), { today })
      for (;;) {
        const step = work.next()
        if (step.done) return step.value
        onMonth(step.value)
        await new Promise((resolve) => setTimeout(resolve))
      }
    },
    /** The best sets of k fish for a pot, a mixed fry or a board. */
    pot: (brief: Brief, k: number): Result<PotPlan, readonly Problem[]> => planPot(brief, need(), { today, k }),
    standIns: (request: StandInsRequest): Result<StandIns, readonly Problem[]> => findStandIns(request, need(), { today }),
    /** Which fish stand in for which in one way of cooking; every pair is compared once for each way and day. */
    swapMap: (method: Method): Result<SwapMap, readonly Problem[]> => {
      const ready = maps.get(method) ?? mapSwaps(createPlainBrief(method, usualFormats(method)[0] ?? 'portion'), need(), { today })
      maps.set(method, ready)
      return ready
    },
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
    /** Dishes and ways to cook for fish that were seen; a dish whose brief has a mistake is left out and named. */
    fishFirst: (seen: readonly SeenFish[], records: readonly BriefRecord[]): FishFirstShown | null => {
      const ask = (dishes: readonly BriefRecord[]) =>
        answerFishFirst({ seen: [...seen], dishes: dishes.map(({ brief }) => brief) }, need(), { today })
      const all = ask(records)
      if (all.ok) return { answer: all.value, records, mistaken: [] }
      const bad = new Set(all.error.map(({ path }) => /^\/dishes\/(\d+)/.exec(path)?.[1]))
      const isBad = (_record: BriefRecord, i: number) => bad.has(String(i))
      const sound = records.filter((record, i) => !isBad(record, i))
      const rest = ask(sound)
      return rest.ok ? { answer: rest.value, records: sound, mistaken: records.filter(isBad) } : null
    },
  }
}
export type Engine = ReturnType<typeof createEngine>
export type { Method }
