import type { ResolvedOffer } from '@tender-gill/contract'
import { foldEvents, leaveOut, toLearnEvents, type Folded } from '@tender-gill/core'
import type { ReadBook } from './readBook.ts'

const folded = new WeakMap<ReadBook, { readonly offers: readonly ResolvedOffer[]; readonly all: Folded }>()

/** Everything a book teaches of the offers of a house, what is set aside too; each book once. */
export function foldBook(book: ReadBook, offers: readonly ResolvedOffer[]): Folded {
  const ready = folded.get(book)
  if (ready?.offers === offers) return ready.all
  const all = foldEvents(toLearnEvents(book.lines), offers)
  folded.set(book, { offers, all })
  return all
}

/** What counts of it. */
export const learnHouse = (book: ReadBook, offers: readonly ResolvedOffer[]): Folded => leaveOut(foldBook(book, offers), book.setAside)
