import { createStore, delMany, get, set, update, type UseStore } from 'idb-keyval'
import type { OfferSheet } from '@tender-gill/contract'
import type { SheetRef } from './sheetRef.ts'

/** Sheets kept in the browser: today's, some days to come, and what was looked at last. */
const MOST_KEPT = 12
/** The keys of what is kept, what was looked at last first. */
const INDEX = 'index'

/** The browser's own store, where it has one: sheets never change under their name, so one that is kept need not be fetched. */
export interface SheetShelf {
  readonly find: (ref: SheetRef) => Promise<OfferSheet | undefined>
  readonly keep: (ref: SheetRef, sheet: OfferSheet) => Promise<void>
}

const keyOf = ({ kitchenId, date, snapshot }: SheetRef): string => `${kitchenId}|${date}|${snapshot}`

/** A shelf that holds nothing: for a browser that keeps nothing for us. */
export const EMPTY_SHELF: SheetShelf = { find: async () => undefined, keep: async () => undefined }

/**
 * What was looked at last is read at once: most often it is what is asked for first, and its name is still being asked for meanwhile.
 * @param store where it is kept; the browser's own database where none is given
 */
export function createSheetShelf(store: UseStore = createStore('tender-gill-sheets', 'sheets')): SheetShelf {
  const read = (key: string) => get<OfferSheet>(key, store).catch(() => undefined)
  const last = get<readonly string[]>(INDEX, store)
    .then((kept) => kept?.[0])
    .catch(() => undefined)
  const ahead = last.then((key) => (key === undefined ? undefined : read(key)))
  const putFirst = async (key: string): Promise<void> => {
    let gone: readonly string[] = []
    await update<readonly string[]>(
      INDEX,
      (before = []) => {
        const kept = [key, ...before.filter((one) => one !== key)]
        gone = kept.slice(MOST_KEPT)
        return kept.slice(0, MOST_KEPT)
      },
      store,
    )
    if (gone.length > 0) await delMany([...gone], store)
  }
  return {
    find: async (ref) => {
      const key = keyOf(ref)
      const isLast = (await last) === key
      const sheet = await (isLast ? ahead : read(key))
      if (sheet && !isLast) void putFirst(key).catch(() => undefined)
      return sheet
    },
    keep: async (ref, sheet) => {
      try {
        const key = keyOf(ref)
        await set(key, sheet, store)
        await putFirst(key)
      } catch {
        // A full or forbidden store is no reason not to answer.
      }
    },
  }
}
