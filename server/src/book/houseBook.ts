import { catalogueSnapshot, listHouseSources, listHouseSpecies } from '@tender-gill/catalogue'
import type { HouseLeanings, ResolvedOffer, SourceSpecies, SpeciesSheet } from '@tender-gill/contract'
import { createFindSpecies, type FindSpecies } from '@tender-gill/core'
import { and, count, eq, isNull, max, sum } from 'drizzle-orm'
import { nameShortly } from '../contents/index.ts'
import type { Database } from '../database/openDatabase.ts'
import { houseSpecies } from '../database/schema/index.ts'
import type { LeaningsRepository } from '../leanings/leaningsRepository.ts'
import { houseSpeciesMapping } from '../records/mappings.ts'

/** The book as one kitchen sees it: the shipped one with its own hand laid over it. */
export interface HouseBook {
  /** Names exactly these contents. */
  readonly snapshot: string
  readonly sheets: readonly SpeciesSheet[]
  readonly offers: readonly ResolvedOffer[]
  readonly findSpecies: FindSpecies
  readonly listSources: () => readonly SourceSpecies[]
}

/** A book with the house's leanings beside it: what a day's sheet is made from. */
export interface LeaningBook extends HouseBook {
  readonly leanings: HouseLeanings
}

type Hand = readonly { source: SourceSpecies; hidden: boolean }[]

function layBook(hand: Hand): HouseBook {
  const sheets = listHouseSpecies(hand)
  const offers = sheets.flatMap((sheet) => sheet.offers)
  return {
    snapshot: hand.length === 0 ? catalogueSnapshot : nameShortly([catalogueSnapshot, hand.map(({ source, hidden }) => [source, hidden])]),
    sheets,
    offers,
    findSpecies: createFindSpecies(offers),
    listSources: () => listHouseSources(hand),
  }
}

let shipped: HouseBook | undefined
/** A book with a hand laid over it; the shipped one is laid once for all kitchens that changed nothing. */
const createBook = (hand: Hand): HouseBook => (hand.length === 0 ? (shipped ??= layBook(hand)) : layBook(hand))

/** Kitchens whose book is kept ready. */
const MOST_KEPT = 20

/** Reads a kitchen's book; it is laid out anew only when its hand changed. */
export function createHouseBooks(db: Database, leaningsRepository: Pick<LeaningsRepository, 'get'>) {
  const kept = new Map<string, { readonly stamp: string; readonly book: HouseBook }>()
  const live = (kitchenId: string) => and(eq(houseSpecies.kitchenId, kitchenId), isNull(houseSpecies.deletedAt))
  const readStamp = async (kitchenId: string): Promise<string> => {
    const [row] = await db
      .select({ rows: count(), revisions: sum(houseSpecies.revision), last: max(houseSpecies.updatedAt) })
      .from(houseSpecies)
      .where(live(kitchenId))
    return `${row?.rows ?? 0}|${row?.revisions ?? 0}|${row?.last?.toISOString() ?? ''}`
  }
  const readHand = async (kitchenId: string) => {
    const rows = await db.select().from(houseSpecies).where(live(kitchenId)).orderBy(houseSpecies.species)
    // A hand that was put back value by value says nothing any more.
    const speaking = rows.filter(({ patch, hidden }) => patch !== null || hidden)
    return speaking.map((row) =>
      houseSpeciesMapping.toRecord(row, { id: row.id, revision: row.revision, updatedAt: row.updatedAt.toISOString(), deletedAt: null }),
    )
  }
  return {
    read: async (kitchenId: string): Promise<LeaningBook> => {
      const { leanings } = await leaningsRepository.get(kitchenId)
      const stamp = await readStamp(kitchenId)
      const ready = kept.get(kitchenId)
      if (ready?.stamp === stamp) return { ...ready.book, leanings }
      const book = createBook(await readHand(kitchenId))
      kept.delete(kitchenId)
      kept.set(kitchenId, { stamp, book })
      for (const oldest of [...kept.keys()].slice(0, Math.max(0, kept.size - MOST_KEPT))) kept.delete(oldest)
      return { ...book, leanings }
    },
  }
}
export type HouseBooks = ReturnType<typeof createHouseBooks>
