import { createNameSearch, type FishSearch } from '@tender-gill/names'
import type { HouseBook } from '../book/houseBook.ts'

const searches = new WeakMap<HouseBook['sheets'], FishSearch>()

/** The search over a book's names by tongue, made once for each book. */
export function searchNames(sheets: HouseBook['sheets']): FishSearch {
  const ready = searches.get(sheets)
  if (ready) return ready
  const search = createNameSearch(sheets.flatMap(({ offers: [offer], names }) => (offer ? [{ ...offer, names }] : [])))
  searches.set(sheets, search)
  return search
}
