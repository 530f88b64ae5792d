import { createFishSearch, type FishSearch } from '@tender-gill/names'
import type { HouseBook } from '../book/houseBook.ts'
import type { BookOfNames } from './readPriceList.ts'

const searches = new WeakMap<HouseBook['offers'], FishSearch>()
/** The search over the names of a kitchen's fish, made once for each book. */
export function searchOf({ offers }: Pick<HouseBook, 'offers'>): FishSearch {
  const search = searches.get(offers) ?? createFishSearch(offers)
  searches.set(offers, search)
  return search
}

/** The names of a kitchen's book, with what was settled before. */
export function openNames(book: Pick<HouseBook, 'offers'>, settled: ReadonlyMap<string, string | null>, currency: string): BookOfNames {
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
