import { configureStore, createListenerMiddleware } from '@reduxjs/toolkit'
import { api, toProblemDetails } from '../api/api.ts'
import { draftChanged, draftRebased, draftsReducer, draftSaved, draftState, type Drafts } from './draftsSlice.ts'
import type { BriefRecord } from '@tender-gill/contract'

const KEPT = 'tender-gill-drafts'
/** Rest after the last change before a dish is sent to be kept, ms. */
const SAVE_AFTER_MS = 500
const TRY_AGAIN_MS = 2500

function readKept(): Drafts {
  try {
    return JSON.parse(localStorage.getItem(KEPT) ?? '{}') as Drafts
  } catch {
    return {}
  }
}

const listener = createListenerMiddleware()

export const store = configureStore({
  reducer: { [api.reducerPath]: api.reducer, drafts: draftsReducer },
  preloadedState: { drafts: readKept() },
  middleware: (getDefault) => getDefault().prepend(listener.middleware).concat(api.middleware),
})
export type RootState = ReturnType<typeof store.getState>
export type AppDispatch = typeof store.dispatch

/** Sends one draft until the server has it, or says why it will not. */
async function sendDraft(id: string): Promise<'done' | 'again'> {
  const draft = store.getState().drafts[id]
  if (!draft || draft.state === 'conflict') return 'done'
  store.dispatch(draftState({ id, state: 'saving' }))
  const { input, revision } = draft
  const answer = await store.dispatch(api.endpoints.saveBrief.initiate({ id, revision, input }))
  if (answer.data) {
    // What the server has now stands in for the draft at once: between the two nobody may see, or write over, the dish as it was.
    store.dispatch(api.util.upsertQueryEntries([{ endpointName: 'brief', arg: id, value: answer.data }]))
    store.dispatch(draftSaved({ id, input, revision: answer.data.revision }))
    return store.getState().drafts[id] ? 'again' : 'done'
  }
  const details = toProblemDetails(answer.error)
  if (details?.status === 409) store.dispatch(draftState({ id, state: 'conflict', theirs: details.current as BriefRecord }))
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
const sending = new Set<string>()
function schedule(id: string, delayMs: number): void {
  clearTimeout(timers.get(id))
  timers.set(
    id,
    setTimeout(() => void deliver(id), delayMs),
  )
}
/** One write at a time for each dish, so that a revision is never sent twice. */
async function deliver(id: string): Promise<void> {
  if (sending.has(id)) {
    schedule(id, SAVE_AFTER_MS)
    return
  }
  sending.add(id)
  const outcome = await sendDraft(id).finally(() => sending.delete(id))
  if (outcome === 'again') schedule(id, store.getState().drafts[id]?.state === 'waiting' ? TRY_AGAIN_MS : SAVE_AFTER_MS)
}

listener.startListening({ actionCreator: draftChanged, effect: ({ payload }) => schedule(payload.id, SAVE_AFTER_MS) })
listener.startListening({ actionCreator: draftRebased, effect: ({ payload: id }) => schedule(id, SAVE_AFTER_MS) })

/** What this tab last wrote: another tab keeps drafts in the same place, and a tab only ever touches its own. */
let written = store.getState().drafts
store.subscribe(() => {
  const { drafts } = store.getState()
  if (drafts === written) return
  const kept: Record<string, Drafts[string]> = { ...readKept() }
  for (const id of new Set([...Object.keys(written), ...Object.keys(drafts)])) {
    const draft = drafts[id]
    if (draft === written[id]) continue
    if (draft) kept[id] = draft
    else delete kept[id]
  }
  written = drafts
  localStorage.setItem(KEPT, JSON.stringify(kept))
})
for (const id of Object.keys(store.getState().drafts)) schedule(id, SAVE_AFTER_MS)
