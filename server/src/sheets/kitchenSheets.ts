import type {
  Absence,
  Brief,
  OfferSheet,
  PriceInput,
  PriceRecord,
  PurchaseInput,
  PurchaseRecord,
  RateInput,
  RateRecord,
  SeasonInput,
  SeasonRecord,
  StockInput,
  StockRecord,
} from '@tender-gill/contract'
import { createPriceBook, NOTHING_LEARNT, type PriceBook } from '@tender-gill/core'
import type { HouseBooks, LeaningBook } from '../book/houseBook.ts'
import { learnHouse } from '../houseBook/learnHouse.ts'
import type { ReadBook } from '../houseBook/readBook.ts'
import type { KitchenRepository } from '../kitchens/kitchenRepository.ts'
import type { ListedPrices } from '../priceSeries/listedPrices.ts'
import type { RecordRepository } from '../records/recordRepository.ts'
import { toPrices } from '../buySheet/toPrices.ts'
import { createLeastRecent } from './leastRecent.ts'
import { foldLayers, listLayers, nameSheet, readPrices, type LaidOver } from './layers.ts'

/** The sheets of one kitchen at one moment. */
export interface KitchenSheets {
  readonly book: LeaningBook
  /** The name of the offers of a day, without laying them out. */
  readonly nameOn: (date: string) => string
  readonly sheetOn: (date: string) => OfferSheet
  /** The offers under a name, if that is what the day is called now or they are still kept. */
  readonly findSheet: (date: string, snapshot: string) => OfferSheet | undefined
  /** The prices of a day and what they rest on. */
  readonly pricesOn: (date: string) => PriceBook
  /** The sheet a brief is answered from: one that brings its own market from the book alone, any other from the kitchen's day. */
  readonly sheetOf: (brief: Pick<Brief, 'date' | 'market'>) => OfferSheet
}

interface SheetDeps {
  readonly books: HouseBooks
  readonly kitchens: Pick<KitchenRepository, 'find' | 'readVersion'>
  readonly prices: Pick<RecordRepository<PriceInput, PriceRecord>, 'list'>
  readonly readListed: (kitchenId: string, today: string) => Promise<ListedPrices>
  readonly purchases: Pick<RecordRepository<PurchaseInput, PurchaseRecord>, 'list'>
  readonly rates: Pick<RecordRepository<RateInput, RateRecord>, 'list'>
  readonly seasons: Pick<RecordRepository<SeasonInput, SeasonRecord>, 'list'>
  readonly stocks: Pick<RecordRepository<StockInput, StockRecord>, 'list'>
  readonly readHouseBook: (kitchenId: string) => Promise<ReadBook>
  readonly absences: { readonly listStanding: (kitchenId: string, since?: string) => Promise<readonly Absence[]> }
}

/** Sheets that are kept laid out, and kitchens whose layers are kept, over all kitchens. */
const MOST_SHEETS = 60
const MOST_KITCHENS = 40

/** What a kitchen lays over its book, as it stood at a version. */
interface Standing {
  readonly book: LeaningBook
  readonly over: LaidOver
}

const NOTHING: LaidOver = {
  prices: [],
  listed: { stamp: null, series: [] },
  rates: [],
  currency: '',
  seasons: [],
  stocks: [],
  absences: [],
  learnt: NOTHING_LEARNT,
}

/**
 * Opens the sheets of a kitchen, as its absences stand or as they are given. What is laid over the book is read once for each version of
 * the kitchen, and each sheet is laid out once.
 */
export function createKitchenSheets(deps: SheetDeps) {
  const { books, kitchens, prices, purchases, readListed, rates, seasons, stocks, absences, readHouseBook } = deps
  const sheets = createLeastRecent<OfferSheet>(MOST_SHEETS)
  const standings = createLeastRecent<Promise<Standing>>(MOST_KITCHENS)

  const readOver = async (kitchenId: string, today: string, book: Pick<LeaningBook, 'offers'>): Promise<LaidOver> => {
    const [typed, bought, listed, worth, kitchen, years, evidence, missing, written] = await Promise.all([
      prices.list(kitchenId),
      purchases.list(kitchenId),
      readListed(kitchenId, today),
      rates.list(kitchenId),
      kitchens.find(kitchenId),
      seasons.list(kitchenId),
      stocks.list(kitchenId),
      absences.listStanding(kitchenId, today),
      readHouseBook(kitchenId),
    ])
    return {
      // What was paid is a price of its day like any other.
      prices: [...typed.map(({ price }) => price), ...toPrices(bought, book.offers)],
      listed,
      rates: worth.map(({ rate }) => rate),
      currency: kitchen?.currency ?? '',
      seasons: years.map(({ season }) => season),
      stocks: evidence.map(({ stock }) => stock),
      absences: missing,
      learnt: learnHouse(written, book.offers),
    }
  }
  const readStanding = async (kitchenId: string, today: string): Promise<Standing> => {
    const book = await books.read(kitchenId)
    return { book, over: await readOver(kitchenId, today, book) }
  }
  /** What stands now. The version is read first: a change that comes in between is found at the next question. */
  const findStanding = async (kitchenId: string, today: string): Promise<Standing> => {
    const key = `${kitchenId}|${today}|${await kitchens.readVersion(kitchenId)}`
    const reading = standings.find(key) ?? standings.keep(key, readStanding(kitchenId, today))
    return reading.catch((error: unknown) => {
      standings.drop(key)
      throw error
    })
  }

  return async (kitchenId: string, today: string, absencesInstead?: readonly Absence[]): Promise<KitchenSheets> => {
    const { book, over: standing } = await findStanding(kitchenId, today)
    const over = absencesInstead ? { ...standing, absences: absencesInstead } : standing
    const names = new Map<string, string>()
    const nameOn = (date: string): string => {
      const name = names.get(date) ?? nameSheet(book, listLayers(book, over, date))
      names.set(date, name)
      return name
    }
    const keyOf = (date: string, snapshot: string): string => `${kitchenId}|${date}|${snapshot}`
    const sheetOn = (date: string): OfferSheet => {
      const key = keyOf(date, nameOn(date))
      return sheets.find(key) ?? sheets.keep(key, foldLayers(book, listLayers(book, over, date), date))
    }
    return {
      book,
      nameOn,
      sheetOn,
      findSheet: (date, snapshot) => sheets.find(keyOf(date, snapshot)) ?? (nameOn(date) === snapshot ? sheetOn(date) : undefined),
      pricesOn: (date) => createPriceBook(readPrices(over, date), book.offers, date, book.findSpecies),
      sheetOf: ({ date, market }) => {
        const day = date ?? today
        return market ? foldLayers(book, listLayers(book, NOTHING, day), day) : sheetOn(day)
      },
    }
  }
}
