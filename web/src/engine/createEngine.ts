import type {
  Brief,
  ServingRecord,
  FormCompared,
  PartsCompared,
  TakenFish,
  LineUp,
  Method,
  OfferSheet,
  Problem,
  ResolvedOffer,
  Result,
  SeenFish,
  StandInsRequest,
  SwapMap,
  TurningPoints,
  Untold,
  YearOfDish,
} from '@tender-gill/contract'
import {
  answerAmounts,
  answerFishFirst,
  compareForms,
  compareParts,
  computeFoodCost,
  countRows,
  createFindSpecies,
  createPlainBrief,
  findStandIns,
  normaliseBrief,
  planPot,
  computePortionCost,
  rankBoard,
  rankLineUp,
  usualFormats,
  stepBoard,
  stepSwaps,
  stepTurningPoints,
  stepYearOfDish,
} from '@tender-gill/core'
import { createWords, readReader, type Words } from '@tender-gill/words'
import { createBoardLayer } from './layBoard.ts'
import { createCookAnswers } from './cookAnswers.ts'
import { createPracticeAnswers } from './practiceAnswers.ts'
import { runInSlices, WorkLeft } from './runInSlices.ts'
import { createCounterAnswers } from './counterAnswers.ts'
import { createBookAnswers } from './bookAnswers.ts'
import { createSheetDesk, type Laid } from './sheetDesk.ts'
import type { SheetRef } from './sheetRef.ts'
import type {
  OnlyOffered,
  Leader,
  TypedPrice,
  AmountRequest,
  ShownAmount,
  FishFirstShown,
  LineUpRequest,
  Unoffered,
  ShownLineUp,
  FishFirstOptions,
  PotPlaces,
  ShownPot,
  ShownStandIns,
} from './questions.ts'
import type { SheetShelf } from './sheetShelf.ts'

const MOST_KEPT = 40

/**
 * The sheet that answers: all of it, or what of it can be bought. Where nothing can, or the dish brings a market of its own, all of it, unless
 * that was asked for.
 */
function chooseSheet(laid: Laid, { market }: Brief, only: OnlyOffered = false): OfferSheet {
  if (only === false || (only !== true && market !== undefined)) return laid.sheet
  return only === true || laid.offered().offers.length > 0 ? laid.offered() : laid.sheet
}
const countSpecies = ({ offers }: OfferSheet): number => new Set(offers.map(({ species }) => species)).size

