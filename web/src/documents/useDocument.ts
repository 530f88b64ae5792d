import equal from 'fast-deep-equal'
import { useCallback, useEffect, useMemo } from 'react'
import { useDispatch, useSelector, useStore } from 'react-redux'
import type { AppDispatch, RootState } from '../state/store.ts'
import { documentTyped, type Draft } from './documentsSlice.ts'
import { addStep, remembered } from './historySlice.ts'
import { KINDS, nameDocument, type DocumentKind, type Documents, type InputOf } from './kinds.ts'
import { openForUndo } from './useHistory.ts'

export interface OpenDocument<K extends DocumentKind> {
  /** As it was typed, else as it is kept; undefined while it is fetched. */
  readonly input: InputOf<K> | undefined
  readonly draft: Draft<K> | undefined
  /** Changes what stands there now; it is kept in the browser at once and on the server soon. */
  readonly change: (change: (now: InputOf<K>) => InputOf<K>) => void
}

/** One document as it is being worked on: the draft over the record. @param record as the server has it; undefined while it is fetched */
export function useDocument<K extends DocumentKind>(kind: K, id: string, record: Documents[K]['record'] | undefined): OpenDocument<K> {
  const key = nameDocument(kind, id)
  const draft = useSelector((state: RootState) => state.documents[key]) as Draft<K> | undefined
  const dispatch = useDispatch<AppDispatch>()
  const store = useStore<RootState>()
  const stored = useMemo(() => record && KINDS[kind].toInput(record), [kind, record])
  const revision = record?.revision
  const put = useCallback(
    (next: (now: InputOf<K>) => InputOf<K>, { asStep }: { readonly asStep: boolean }) => {
      const typed = store.getState().documents[key] as Draft<K> | undefined
      const now = typed?.input ?? stored
      const over = typed?.revision ?? revision
      if (now === undefined || over === undefined) return
      const input = next(now)
      if (asStep && !equal(now, input))
        dispatch(remembered(addStep(store.getState().history, { kind, id, before: now, after: input, at: Date.now() })))
      dispatch(documentTyped({ kind, id, input, base: stored ?? now, revision: over }))
    },
    [dispatch, id, key, kind, revision, store, stored],
  )
  const change = useCallback((next: (now: InputOf<K>) => InputOf<K>) => put(next, { asStep: true }), [put])
  useEffect(() => openForUndo(store, key, (next) => put((now) => next(now) as InputOf<K>, { asStep: false })), [store, key, put])
  return { input: draft?.input ?? stored, draft, change }
}
