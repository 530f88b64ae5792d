import { createHash } from 'node:crypto'
import type {
  Absence,
  Brief,
  OfferSheet,
  Price,
  PriceInput,
  PriceRecord,
  Season,
  SeasonInput,
  SeasonRecord,
  Stock,
  StockInput,
  StockRecord,
} from '@tender-gill/contract'
import { applyMarket, markAbsent } from '@tender-gill/core'
import type { HouseBooks, LeaningBook } from '../book/houseBook.ts'
import type { RecordRepository } from '../records/recordRepository.ts'

const hash = (value: unknown): string => createHash('sha256').update(JSON.stringify(value)).digest('hex').slice(0, 16)

/** What a kitchen lays over the book: prices, fish it does without, the years of its waters, its evidence on stocks. */
interface DayOver {
  readonly prices: readonly Price[]
  readonly absences: readonly Absence[]
  readonly seasons: readonly Season[]
  readonly stocks: readonly Stock[]
}

/** The book alone, with the house's leanings. */
function createBareSheet({ offers, snapshot, leanings }: LeaningBook, date: string): OfferSheet {
  const leans = Object.keys(leanings).length > 0
  return { snapshot: leans ? hash([snapshot, leanings]) : snapshot, date, offers: [...offers], ...(leans ? { leanings } : {}) }
}

function layPrices(book: LeaningBook, prices: readonly Price[], date: string): OfferSheet {
  const bare = createBareSheet(book, date)
  const dressed = applyMarket(book.offers, { prices: [...prices] }, { date, waters: null, findSpecies: book.findSpecies })
  return {
    ...bare,
    snapshot: prices.length === 0 ? bare.snapshot : hash([bare.snapshot, date, prices]),
    offers: [...dressed],
  }
}

/** Adds the years and the stocks, which each brief lays over the offers for its own waters and day. */
function addYears(sheet: OfferSheet, seasons: readonly Season[], stocks: readonly Stock[]): OfferSheet {
  if (seasons.length + stocks.length === 0) return sheet
  return { ...sheet, snapshot: hash([sheet.snapshot, seasons, stocks]), seasons: [...seasons], stocks: [...stocks] }
}

/** The offers of a day as one kitchen has them, under a hash of all that is laid over the book. */
export function createKitchenSheet(book: LeaningBook, { prices, absences, seasons, stocks }: DayOver, date: string): OfferSheet {
  const priced = addYears(layPrices(book, prices, date), seasons, stocks)
  const missing = absences.filter(({ from, to }) => from <= date && date <= to)
  if (missing.length === 0) return priced
  const named = missing.map(({ species, offerId, because, to }) => ({ species, offerId, because, to }))
  return { ...named.reduce(markAbsent, priced), snapshot: hash([priced.snapshot, named]) }
}

/** The sheets of one kitchen at one moment. */
export interface KitchenSheets {
  readonly book: LeaningBook
  readonly sheetOn: (date: string) => OfferSheet
  /** The sheet a brief is answered from: one that brings its own market from the book alone, any other from the kitchen's day. */
  readonly sheetOf: (brief: Pick<Brief, 'date' | 'market'>) => OfferSheet
}

interface SheetDeps {
  readonly books: HouseBooks
  readonly prices: Pick<RecordRepository<PriceInput, PriceRecord>, 'list'>
  readonly seasons: Pick<RecordRepository<SeasonInput, SeasonRecord>, 'list'>
  readonly stocks: Pick<RecordRepository<StockInput, StockRecord>, 'list'>
  readonly absences: { readonly listStanding: (kitchenId: string) => Promise<readonly Absence[]> }
}

/** Opens the sheets of a kitchen, as its absences stand or as they are given; each day is laid out once. */
export function createKitchenSheets({ books, prices, seasons, stocks, absences }: SheetDeps) {
  return async (kitchenId: string, today: string, standing?: readonly Absence[]): Promise<KitchenSheets> => {
    const book = await books.read(kitchenId)
    const over: DayOver = {
      prices: (await prices.list(kitchenId)).map(({ price }) => price),
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
      sheetOf: ({ date, market }) => (market ? createBareSheet(book, date ?? today) : sheetOn(date ?? today)),
    }
  }
}
export type OpenSheets = ReturnType<typeof createKitchenSheets>
