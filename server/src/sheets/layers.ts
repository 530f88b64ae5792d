import type { Absence, HouseLeanings, OfferSheet, Price, Rate, Season, Stock } from '@tender-gill/contract'
import {
  applyPrices,
  convertSeries,
  layLearnt,
  layMerchants,
  markAbsent,
  readSeries,
  type Folded,
  type PriceSeries,
} from '@tender-gill/core'
import type { LeaningBook } from '../book/houseBook.ts'
import { nameShortly } from '../contents/index.ts'
import type { ListedPrices } from '../priceSeries/listedPrices.ts'

/** Everything a kitchen lays over the book. */
export interface LaidOver {
  /** Prices typed in by hand, and the merchants' lists; what each currency was worth in the kitchen's own. */
  readonly prices: readonly Price[]
  readonly listed: ListedPrices
  readonly rates: readonly Rate[]
  readonly currency: string
  readonly seasons: readonly Season[]
  readonly stocks: readonly Stock[]
  readonly absences: readonly Absence[]
  /** What the house book teaches. */
  readonly learnt: Folded
}

/**
 * One thing that is laid over the offers of a day. Its stamp names exactly what it lays, null where it lays nothing: the name of a sheet is
 * made of the stamps, so that no layer can be in the offers and not in their name.
 */
export interface Layer {
  readonly name: 'leanings' | 'learnt' | 'market' | 'merchants' | 'season' | 'evidence' | 'absences'
  readonly stamp: string | null
  readonly lay: (sheet: OfferSheet) => OfferSheet
}

const layLeanings = (leanings: HouseLeanings): Layer => ({
  name: 'leanings',
  stamp: Object.keys(leanings).length > 0 ? nameShortly(leanings) : null,
  lay: (sheet) => ({ ...sheet, leanings }),
})

const layHouseBook = (learnt: Folded): Layer => ({
  name: 'learnt',
  stamp: Object.values(learnt).some((list) => list.length > 0) ? nameShortly(learnt) : null,
  lay: (sheet) => layLearnt(sheet, learnt),
})

/** How surely merchants deliver stands beside their prices: it is laid above the market, whose stamp and its own name it. */
const layDeliveries = ({ merchants }: Folded): Layer => ({
  name: 'merchants',
  stamp: merchants.length > 0 ? nameShortly(merchants) : null,
  lay: (sheet) => layMerchants(sheet, merchants),
})

/** Every price series the kitchen has, in its own currency where there is a rate. */
export const readPrices = ({ prices, listed, rates, currency }: LaidOver, date: string): readonly PriceSeries[] =>
  convertSeries([...readSeries(prices, date), ...listed.series], rates, currency)

const layMarket = ({ findSpecies }: LeaningBook, over: LaidOver, date: string): Layer => ({
  name: 'market',
  stamp:
    over.prices.length > 0 || over.listed.stamp !== null
      ? nameShortly([date, over.prices, over.listed.stamp, over.rates, over.currency])
      : null,
  lay: (sheet) => ({ ...sheet, offers: [...applyPrices(sheet.offers, readPrices(over, date), { date, findSpecies })] }),
})

const laySeasons = (seasons: readonly Season[]): Layer => ({
  name: 'season',
  stamp: seasons.length > 0 ? nameShortly(seasons) : null,
  lay: (sheet) => ({ ...sheet, seasons: [...seasons], stocks: sheet.stocks ?? [] }),
})

const layEvidence = (stocks: readonly Stock[]): Layer => ({
  name: 'evidence',
  stamp: stocks.length > 0 ? nameShortly(stocks) : null,
  lay: (sheet) => ({ ...sheet, seasons: sheet.seasons ?? [], stocks: [...stocks] }),
})

function layAbsences(absences: readonly Absence[], date: string): Layer {
  const missing = absences
    .filter(({ from, to }) => from <= date && date <= to)
    .map(({ species, offerId, because, to }) => ({ species, offerId, because, to }))
  return {
    name: 'absences',
    stamp: missing.length > 0 ? nameShortly(missing) : null,
    lay: (sheet) => missing.reduce(markAbsent, sheet),
  }
}

/** The layers of a kitchen's day, the lowest first; the book, with the house's hand in it, lies below them all. */
export const listLayers = (book: LeaningBook, over: LaidOver, date: string): readonly Layer[] => [
  layLeanings(book.leanings),
  layHouseBook(over.learnt),
  layMarket(book, over, date),
  layDeliveries(over.learnt),
  laySeasons(over.seasons),
  layEvidence(over.stocks),
  layAbsences(over.absences, date),
]

/** The name of a sheet: the book's own where nothing is laid over it. */
export function nameSheet(book: Pick<LeaningBook, 'snapshot'>, layers: readonly Layer[]): string {
  const stamps = layers.flatMap(({ name, stamp }) => (stamp === null ? [] : [[name, stamp]]))
  return stamps.length === 0 ? book.snapshot : nameShortly([book.snapshot, stamps])
}

/** The offers of a day: the book with every layer laid over it in order. */
export function foldLayers(
  { offers, ...book }: Pick<LeaningBook, 'offers' | 'snapshot'>,
  layers: readonly Layer[],
  date: string,
): OfferSheet {
  const bare: OfferSheet = { snapshot: nameSheet(book, layers), date, offers: [...offers] }
  return layers.reduce((sheet, { stamp, lay }) => (stamp === null ? sheet : lay(sheet)), bare)
}
