import type { Entry, LookInput, PurchaseInput, PurchaseRecord } from '@tender-gill/contract'
import { describe, expect, it, vi } from 'vitest'
import { api } from '../api/api.ts'
import { createStore, type AppStore } from '../state/store.ts'
import { closeLater } from '../testing/closing.ts'
import { KITCHEN_ID, startRealServer, type RealServer } from '../testing/realServer.ts'
import { commandGiven, commandSettled, readOutbox, type Given } from './index.ts'
import { writeOver } from './writeOver.ts'

const COD = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skin-on' as const }

/** A browser's own store. */
function createStorage(): Storage {
  const kept = new Map<string, string>()
  return {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  } as unknown as Storage
}

type Fetch = typeof fetch
/** A server, and phones that reach it as a connection lets them. */
async function open(reach: (fetch: Fetch) => Fetch = (fetch) => fetch) {
  const server: RealServer = await startRealServer({ dishes: [] })
  closeLater(server.close)
  vi.stubGlobal(
    'Request',
    class extends Request {
      constructor(url: string | URL, init?: RequestInit) {
        super(new URL(String(url), server.address), { ...init, signal: null })
      }
    },
  )
  vi.stubGlobal('fetch', reach(server.fetch as Fetch))
  const phone = (storage = createStorage()) => ({
    storage,
    store: createStore({ kitchenId: KITCHEN_ID, client: crypto.randomUUID(), storage, outboxPauseMs: 5 }),
  })
  const list = async <T,>(of: string): Promise<readonly T[]> =>
    (await (await server.fetch(`${server.address}/api/kitchens/${KITCHEN_ID}/${of}`)).json()) as T[]
  return { phone, list }
}

const given = <Name extends Given['command']>(command: Name, arg: Given['arg'], about: string): Given => ({
  ...{ id: crypto.randomUUID(), command, arg, about, words: about, at: '2026-06-13T10:00:00Z' },
  ...{ state: 'waiting' as const, problem: null, current: null },
})
const look = (note: string): LookInput => ({
  id: crypto.randomUUID(),
  look: {
    ...{
      at: '2026-06-13T10:00:00Z',
      line: null,
      servings: [],
      merchant: null,
      ...COD,
      view: 'fillet',
      signs: { smell: 0 },
      circumstances: [],
    },
    ...{ refused: false, outcome: 'buy', iceDays: null, asked: null, note },
  },
})
const lesson = (words: string): Entry => ({
  ...{ kind: 'lesson', at: '2026-06-13T10:00:00Z', day: '2026-06-13', servingId: null, dish: 'Cod in milk', method: null, words },
  ...{ species: null, offerId: null, form: null, merchant: null },
})
const purchase = (g: number, line = 'a line'): PurchaseInput => ({
  id: crypto.randomUUID(),
  purchase: {
    ...{
      line,
      state: 'bought',
      merchant: null,
      date: '2026-06-13',
      paidOn: '2026-06-13',
      ...COD,
      orderedG: g,
      g,
      perKg: 12,
      currency: 'EUR',
    },
    servings: [],
  },
})
const isEmpty = (store: AppStore) => expect.poll(() => store.getState().outbox.length, { timeout: 60_000 }).toBe(0)

