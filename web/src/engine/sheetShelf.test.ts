import { IDBFactory } from 'fake-indexeddb'
import { createStore, get, keys, type UseStore } from 'idb-keyval'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { OfferSheet } from '@tender-gill/contract'
import { createSheetRef } from './sheetRef.ts'
import { createSheetShelf } from './sheetShelf.ts'

const refOf = (day: number, kitchen = 'a-kitchen') =>
  createSheetRef({ id: kitchen, today: '2026-06-13' }, `2026-06-${String(day).padStart(2, '0')}`, `offers of ${day}`)
const sheetOf = (day: number): OfferSheet => ({ snapshot: `offers of ${day}`, offers: [] }) as never

let store: UseStore
beforeEach(() => {
  vi.stubGlobal('indexedDB', new IDBFactory())
  store = createStore('sheets', 'sheets')
})
/** The days that are kept, what was looked at last first. */
const kept = async () => ((await get<string[]>('index', store)) ?? []).map((key) => Number(/\|2026-06-(\d\d)\|/.exec(key)?.[1]))

describe('the shelf of sheets', () => {
  it('gives back what was put on it, to whoever opens it next', async () => {
    await createSheetShelf(store).keep(refOf(13), sheetOf(13))
    const again = createSheetShelf(store)
    expect(await again.find(refOf(13))).toEqual(sheetOf(13))
    expect(await again.find(refOf(14))).toBeUndefined()
    expect(await again.find(refOf(13, 'another-kitchen'))).toBeUndefined()
  })

  it('has read what was looked at last before it is asked for, and nothing else', async () => {
    const before = createSheetShelf(store)
    for (const day of [12, 13, 14]) await before.keep(refOf(day), sheetOf(day))
    const shelf = createSheetShelf(store)
    await vi.waitFor(async () => expect(await kept()).toEqual([14, 13, 12]))
    await new Promise((resolve) => setTimeout(resolve, 50))
    // Taken away behind its back: what was read stays, what was not is gone.
    for (const key of await keys(store)) if (key !== 'index') await store('readwrite', (all) => void all.delete(key))
    expect(await shelf.find(refOf(14))).toEqual(sheetOf(14))
    expect(await shelf.find(refOf(13))).toBeUndefined()
  })

  it('sets first what is looked at again, so that it is read first the next time', async () => {
    const shelf = createSheetShelf(store)
    for (const day of [12, 13, 14]) await shelf.keep(refOf(day), sheetOf(day))
    await createSheetShelf(store).find(refOf(12))
    await vi.waitFor(async () => expect(await kept()).toEqual([12, 14, 13]))
  })

  it('keeps twelve, and lets go of what was looked at longest ago', async () => {
    const shelf = createSheetShelf(store)
    for (let day = 1; day <= 14; day += 1) await shelf.keep(refOf(day), sheetOf(day))
    expect(await kept()).toEqual([14, 13, 12, 11, 10, 9, 8, 7, 6, 5, 4, 3])
    expect(await keys(store)).toHaveLength(13)
    expect(await createSheetShelf(store).find(refOf(2))).toBeUndefined()
    expect(await createSheetShelf(store).find(refOf(3))).toEqual(sheetOf(3))
  })

  it('loses none where two are put on it at once', async () => {
    const shelf = createSheetShelf(store)
    await Promise.all([1, 2, 3, 4].map((day) => shelf.keep(refOf(day), sheetOf(day))))
    expect((await kept()).sort()).toEqual([1, 2, 3, 4])
  })

  it('answers that it has nothing where the browser keeps nothing for us', async () => {
    const forbidden: UseStore = async () => await Promise.reject(new Error('forbidden'))
    const shelf = createSheetShelf(forbidden)
    await shelf.keep(refOf(13), sheetOf(13))
    expect(await shelf.find(refOf(13))).toBeUndefined()
  })
})
