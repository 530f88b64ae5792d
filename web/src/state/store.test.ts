import type { BriefRecord } from '@tender-gill/contract'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

const ID = 'a-dish'
const buildRecord = (revision: number, covers: number): BriefRecord =>
  ({ id: ID, revision, brief: { dish: 'Soup', method: 'stew', format: 'chunk', covers }, choice: null }) as unknown as BriefRecord
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } })

/** The store on a server of one dish, which refuses an old revision. */
async function open() {
  let stored = buildRecord(1, 4)
  const matched: (string | null)[] = []
  vi.stubGlobal(
    'Request',
    class extends Request {
      constructor(url: string, init: RequestInit) {
        super(new URL(url, 'http://127.0.0.1'), { ...init, signal: null })
      }
    },
  )
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method !== 'PUT') return json(stored)
    matched.push(request.headers.get('if-match'))
    if (request.headers.get('if-match')?.replace(/\D/g, '') !== String(stored.revision)) return json({ status: 409, current: stored }, 409)
    stored = { ...stored, ...((await request.json()) as object), revision: stored.revision + 1 }
    return json(stored)
  })
  const { store } = await import('./store.ts')
  const { api } = await import('../api/api.ts')
  const { draftChanged } = await import('./draftsSlice.ts')
  await store.dispatch(api.endpoints.brief.initiate(ID))
  const seen = () => {
    const draft = store.getState().drafts[ID]
    const record = api.endpoints.brief.select(ID)(store.getState()).data
    return { covers: (draft?.input.brief ?? record?.brief)?.covers, revision: draft?.revision ?? record?.revision }
  }
  const edit = (covers: number) =>
    store.dispatch(draftChanged({ id: ID, input: { brief: buildRecord(0, covers).brief }, revision: seen().revision ?? 0 }))
  return { store, seen, edit, matched }
}

describe('a dish that is being kept', () => {
  beforeEach(() => {
    vi.resetModules()
    localStorage.clear()
  })
  afterEach(() => vi.unstubAllGlobals())

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
})