/** Who would do better than the leader of what can be bought. */
function findUnoffered(brief: Brief, { sheet, offered, today }: Laid, leader: number): Unoffered | null {
  const all = rankLineUp(brief, sheet, { today, shares: false, leftOut: false })
  if (!all.ok) return null
  const there = new Set(offered().offers.map(({ species }) => species))
  const fitter = all.value.ranked.filter(({ species, fit }) => !there.has(species) && fit > leader)
  return fitter[0] ? { count: fitter.length, best: fitter[0].common } : null
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

/**
 * Everything the page asks of the engine. Every question names the offers it is to be answered from, since pages of one screen ask about
 * several days. It runs in a worker, so that no band sticks while it is dragged.
 */
export function createEngine(shelf: SheetShelf) {
  let words = createWords()
  const tell: Words['tell'] = (answer) => words.tell(answer)
  const open = createSheetDesk(shelf)
  const layBoard = createBoardLayer()
  /** Counts the studies of shares: the newest alone goes on. */
  let study = 0
  return {
    /** Tells every answer from now on as a person reads. @param name of the reader, as `nameReader` gives it */
    readAs: (name: string): void => {
      words = createWords(readReader(name))
    },
    /**
     * The line-up; only its first rows are sent to the page when it looks at no more, for a band that is dragged. Shares are drawn in slices,
     * so that other questions are answered meanwhile; a newer study, or a person who leaves it, ends it.
     */
    lineUp: async (
      ref: SheetRef,
      brief: Brief,
      { shares, leftOut, rows, only }: LineUpRequest,
      onProgress?: (share: number) => void,
    ): Promise<Result<ShownLineUp, readonly Problem[]>> => {
      if (shares) study += 1
      const mine = study
      const laid = await open(ref)
      const { today } = laid
      const sheet = chooseSheet(laid, brief, only)
      const onlyOffered = sheet !== laid.sheet
      const board = layBoard(brief, sheet, today)
      if (!board.ok) return tell(board)
      const show = (lineUp: Untold<LineUp>, left: boolean): Result<ShownLineUp, readonly Problem[]> => ({
        ok: true,
        value: {
          ...{ lineUp: tell({ ...lineUp, ranked: lineUp.ranked.slice(0, rows) }), able: countRows(board.value), left },
          ...{ onlyOffered, offered: countSpecies(laid.offered()) },
          unoffered: onlyOffered && leftOut ? findUnoffered(brief, laid, lineUp.ranked[0]?.fit ?? -1) : null,
        },
      })
      if (!shares) return show(rankBoard(board.value, sheet, { shares, leftOut, rows }), false)
      try {
        const isLeft = () => study !== mine
        return show(await runInSlices(stepBoard(board.value, sheet, { shares, leftOut }), { onSlice: onProgress, isLeft }), false)
      } catch (error) {
        if (!(error instanceof WorkLeft)) throw error
        return show(rankBoard(board.value, sheet, { shares: false, leftOut }), true)
      }
    },
    /** Ends the draws that are under way; what is exact is answered without them. */
    leaveStudy: (): void => {
      study += 1
    },
    /** What would take first place from the leader, or give it to another fish. */
    turningPoints: async (
      ref: SheetRef,
      brief: Brief,
      winner: string | null,
      only?: OnlyOffered,
    ): Promise<Result<TurningPoints, readonly Problem[]>> => {
      const laid = await open(ref)
      const { today, turned } = laid
      const sheet = chooseSheet(laid, brief, only)
      const key = JSON.stringify([brief, winner, sheet === laid.sheet])
      const known = turned.get(key)
      if (known) return known
      // Nothing hangs on these points.
      const told = tell(await runInSlices(stepTurningPoints(brief, sheet, { today, ...(winner ? { winner } : {}) })))
      if (turned.size >= MOST_KEPT) turned.clear()
      turned.set(key, told)
      return told
    },
    /** A dish over the year, a month at a time; other questions are answered in between. */
    year: async (
      ref: SheetRef,
      brief: Brief,
      taken: string | undefined,
      onMonth: (done: number) => void,
    ): Promise<Result<YearOfDish, readonly Problem[]>> => {
      const { sheet, today } = await open(ref)
      const work = stepYearOfDish(brief, sheet, { today, ...(taken === undefined ? {} : { taken }) })
      for (;;) {
        const step = work.next()
        if (step.done) return tell(step.value)
        onMonth(step.value)
        await new Promise((resolve) => setTimeout(resolve))
      }
    },
    /** The best sets of k fish for a pot, a mixed fry or a board. */
    pot: async (ref: SheetRef, brief: Brief, places: PotPlaces, only?: OnlyOffered): Promise<Result<ShownPot, readonly Problem[]>> => {
      const laid = await open(ref)
      const sheet = chooseSheet(laid, brief, only)
      const plan = tell(planPot(brief, sheet, { today: laid.today, ...places }))
      if (!plan.ok) return plan
      return { ok: true, value: { plan: plan.value, onlyOffered: sheet !== laid.sheet, offered: countSpecies(laid.offered()) } }
    },
    standIns: async (ref: SheetRef, request: StandInsRequest, only?: OnlyOffered): Promise<Result<ShownStandIns, readonly Problem[]>> => {
      const laid = await open(ref)
      const sheet = chooseSheet(laid, request, only)
      const found = tell(findStandIns(request, sheet, { today: laid.today }))
      if (!found.ok) return found
      return { ok: true, value: { standIns: found.value, onlyOffered: sheet !== laid.sheet, offered: countSpecies(laid.offered()) } }
    },
    /**
     * Which fish stand in for which in one way of cooking; every pair is compared once for each way and day.
     * @param around this fish and its neighbours alone, the fittest where it is null: what is drawn first
     */
    swapMap: async (ref: SheetRef, method: Method, around?: string | null): Promise<Result<SwapMap, readonly Problem[]>> => {
      const { sheet, today, maps } = await open(ref)
      const ready = maps.get(method)
      if (ready) return ready
      // A swap is for an animal of its kind, as where no kinds are named.
      const { kinds: _kinds, ...plain } = createPlainBrief(method, usualFormats(method)[0] ?? 'portion')
      const told = tell(await runInSlices(stepSwaps(plain, sheet, { today, ...(around === undefined ? {} : { around }) })))
      if (around === undefined) maps.set(method, told)
      return told
    },
    /** Who leads each dish, without shares. */
    leaders: async (
      ref: SheetRef,
      records: readonly ServingRecord[],
      only?: OnlyOffered,
    ): Promise<Readonly<Record<string, Leader | null>>> => {
      const laid = await open(ref)
      const { today } = laid
      return Object.fromEntries(
        records.map(({ id, brief }) => {
          const answer = rankLineUp(brief, chooseSheet(laid, brief, only), { today, shares: false, leftOut: false })
          const first = answer.ok ? answer.value.ranked[0] : undefined
          return [
            id,
            first && answer.ok ? { common: first.common, fit: first.fit, offerId: first.offerId, count: answer.value.ranked.length } : null,
          ]
        }),
      )
    },
    /** How much to buy of the fish of a dish, and what a portion of it costs, as in the line-up. */
    amount: async (
      ref: SheetRef,
      { brief, species, offerId, form, typed, how }: AmountRequest,
    ): Promise<Result<ShownAmount, readonly Problem[]>> => {
      const { sheet, today } = await open(ref)
      const offers = sheet.offers.map((offer) => (offer.id === offerId ? withTyped(offer, form, typed) : offer))
      const answer = tell(answerAmounts({ ...brief, fish: species, offer: offerId, form, ...how }, { ...sheet, offers }, { today }))
      if (!answer.ok) return answer
      const offer = offers.find(({ id }) => id === offerId)
      const dish = normaliseBrief(brief, { findSpecies: createFindSpecies(offers), today, leanings: sheet.leanings })
      const portionCost = offer && dish.ok ? computePortionCost(offer, form, dish.value) : null
      const foodCost = computeFoodCost(portionCost, brief.menuPrice, sheet.leanings?.foodCostShare)
      return { ok: true, value: { amounts: answer.value, portionCost, foodCost } }
    },
    /** One fish in every form it can be bought in for a dish, the cheapest edible portion first. */
    forms: async (ref: SheetRef, brief: Brief, species: string): Promise<readonly FormCompared[]> => {
      const { sheet, today } = await open(ref)
      const answer = tell(compareForms({ ...brief, fish: species }, sheet, { today }))
      return answer.ok ? answer.value : []
    },
    /** What the other parts of a fish are worth for a dish, beside the one taken; null without a price of it. */
    parts: async (ref: SheetRef, brief: Brief, { species, offerId, form }: TakenFish): Promise<PartsCompared | null> => {
      const { sheet, today } = await open(ref)
      const answer = tell(compareParts({ ...brief, fish: species, offer: offerId, form }, sheet, { today }))
      return answer.ok ? answer.value : null
    },
    ...createBookAnswers({ open }),
    ...createCounterAnswers({ open, tell }),
    ...createCookAnswers({ open, tell }),
    ...createPracticeAnswers({ open, tell }),
    /** Fetches a sheet before anybody asks a question on it, and lays the dish over it that will be asked for. */
    lay: async (ref: SheetRef, dish?: { readonly brief: Brief; readonly only: OnlyOffered }): Promise<void> => {
      const laid = await open(ref)
      if (dish) layBoard(dish.brief, chooseSheet(laid, dish.brief, dish.only), laid.today)
    },
    /** Dishes and ways to cook for fish that were seen; a dish whose brief has a mistake is left out and named. */
    fishFirst: async (
      ref: SheetRef,
      seen: readonly SeenFish[],
      records: readonly ServingRecord[],
      { only = false, ofDays = new Map() }: FishFirstOptions = {},
    ): Promise<FishFirstShown | null> => {
      const laid = await open(ref)
      const { sheet, today } = laid
      const onlyOffered = only !== false && laid.offered().offers.length > 0
      const opened = await Promise.all([...ofDays].map(async ([day, name]) => [day, (await open(name)).sheet] as const))
      const sheets = new Map(opened)
      const sheetOf = ({ date }: Brief) => (date === undefined ? undefined : sheets.get(date)) ?? sheet
      const ask = (dishes: readonly ServingRecord[]) =>
        tell(answerFishFirst({ seen: [...seen], dishes: dishes.map(({ brief }) => brief) }, sheet, { today, onlyOffered, sheetOf }))
      const all = ask(records)
      if (all.ok) return { answer: all.value, records, mistaken: [] }
      const bad = new Set(all.error.map(({ path }) => /^\/dishes\/(\d+)/.exec(path)?.[1]))
      const isBad = (_record: ServingRecord, i: number) => bad.has(String(i))
      const sound = records.filter((record, i) => !isBad(record, i))
      const rest = ask(sound)
      return rest.ok ? { answer: rest.value, records: sound, mistaken: records.filter(isBad) } : null
    },
  }
}
export type Engine = ReturnType<typeof createEngine>
export type { Method }
