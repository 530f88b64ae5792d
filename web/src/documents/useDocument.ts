import { useCallback } from 'react'
import { useDispatch, useSelector, useStore } from 'react-redux'
import type { AppDispatch, RootState } from '../state/store.ts'
import { documentTyped, type Draft } from './documentsSlice.ts'
import { nameDocument, type DocumentKind, type InputOf } from './kinds.ts'

/** A document as the server has it. */
export interface Stored<K extends DocumentKind> {
  readonly id: string
  readonly revision: number
  readonly input: InputOf<K>
}

export interface OpenDocument<K extends DocumentKind> {
  /** As it was typed, else as it is kept. */
  readonly input: InputOf<K>
  readonly draft: Draft<K> | undefined
  /** Changes what stands there now; it is kept in the browser at once and on the server soon. */
  readonly change: (change: (now: InputOf<K>) => InputOf<K>) => void
}

/** One document as it is being worked on: the draft over the stored one. */
export function useDocument<K extends DocumentKind>(kind: K, { id, revision, input: stored }: Stored<K>): OpenDocument<K> {
  const key = nameDocument(kind, id)
  const draft = useSelector((state: RootState) => state.documents[key]) as Draft<K> | undefined
  const dispatch = useDispatch<AppDispatch>()
  const store = useStore<RootState>()
  const change = useCallback(
    (next: (now: InputOf<K>) => InputOf<K>) => {
      const now = (store.getState().documents[key] as Draft<K> | undefined)?.input ?? stored
      dispatch(documentTyped({ kind, id, input: next(now), base: stored, revision }))
    },
    [dispatch, id, key, kind, revision, store, stored],
  )
  return { input: draft?.input ?? stored, draft, change }
}
