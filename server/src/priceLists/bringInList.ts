import type { Kitchen, ListReading, Merchant, PriceListInput, PriceListReport, Problem, Result } from '@tender-gill/contract'
import { createFishSearch, type FishSearch } from '@tender-gill/names'
import type { HouseBook, HouseBooks } from '../book/houseBook.ts'
import type { PriceListRepository } from './priceListRepository.ts'
import { readPriceList, toSettled, type BookOfNames, type ReadList } from './readPriceList.ts'

const searches = new WeakMap<HouseBook, FishSearch>()
function searchOf(book: HouseBook): FishSearch {
  const search = searches.get(book) ?? createFishSearch(book.offers)
  searches.set(book, search)
  return search
}

/** The names of a kitchen's book, with what was settled before. */
export function openNames(book: HouseBook, settled: ReadonlyMap<string, string | null>, currency: string): BookOfNames {
  const search = searchOf(book)
  const commons = new Map(book.offers.map(({ species, common }) => [species, common]))
  return {
    search,
    findExact: (name) => search.findExact(name),
    settled,
    currency,
    commonOf: (species) => commons.get(species) ?? species,
  }
}

interface Deps {
  readonly books: Pick<HouseBooks, 'read'>
  readonly lists: PriceListRepository
}
export interface ListOrder {
  readonly input: PriceListInput
  readonly merchant: Merchant
  readonly source: 'file' | 'feed'
}

const toReport = ({ rows, quotes, headings, sample, reading, open, bad }: ReadList): Omit<PriceListReport, 'same' | 'list'> => ({
  rows,
  good: quotes.length,
  headings: [...headings],
  sample: sample.map((row) => [...row]),
  reading,
  open: [...open],
  bad: [...bad],
})

/**
 * Reads a merchant's list and, where asked, keeps it: all of it or nothing, or its good rows. What it was read by and what its names stand
 * for are remembered with it.
 * @returns the report, or the places of names that are no fish of the book
 */
export async function bringInList(
  { books, lists }: Deps,
  kitchen: Pick<Kitchen, 'id' | 'currency'>,
  { input, merchant, source }: ListOrder,
): Promise<Result<PriceListReport, readonly Problem[]>> {
  const book = await books.read(kitchen.id)
  const names = (input.names ?? []).map(({ name, species }) => ({
    name,
    species: species && (book.findSpecies(species) ?? null),
    asked: species,
  }))
  const unknown = names.flatMap(({ species, asked }, i) =>
    asked !== null && species === null ? [{ path: `/names/${i}/species`, message: `no fish named "${asked}" in the book` }] : [],
  )
  if (unknown.length > 0) return { ok: false, error: unknown }
  const settled = new Map([...(await lists.readNames(kitchen.id)), ...toSettled(names)])
  const read = readPriceList(
    { text: input.text, date: input.date, merchant: merchant.name, reading: input.reading ?? merchant.reading },
    openNames(book, settled, kitchen.currency),
  )
  const whole = read.bad.length === 0 && read.open.length === 0
  const keeps = read.quotes.length > 0 && (input.keep === 'good' || (input.keep === 'all' && whole))
  if (!keeps) return { ok: true, value: { ...toReport(read), same: false, list: null } }
  const { list, same } = await lists.keep(
    kitchen.id,
    { merchantId: input.merchantId, date: input.date, source, fileName: input.fileName ?? null, text: input.text, read },
    names,
  )
  if (source === 'file') await lists.rememberReading(kitchen.id, input.merchantId, read.reading)
  return { ok: true, value: { ...toReport(read), same, list } }
}

/** How a waiting list is read again once a name on it is settled. */
export const createReadAgain =
  (book: HouseBook, currency: string) =>
  (list: { text: string; date: string; merchant: string; reading: ListReading }, settled: ReadonlyMap<string, string | null>): ReadList =>
    readPriceList(list, openNames(book, settled, currency))