describe('what is written down out of reach of the server', () => {
  it('is carried out once and in order, time after time, though requests and answers are lost on the way', async () => {
    let turn = 7919
    // Every third request never arrives, every third is carried out and its answer lost.
    const lossy =
      (real: Fetch): Fetch =>
      async (...asked) => {
        turn = (turn * 48_271) % 2_147_483_647
        const { method } = asked[0] as Request
        if (method === 'POST' && turn % 3 === 0) throw new TypeError('the connection is gone')
        const answer = await real(...asked)
        if (method === 'POST' && turn % 3 === 1) throw new TypeError('the answer is lost')
        return answer
      }
    const { phone, list } = await open(lossy)
    for (let run = 0; run < 6; run += 1) {
      const { store } = phone()
      const notes = Array.from({ length: 4 }, (_, i) => `run ${run} note ${i}`)
      const left: number[] = []
      store.subscribe(() => left.push(store.getState().outbox.length))
      for (const note of notes) store.dispatch(commandGiven(given('createLook', look(note), note)))
      await isEmpty(store)
      const kept = (await list<{ look: { note: string } }>('looks'))
        .map((one) => one.look.note)
        .filter((note) => note.startsWith(`run ${run} `))
      expect(kept.sort()).toEqual(notes)
      // One after the other: never two gone at once.
      left.slice(1).forEach((now, i) => expect((left[i] ?? 0) - now).toBeLessThanOrEqual(1))
    }
  })

  it('is in view at every moment: what has gone is laid over the page until the page has read it', async () => {
    const { phone } = await open()
    const { store } = phone()
    const book = api.endpoints.entries
    const readPage = () => (book.select({})(store.getState()).data?.lines ?? []).map(({ entry }) => entry.words)
    await store.dispatch(book.initiate({}))
    const missed: string[] = []
    const notes: string[] = []
    store.subscribe(() => {
      const state = store.getState()
      const read = readPage()
      const laid = [...state.arrivals, ...state.outbox].map(({ about }) => about)
      missed.push(...notes.filter((note) => !read.includes(note) && !laid.includes(note)))
    })
    for (const note of ['the first', 'the second', 'the third']) {
      store.dispatch(commandGiven(given('writeEntries', { entries: [{ id: crypto.randomUUID(), entry: lesson(note) }] }, note)))
      notes.push(note)
    }
    await isEmpty(store)
    await expect.poll(() => store.getState().arrivals.length, { timeout: 20_000 }).toBe(0)
    expect(missed).toEqual([])
    expect(readPage().sort()).toEqual(notes.sort())
  })

  it('is kept over a reload, and what makes no sense is passed over', () => {
    const storage = createStorage()
    expect(readOutbox(storage, 'k')).toEqual([])
    const one = given('createLook', look('x'), 'x')
    storage.setItem('tender-gill-outbox|k', JSON.stringify([one, { id: 1 }, null, { ...one, command: 'removeKitchen' }]))
    expect(readOutbox(storage, 'k')).toEqual([one])
    storage.setItem('tender-gill-outbox|k', '{ half')
    expect(readOutbox(storage, 'k')).toEqual([])
  })

  it('that is refused stays, with the reason; what is about the same waits behind it, and all else goes on', async () => {
    const { phone, list } = await open()
    const { store, storage } = phone()
    const wrong = purchase(500, 'wrong')
    const bad = { ...wrong, purchase: { ...wrong.purchase, offerId: 'no.such.fish' } }
    store.dispatch(commandGiven(given('createPurchase', bad, 'wrong')))
    store.dispatch(commandGiven(given('createPurchase', purchase(400, 'wrong'), 'wrong')))
    store.dispatch(commandGiven(given('createLook', look('after it'), 'another')))
    await expect.poll(() => store.getState().outbox.map(({ state }) => state), { timeout: 20_000 }).toEqual(['refused', 'waiting'])
    expect(store.getState().outbox[0]?.problem).toContain('no offer "no.such.fish"')
    expect(readOutbox(storage, KITCHEN_ID)).toEqual(store.getState().outbox)
    expect(await list('looks')).toHaveLength(1)
    store.dispatch(commandSettled({ id: store.getState().outbox[0]?.id ?? '', again: null }))
    await isEmpty(store)
    expect((await list<PurchaseRecord>('purchases')).map((one) => one.purchase.g)).toEqual([400])
  })

  it('by two phones of one kitchen on one line is a conflict for the later, which keeps theirs or writes its own over it', async () => {
    const { phone, list } = await open()
    const [first, second] = [phone(), phone()]
    first.store.dispatch(commandGiven(given('createPurchase', purchase(1000), 'line')))
    await isEmpty(first.store)
    second.store.dispatch(commandGiven(given('createPurchase', purchase(900), 'line')))
    await expect.poll(() => second.store.getState().outbox[0]?.state, { timeout: 20_000 }).toBe('conflict')
    const theirs = await list<PurchaseRecord>('purchases')
    expect(theirs.map((one) => one.purchase.g)).toEqual([1000])
    const [mine] = second.store.getState().outbox
    if (!mine) throw new Error('the conflict is gone')
    second.store.dispatch(commandSettled({ id: mine.id, again: writeOver(mine, theirs) }))
    await isEmpty(second.store)
    expect((await list<PurchaseRecord>('purchases')).map((one) => [one.purchase.g, one.revision])).toEqual([[900, 2]])
    // A change at a revision that is past is one, too: what the kitchen keeps now is told with it.
    const [kept] = await list<PurchaseRecord>('purchases')
    if (!kept) throw new Error('the purchase is gone')
    const arg = { id: kept.id, revision: 1, input: { purchase: kept.purchase } }
    first.store.dispatch(commandGiven(given('savePurchase', arg, 'line')))
    await expect.poll(() => first.store.getState().outbox[0]?.state, { timeout: 20_000 }).toBe('conflict')
    expect(first.store.getState().outbox[0]?.current).toMatchObject({ revision: 2 })
    const [clash] = first.store.getState().outbox
    expect(clash && writeOver(clash, [])).toMatchObject({ arg: { revision: 2 }, state: 'waiting' })
  })
})
