import type { createListenerMiddleware } from '@reduxjs/toolkit'
import type { ServingRecord } from '@tender-gill/contract'
import { api, toProblemDetails } from '../api/api.ts'
import { draftChanged, draftRebased, draftSaved, draftState, type Drafts } from './draftsSlice.ts'
import { readStored } from './readStored.ts'
import type { AppStore } from './store.ts'

/** Rest after the last change before a dish is sent to be kept, ms. */
const SAVE_AFTER_MS = 500
const FIRST_PAUSE_MS = 2_500
const LAST_PAUSE_MS = 30_000

/** Drafts of one kitchen: another's are none of this tab's business. */
const placeOf = (kitchenId: string): string => `tender-gill-drafts|${kitchenId}`

export const readDrafts = (storage: Pick<Storage, 'getItem'>, kitchenId: string): Drafts =>
  readStored(storage, placeOf(kitchenId)) as Drafts

interface Options {
  readonly store: AppStore
  readonly listener: ReturnType<typeof createListenerMiddleware>
  readonly storage: Storage
  readonly kitchenId: string
}

/** Sends what was typed of a dish until the server has it, with growing pauses while it is away; keeps it in the browser until then. */
export function createDraftKeeper({ store, listener, storage, kitchenId }: Options): void {
  /** Sends one draft until the server has it, or says why it will not. */
  const sendDraft = async (id: string): Promise<'done' | 'again'> => {
    const draft = store.getState().drafts[id]
    if (!draft || draft.state === 'conflict') return 'done'
    store.dispatch(draftState({ id, state: 'saving' }))
    const { input, revision } = draft
    const answer = await store.dispatch(api.endpoints.saveServing.initiate({ id, revision, input }))
    if (answer.data) {
      // What the server has now stands in its place already: between the two nobody may see, or write over, the dish as it was.
      store.dispatch(draftSaved({ id, input, revision: answer.data.revision }))
      return store.getState().drafts[id] ? 'again' : 'done'
    }
    const details = toProblemDetails(answer.error)
    if (details?.status === 409) store.dispatch(draftState({ id, state: 'conflict', theirs: details.current as ServingRecord }))
    else if (details?.status === 400) store.dispatch(draftState({ id, state: 'refused', problems: details.problems }))
    else if (details?.status === 404)
      store.dispatch(draftState({ id, state: 'refused', problems: [{ path: '', message: 'this dish is no longer there' }] }))
    else {
      store.dispatch(draftState({ id, state: 'waiting' }))
      return 'again'
    }
    return 'done'
  }

  const timers = new Map<string, ReturnType<typeof setTimeout>>()
  const pauses = new Map<string, number>()
  const sending = new Set<string>()
  const schedule = (id: string, delayMs: number): void => {
    clearTimeout(timers.get(id))
    timers.set(
      id,
      setTimeout(() => void deliver(id), delayMs),
    )
  }
  /** One write at a time for each dish, so that a revision is never sent twice. */
  const deliver = async (id: string): Promise<void> => {
    if (sending.has(id)) return schedule(id, SAVE_AFTER_MS)
    sending.add(id)
    const outcome = await sendDraft(id).finally(() => sending.delete(id))
    if (outcome === 'done') return void pauses.delete(id)
    if (store.getState().drafts[id]?.state !== 'waiting') return schedule(id, SAVE_AFTER_MS)
    const pauseMs = pauses.get(id) ?? FIRST_PAUSE_MS
    pauses.set(id, Math.min(LAST_PAUSE_MS, pauseMs * 2))
    return schedule(id, pauseMs)
  }
  listener.startListening({ actionCreator: draftChanged, effect: ({ payload }) => schedule(payload.id, SAVE_AFTER_MS) })
  listener.startListening({ actionCreator: draftRebased, effect: ({ payload: id }) => schedule(id, SAVE_AFTER_MS) })

  /** What this tab last wrote: another tab keeps drafts in the same place, and a tab only ever touches its own. */
  let written = store.getState().drafts
  store.subscribe(() => {
    const { drafts } = store.getState()
    if (drafts === written) return
    const kept: Record<string, Drafts[string]> = { ...readDrafts(storage, kitchenId) }
    for (const id of new Set([...Object.keys(written), ...Object.keys(drafts)])) {
      const draft = drafts[id]
      if (draft === written[id]) continue
      if (draft) kept[id] = draft
      else delete kept[id]
    }
    written = drafts
    storage.setItem(placeOf(kitchenId), JSON.stringify(kept))
  })
  for (const id of Object.keys(store.getState().drafts)) schedule(id, SAVE_AFTER_MS)
}
