import type { EntryAct } from '@tender-gill/contract'
import { foldActs, type Book } from '@tender-gill/core'
import { createLeastRecent } from '../sheets/leastRecent.ts'
import type { EntryRepository } from './entryRepository.ts'

/** The book of a kitchen and the last act it knows of. */
export interface ReadBook extends Book {
  readonly seq: number
}

/** Kitchens whose books are kept in memory. */
const MOST_KITCHENS = 12

/** Reads a kitchen's book. Acts are only ever added, so that each is read once: what is asked of the database is what came since. */
export function createReadBook(entries: Pick<EntryRepository, 'listSince'>): (kitchenId: string) => Promise<ReadBook> {
  const kept = createLeastRecent<{ readonly acts: readonly EntryAct[]; readonly book: ReadBook }>(MOST_KITCHENS)
  return async (kitchenId) => {
    const before = kept.find(kitchenId)
    const { acts, seq } = await entries.listSince(kitchenId, before?.book.seq ?? 0)
    if (before && acts.length === 0) return before.book
    const all = [...(before?.acts ?? []), ...acts]
    return kept.keep(kitchenId, { acts: all, book: { ...foldActs(all), seq } }).book
  }
}
