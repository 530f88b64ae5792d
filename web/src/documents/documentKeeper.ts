import type { createListenerMiddleware } from '@reduxjs/toolkit'
import { api, toProblemDetails } from '../api/api.ts'
import { readStored } from '../state/readStored.ts'
import type { AppStore } from '../state/store.ts'
import { documentTyped, draftMarked, draftRebased, draftSent, type Draft, type Drafts } from './documentsSlice.ts'
import { KINDS, nameDocument, type DocumentKind } from './kinds.ts'
import { mergeThree } from './mergeThree.ts'

/** Rest after the last change before a document is sent to be kept, ms. */
const SAVE_AFTER_MS = 500
const FIRST_PAUSE_MS = 2_500
const LAST_PAUSE_MS = 30_000

/** What is typed in one kitchen and not kept yet: another's is none of this tab's business. */
const placeOf = (kitchenId: string): string => `tender-gill-documents|${kitchenId}`
/** Where an earlier version kept dishes. */
const formerPlaceOf = (kitchenId: string): string => `tender-gill-drafts|${kitchenId}`

const isDraft = (value: unknown): value is Draft =>
  typeof value === 'object' && value !== null && (value as Draft).kind in KINDS && typeof (value as Draft).revision === 'number'

/** What was typed and not kept when the page was left, of an earlier version too; what makes no sense is passed over. */
export function readDrafts(storage: Pick<Storage, 'getItem'>, kitchenId: string): Drafts {
  const former = Object.entries(readStored(storage, formerPlaceOf(kitchenId))).map(([id, draft]): [string, unknown] => [
    nameDocument('serving', id),
    { ...(draft as object), kind: 'serving', id, base: null, command: null, theirs: null, state: 'unsaved' },
  ])
  const kept = Object.entries(readStored(storage, placeOf(kitchenId)))
  const drafts = [...former, ...kept].filter((entry): entry is [string, Draft] => isDraft(entry[1]))
  // Whatever was on its way, or carried it, went with the page that was left.
  return Object.fromEntries(
    drafts.map(([key, draft]) => [key, { ...draft, sending: false, state: draft.state === 'carried' ? 'unsaved' : draft.state }]),
  )
}

interface Options {
  readonly store: AppStore
  readonly listener: ReturnType<typeof createListenerMiddleware>
  readonly storage: Storage
  readonly kitchenId: string
}

interface SaveAnswer {
  readonly data?: { readonly revision: number }
  readonly error?: unknown
}

/** Sends what was typed until the server has it, with growing pauses while it is away; keeps it in the browser until then. */
export function createDocumentKeeper({ store, listener, storage, kitchenId }: Options): void {
  const save = ({ kind, id, revision, input }: Draft, commandKey: string): Promise<SaveAnswer> =>
    store.dispatch(
      (
        api.endpoints[KINDS[kind].save as 'saveServing'].initiate as (arg: unknown) => ReturnType<typeof api.endpoints.saveServing.initiate>
      )({
        ...(kind === 'leanings' ? {} : { id }),
        ...{ revision, input, commandKey },
      }),
    )

  /** Somebody else changed it: what both changed apart is put together, the rest is for the person to say. */
  const meet = (key: string, draft: Draft, current: unknown): 'done' | 'again' => {
    const record = current as { readonly revision: number }
    const theirs = (KINDS[draft.kind].toInput as (record: unknown) => Draft['input'])(record)
    const merged = draft.base === null ? { ok: false as const } : mergeThree<unknown>(draft.base, draft.input, theirs)
    store.dispatch(draftMarked({ key, state: 'conflict', sending: false, theirs: { input: theirs, revision: record.revision } }))
    if (!merged.ok) return 'done'
    store.dispatch(draftRebased({ key, input: merged.value }))
    return 'again'
  }

  /** Sends one draft, or says why the server will not have it. */
  const sendDraft = async (key: string): Promise<'done' | 'again'> => {
    const draft = store.getState().documents[key]
    if (!draft || draft.state === 'conflict') return 'done'
    if (draft.state === 'carried') return 'again'
    const command = draft.command ?? crypto.randomUUID()
    store.dispatch(draftMarked({ key, state: 'saving', command, sending: true }))
    const answer = await save(draft, command)
    if (answer.data) {
      // What the server has now stands in its place already: between the two nobody may see, or write over, the document as it was.
      store.dispatch(draftSent({ key, input: draft.input, revision: answer.data.revision }))
      return store.getState().documents[key] ? 'again' : 'done'
    }
    const details = toProblemDetails(answer.error)
    const typed = store.getState().documents[key] ?? draft
    if (details?.status === 409 && details.current) return meet(key, typed, details.current)
    if (details?.status === 400) store.dispatch(draftMarked({ key, state: 'refused', sending: false, problems: details.problems }))
    else if (details?.status === 404 || details?.status === 409)
      store.dispatch(
        draftMarked({
          key,
          state: 'refused',
          sending: false,
          problems: [{ path: '', message: details.detail ?? 'it is no longer there' }],
        }),
      )
    else {
      store.dispatch(draftMarked({ key, state: 'waiting', sending: false }))
      return 'again'
    }
    return 'done'
  }

  const timers = new Map<string, ReturnType<typeof setTimeout>>()
  const pauses = new Map<string, number>()
  const sending = new Set<string>()
  const schedule = (key: string, delayMs: number): void => {
    clearTimeout(timers.get(key))
    timers.set(
      key,
      setTimeout(() => void deliver(key), delayMs),
    )
  }
  /** One write at a time for each document, so that a revision is never sent twice. */
  const deliver = async (key: string): Promise<void> => {
    if (sending.has(key)) return schedule(key, SAVE_AFTER_MS)
    sending.add(key)
    const outcome = await sendDraft(key).finally(() => sending.delete(key))
    if (outcome === 'done') return void pauses.delete(key)
    if (store.getState().documents[key]?.state !== 'waiting') return schedule(key, SAVE_AFTER_MS)
    const pauseMs = pauses.get(key) ?? FIRST_PAUSE_MS
    pauses.set(key, Math.min(LAST_PAUSE_MS, pauseMs * 2))
    return schedule(key, pauseMs)
  }
  const keyOf = ({ kind, id }: { readonly kind: DocumentKind; readonly id: string }) => nameDocument(kind, id)
  listener.startListening({ actionCreator: documentTyped, effect: ({ payload }) => schedule(keyOf(payload), SAVE_AFTER_MS) })
  listener.startListening({ actionCreator: draftRebased, effect: ({ payload: { key } }) => schedule(key, SAVE_AFTER_MS) })

  /** What this tab last wrote: another tab keeps drafts in the same place, and a tab only ever touches its own. */
  let written = store.getState().documents
  const write = (drafts: Drafts) => storage.setItem(placeOf(kitchenId), JSON.stringify(drafts))
  store.subscribe(() => {
    const { documents } = store.getState()
    if (documents === written) return
    const kept: Record<string, Draft> = { ...readDrafts(storage, kitchenId) }
    for (const key of new Set([...Object.keys(written), ...Object.keys(documents)])) {
      const draft = documents[key]
      if (draft === written[key]) continue
      if (draft) kept[key] = draft
      else delete kept[key]
    }
    written = documents
    write(kept)
  })
  if (storage.getItem(formerPlaceOf(kitchenId)) !== null) {
    write(written)
    storage.removeItem(formerPlaceOf(kitchenId))
  }
  for (const key of Object.keys(store.getState().documents)) schedule(key, SAVE_AFTER_MS)
}
