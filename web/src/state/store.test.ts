import type { ServingRecord } from '@tender-gill/contract'
import { describe, expect, it, vi } from 'vitest'
import { api } from '../api/api.ts'
import { documentTyped, draftRebased, nameDocument, readDrafts, type Draft } from '../documents/index.ts'
import { createStore } from './store.ts'
import { onlyFrom, stubRequest } from '../testing/stubRequest.ts'

const ID = 'a-dish'
const KEY = nameDocument('serving', ID)
const KITCHEN = 'a-kitchen'
const buildRecord = (revision: number, covers: number): ServingRecord =>
  ({ id: ID, revision, brief: { dish: 'Soup', method: 'stew', format: 'chunk', covers }, choice: null }) as unknown as ServingRecord
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } })

/** The store on a server of one dish, which refuses an old revision. */
async function open({ fails = 0, status = 503 }: { fails?: number; status?: number } = {}) {
  let stored = buildRecord(1, 4)
  let left = fails
  const matched: (string | null)[] = []
  const keys: (string | null)[] = []
  const addresses: string[] = []
  stubRequest()
  const client = crypto.randomUUID()
  const answer = async (request: Request) => {
    addresses.push(new URL(request.url).pathname)
    if (request.method === 'GET') return json(stored)
    keys.push(request.headers.get('idempotency-key'))
    if (left > 0) {
      left -= 1
      return json({ status, title: 'no', problems: [] }, status)
    }
    matched.push(request.headers.get('if-match'))
    if (request.headers.get('if-match')?.replace(/\D/g, '') !== String(stored.revision))
      return json({ status: 409, current: stored, problems: [] }, 409)
    stored = { ...stored, ...((await request.json()) as object), revision: stored.revision + 1 }
    return json(stored)
  }
  vi.stubGlobal('fetch', onlyFrom(client, answer as typeof fetch))
  const store = createStore({ kitchenId: KITCHEN, client, storage: localStorage })
  await store.dispatch(api.endpoints.serving.initiate(ID))
  const seen = () => {
    const draft = store.getState().documents[KEY] as Draft<'serving'> | undefined
    const record = api.endpoints.serving.select(ID)(store.getState()).data
    return { covers: (draft?.input.brief ?? record?.brief)?.covers, revision: draft?.revision ?? record?.revision }
  }
  const edit = (covers: number) =>
    store.dispatch(
      documentTyped({
        ...{ kind: 'serving', id: ID, input: { brief: buildRecord(0, covers).brief } },
        ...{ base: { brief: buildRecord(0, seen().covers ?? 0).brief }, revision: seen().revision ?? 0 },
      }),
    )
  /** What another tab keeps meanwhile. */
  const theirs = (change: Partial<ServingRecord>) => {
    stored = { ...stored, ...change, revision: stored.revision + 1 }
  }
  return { store, seen, edit, theirs, matched, keys, addresses, notice: () => store.getState().notices.shown }
}

describe('a dish that is being kept', () => {
  it('never shows the dish as it was before an edit, at no moment of the save', async () => {
    const { store, seen, edit } = await open()
    edit(9)
    const shown = new Set<number | undefined>()
    store.subscribe(() => shown.add(seen().covers))
    await vi.waitFor(() => expect(store.getState().documents[KEY]).toBeUndefined(), { timeout: 5000 })
    expect([...shown]).toEqual([9])
    expect(seen()).toEqual({ covers: 9, revision: 2 })
  })

  it('takes an edit made the moment a save is done over what was saved, without a conflict', async () => {
    const { store, seen, edit, matched } = await open()
    edit(9)
    await new Promise<void>((resolve) => {
      const stop = store.subscribe(() => {
        if (store.getState().documents[KEY]) return
        stop()
        edit(12)
        resolve()
      })
    })
    await vi.waitFor(() => expect(store.getState().documents[KEY]).toBeUndefined(), { timeout: 5000 })
    expect(seen()).toEqual({ covers: 12, revision: 3 })
    expect(matched).toHaveLength(2)
  })

  it('is sent again under the same key while the database is away, and kept once', async () => {
    const { store, seen, edit, keys } = await open({ fails: 2 })
    edit(9)
    await vi.waitFor(() => expect(store.getState().documents[KEY]).toBeUndefined(), { timeout: 20_000 })
    expect(seen()).toEqual({ covers: 9, revision: 2 })
    expect(keys).toHaveLength(3)
    expect(new Set(keys).size).toBe(1)
  })

  it('stays in the browser of its own kitchen until it is kept', async () => {
    const { store, edit } = await open()
    edit(9)
    expect(readDrafts(localStorage, KITCHEN)[KEY]?.input).toMatchObject({ brief: { covers: 9 } })
    expect(readDrafts(localStorage, 'another')).toEqual({})
    await vi.waitFor(() => expect(store.getState().documents[KEY]).toBeUndefined(), { timeout: 5000 })
    localStorage.setItem(`tender-gill-documents|${KITCHEN}`, 'no json')
    expect(readDrafts(localStorage, KITCHEN)).toEqual({})
  })
})

