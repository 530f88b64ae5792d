import { createHash } from 'node:crypto'
import type {
  Absence,
  Brief,
  OfferSheet,
  Price,
  PriceInput,
  PriceRecord,
  Rate,
  RateInput,
  RateRecord,
  Season,
  SeasonInput,
  SeasonRecord,
  Stock,
  StockInput,
  StockRecord,
} from '@tender-gill/contract'
import { applyMarket, convertQuotes, createPriceBook, markAbsent, type PriceBook } from '@tender-gill/core'
import type { KitchenRepository } from '../kitchens/kitchenRepository.ts'
import type { PriceListRepository, ReadyList } from '../priceLists/priceListRepository.ts'
import type { HouseBooks, LeaningBook } from '../book/houseBook.ts'
import type { RecordRepository } from '../records/recordRepository.ts'

const hash = (value: unknown): string => createHash('sha256').update(JSON.stringify(value)).digest('hex').slice(0, 16)

/** What a kitchen lays over the book: prices, fish it does without, the years of its waters, its evidence on stocks. */
interface DayOver {
  /** Prices typed in by hand, and the merchants' lists; what each currency was worth in the kitchen's own. */
  readonly prices: readonly Price[]
  readonly lists: readonly ReadyList[]
  readonly rates: readonly Rate[]
  readonly currency: string
  readonly absences: readonly Absence[]
  readonly seasons: readonly Season[]
  readonly stocks: readonly Stock[]
}

/** The book alone, with the house's leanings. */
function createBareSheet({ offers, snapshot, leanings }: LeaningBook, date: string): OfferSheet {
  const leans = Object.keys(leanings).length > 0
  return { snapshot: leans ? hash([snapshot, leanings]) : snapshot, date, offers: [...offers], ...(leans ? { leanings } : {}) }
}

/** Every quote the kitchen has, in its own currency where there is a rate. */
const readQuotes = ({ prices, lists, rates, currency }: DayOver, date: string): readonly Price[] =>
  convertQuotes([...prices, ...lists.flatMap((list) => list.quotes)], rates, currency, date)

function layPrices(book: LeaningBook, over: DayOver, date: string): OfferSheet {
  const bare = createBareSheet(book, date)
  const quotes = readQuotes(over, date)
  if (quotes.length === 0) return bare
  const dressed = applyMarket(book.offers, { prices: [...quotes] }, { date, waters: null, findSpecies: book.findSpecies })
  return { ...bare, offers: [...dressed] }
}

const addYears = (sheet: OfferSheet, { seasons, stocks }: DayOver): OfferSheet =>
  seasons.length + stocks.length === 0 ? sheet : { ...sheet, seasons: [...seasons], stocks: [...stocks] }

const missingOn = ({ absences }: DayOver, date: string) =>
  absences
    .filter(({ from, to }) => from <= date && date <= to)
    .map(({ species, offerId, because, to }) => ({ species, offerId, because, to }))

/** The name of exactly what is laid over the book on a day: the book's own where nothing is. */
function nameDay(book: LeaningBook, over: DayOver, date: string): string {
  const { prices, lists, rates, seasons, stocks } = over
  const bare = createBareSheet(book, date).snapshot
  const missing = missingOn(over, date)
  if (prices.length + lists.length + seasons.length + stocks.length + missing.length === 0) return bare
  const priced = prices.length + lists.length > 0 ? [date, prices, lists.map(({ contentHash }) => contentHash), rates] : null
  return hash([bare, priced, seasons, stocks, missing])
}

/** Days that are kept laid out, over all kitchens. */
const MOST_DAYS = 60
const laidOut = new Map<string, OfferSheet>()

/** The offers of a day as one kitchen has them, under a hash of all that is laid over the book; a day that was laid out before is that one. */
export function createKitchenSheet(book: LeaningBook, over: DayOver, date: string): OfferSheet {
  const snapshot = nameDay(book, over, date)
  const key = `${snapshot}|${date}`
  const ready = laidOut.get(key)
  laidOut.delete(key)
  const sheet = ready ?? {
    ...missingOn(over, date).reduce(markAbsent, addYears(layPrices(book, over, date), over)),
    snapshot,
  }
  laidOut.set(key, sheet)
  for (const oldest of laidOut.keys()) {
    if (laidOut.size <= MOST_DAYS) break
    laidOut.delete(oldest)
  }
  return sheet
}

/** The sheets of one kitchen at one moment. */
export interface KitchenSheets {
  readonly book: LeaningBook
  readonly sheetOn: (date: string) => OfferSheet
  /** The prices of a day and what they rest on. */
  readonly pricesOn: (date: string) => PriceBook
  /** The sheet a brief is answered from: one that brings its own market from the book alone, any other from the kitchen's day. */
  readonly sheetOf: (brief: Pick<Brief, 'date' | 'market'>) => OfferSheet
}

interface SheetDeps {
  readonly books: HouseBooks
  readonly prices: Pick<RecordRepository<PriceInput, PriceRecord>, 'list'>
  readonly lists: Pick<PriceListRepository, 'listReady'>
  readonly rates: Pick<RecordRepository<RateInput, RateRecord>, 'list'>
  readonly kitchens: Pick<KitchenRepository, 'find'>
  readonly seasons: Pick<RecordRepository<SeasonInput, SeasonRecord>, 'list'>
  readonly stocks: Pick<RecordRepository<StockInput, StockRecord>, 'list'>
  readonly absences: { readonly listStanding: (kitchenId: string) => Promise<readonly Absence[]> }
}

/** Opens the sheets of a kitchen, as its absences stand or as they are given; each day is laid out once. */
export function createKitchenSheets({ books, prices, lists, rates, kitchens, seasons, stocks, absences }: SheetDeps) {
  return async (kitchenId: string, today: string, standing?: readonly Absence[]): Promise<KitchenSheets> => {
    const book = await books.read(kitchenId)
    const over: DayOver = {
      prices: (await prices.list(kitchenId)).map(({ price }) => price),
      lists: await lists.listReady(kitchenId, today),
      rates: (await rates.list(kitchenId)).map(({ rate }) => rate),
      currency: (await kitchens.find(kitchenId))?.currency ?? '',
      seasons: (await seasons.list(kitchenId)).map(({ season }) => season),
      stocks: (await stocks.list(kitchenId)).map(({ stock }) => stock),
      absences: standing ?? (await absences.listStanding(kitchenId)),
    }
    const days = new Map<string, OfferSheet>()
    const sheetOn = (date: string): OfferSheet => {
      const sheet = days.get(date) ?? createKitchenSheet(book, over, date)
      days.set(date, sheet)
      return sheet
    }
    return {
      book,
      sheetOn,
      pricesOn: (date) => createPriceBook(readQuotes(over, date), book.offers, date, book.findSpecies),
      sheetOf: ({ date, market }) => (market ? createBareSheet(book, date ?? today) : sheetOn(date ?? today)),
    }
  }
}
export type OpenSheets = ReturnType<typeof createKitchenSheets>
