import { createStore, del, get, set, type UseStore } from 'idb-keyval'
import type { OfferSheet } from '@tender-gill/contract'
import type { SheetRef } from './sheetRef.ts'

/** Sheets kept in the browser: today's, some days to come, and what was looked at last. */
const MOST_KEPT = 12
const INDEX = 'index'

/** The browser's own store, where it has one: sheets never change under their name, so one that is kept need not be fetched. */
export interface SheetShelf {
  readonly find: (ref: SheetRef) => Promise<OfferSheet | undefined>
  readonly keep: (ref: SheetRef, sheet: OfferSheet) => Promise<void>
}

const keyOf = ({ kitchenId, date, snapshot }: SheetRef): string => `${kitchenId}|${date}|${snapshot}`

/** A shelf that holds nothing: for a browser that keeps nothing for us. */
export const EMPTY_SHELF: SheetShelf = { find: async () => undefined, keep: async () => undefined }

/** @param store where it is kept; the browser's own database where none is given */
export function createSheetShelf(store: UseStore = createStore('tender-gill-sheets', 'sheets')): SheetShelf {
  return {
    find: async (ref) => get<OfferSheet>(keyOf(ref), store).catch(() => undefined),
    keep: async (ref, sheet) => {
      try {
        const key = keyOf(ref)
        const before = (await get<string[]>(INDEX, store)) ?? []
        const kept = [key, ...before.filter((one) => one !== key)]
        await set(key, sheet, store)
        for (const old of kept.slice(MOST_KEPT)) await del(old, store)
        await set(INDEX, kept.slice(0, MOST_KEPT), store)
      } catch {
        // A full or forbidden store is no reason not to answer.
      }
    },
  }
}