describe('a document that somebody else changed meanwhile', () => {
  it('is put together with theirs where each changed something else', async () => {
    const { store, seen, edit, theirs } = await open()
    theirs({ brief: { ...buildRecord(1, 4).brief, dish: 'Their soup' } })
    edit(9)
    await vi.waitFor(() => expect(store.getState().documents[KEY]).toBeUndefined(), { timeout: 8000 })
    expect(seen()).toEqual({ covers: 9, revision: 3 })
    expect(api.endpoints.serving.select(ID)(store.getState()).data?.brief.dish).toBe('Their soup')
  })

  it('shows both versions where both changed one thing, and keeps mine or theirs as the person says', async () => {
    const { store, edit, seen, theirs } = await open()
    theirs({ brief: { ...buildRecord(1, 4).brief, covers: 6 } })
    edit(9)
    await vi.waitFor(() => expect(store.getState().documents[KEY]?.state).toBe('conflict'), { timeout: 8000 })
    expect(store.getState().documents[KEY]).toMatchObject({
      input: { brief: { covers: 9 } },
      theirs: { input: { brief: { covers: 6 } }, revision: 2 },
    })
    store.dispatch(draftRebased({ key: KEY }))
    await vi.waitFor(() => expect(store.getState().documents[KEY]).toBeUndefined(), { timeout: 8000 })
    expect(seen()).toEqual({ covers: 9, revision: 3 })
  })
})

describe('what was typed and not kept when the page was left', () => {
  const leave = (place: string, kept: object) => localStorage.setItem(`${place}|${KITCHEN}`, JSON.stringify(kept))

  it('is sent under the key it had, where it was under way: the server carries it out once', async () => {
    leave('tender-gill-documents', {
      [KEY]: {
        ...{ kind: 'serving', id: ID, input: { brief: buildRecord(1, 7).brief }, base: { brief: buildRecord(1, 4).brief } },
        ...{ revision: 1, state: 'saving', problems: [], command: 'the-key', theirs: null },
      },
    })
    const { store, keys } = await open()
    await vi.waitFor(() => expect(store.getState().documents[KEY]).toBeUndefined(), { timeout: 8000 })
    expect(keys).toEqual(['the-key'])
  })

  it('is sent once the page is open again, of every kind of document', async () => {
    const season = { species: 'Zeus faber', water: 'A', landings: Array.from({ length: 12 }, () => 1) }
    leave('tender-gill-documents', {
      'season/a-year': {
        kind: 'season',
        id: 'a-year',
        input: { season },
        base: { season },
        revision: 1,
        state: 'waiting',
        problems: [],
        theirs: null,
      },
      'nonsense/x': { kind: 'nonsense' },
    })
    const { store, addresses } = await open()
    await vi.waitFor(() => expect(addresses).toContain(`/api/kitchens/${KITCHEN}/seasons/a-year`), { timeout: 8000 })
    expect(Object.keys(store.getState().documents).filter((key) => !key.startsWith('season'))).toEqual([])
  })

  it('is taken over from an earlier version', async () => {
    leave('tender-gill-drafts', {
      [ID]: { input: { brief: buildRecord(1, 11).brief }, revision: 1, state: 'waiting', problems: [], theirs: null },
    })
    const { store, seen } = await open()
    expect(seen().covers).toBe(11)
    expect(localStorage.getItem(`tender-gill-drafts|${KITCHEN}`)).toBeNull()
    await vi.waitFor(() => expect(store.getState().documents[KEY]).toBeUndefined(), { timeout: 8000 })
    expect(seen()).toEqual({ covers: 11, revision: 2 })
  })
})

describe('a command that fails', () => {
  it('is said, whoever sent it, unless its page shows the mistake itself', async () => {
    const { store, notice } = await open({ fails: 1, status: 500 })
    await store.dispatch(api.endpoints.removeServing.initiate({ id: ID, revision: 1 }))
    expect(notice()).toMatchObject({ kind: 'failed', text: expect.stringContaining('Nothing was stored') })
    const quiet = await open({ fails: 1, status: 400 })
    await quiet.store.dispatch(api.endpoints.saveServing.initiate({ id: ID, revision: 1, input: { brief: buildRecord(1, 2).brief } }))
    expect(quiet.notice()).toBeNull()
  })

  it('is sent to the kitchen of its tab and to no other', async () => {
    const { store, addresses } = await open()
    await store.dispatch(api.endpoints.removeServing.initiate({ id: 'x/y', revision: 1 }))
    expect(addresses).toContain(`/api/kitchens/${KITCHEN}/servings/x%2Fy`)
    expect(addresses.filter((one) => !one.startsWith(`/api/kitchens/${KITCHEN}/`))).toEqual([])
  })
})
