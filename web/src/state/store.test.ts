import type { ServingRecord } from '@tender-gill/contract'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api } from '../api/api.ts'
import { draftChanged } from './draftsSlice.ts'
import { readDrafts } from './draftKeeper.ts'
import { createStore } from './store.ts'

const ID = 'a-dish'
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
  vi.stubGlobal(
    'Request',
    class extends Request {
      constructor(url: string, init: RequestInit) {
        super(new URL(url, 'http://127.0.0.1'), { ...init, signal: null })
      }
    },
  )
  vi.stubGlobal('fetch', async (request: Request) => {
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
  })
  const store = createStore({ kitchenId: KITCHEN, client: 'tab', storage: localStorage })
  await store.dispatch(api.endpoints.serving.initiate(ID))
  const seen = () => {
    const draft = store.getState().drafts[ID]
    const record = api.endpoints.serving.select(ID)(store.getState()).data
    return { covers: (draft?.input.brief ?? record?.brief)?.covers, revision: draft?.revision ?? record?.revision }
  }
  const edit = (covers: number) =>
    store.dispatch(draftChanged({ id: ID, input: { brief: buildRecord(0, covers).brief }, revision: seen().revision ?? 0 }))
  return { store, seen, edit, matched, keys, addresses, notice: () => store.getState().notices.shown }
}

beforeEach(() => localStorage.clear())
afterEach(() => vi.unstubAllGlobals())

describe('a dish that is being kept', () => {
  it('never shows the dish as it was before an edit, at no moment of the save', async () => {
    const { store, seen, edit } = await open()
    edit(9)
    const shown = new Set<number | undefined>()
    store.subscribe(() => shown.add(seen().covers))
    await vi.waitFor(() => expect(store.getState().drafts[ID]).toBeUndefined(), { timeout: 5000 })
    expect([...shown]).toEqual([9])
    expect(seen()).toEqual({ covers: 9, revision: 2 })
  })

  it('takes an edit made the moment a save is done over what was saved, without a conflict', async () => {
    const { store, seen, edit, matched } = await open()
    edit(9)
    await new Promise<void>((resolve) => {
      const stop = store.subscribe(() => {
        if (store.getState().drafts[ID]) return
        stop()
        edit(12)
        resolve()
      })
    })
    await vi.waitFor(() => expect(store.getState().drafts[ID]).toBeUndefined(), { timeout: 5000 })
    expect(seen()).toEqual({ covers: 12, revision: 3 })
    expect(matched).toHaveLength(2)
  })

  it('is sent again under the same key while the database is away, and kept once', async () => {
    const { store, seen, edit, keys } = await open({ fails: 2 })
    edit(9)
    await vi.waitFor(() => expect(store.getState().drafts[ID]).toBeUndefined(), { timeout: 20_000 })
    expect(seen()).toEqual({ covers: 9, revision: 2 })
    expect(keys).toHaveLength(3)
    expect(new Set(keys).size).toBe(1)
  })

  it('stays in the browser of its own kitchen until it is kept', async () => {
    const { edit } = await open()
    edit(9)
    expect(readDrafts(localStorage, KITCHEN)[ID]?.input.brief.covers).toBe(9)
    expect(readDrafts(localStorage, 'another')).toEqual({})
    localStorage.setItem(`tender-gill-drafts|${KITCHEN}`, 'no json')
    expect(readDrafts(localStorage, KITCHEN)).toEqual({})
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
