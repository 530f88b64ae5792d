import { useCallback, useMemo } from 'react'
import { useDispatch, useSelector, useStore } from 'react-redux'
import type { AppDispatch, RootState } from '../state/store.ts'
import { steppedBack, steppedOn, type Step } from './historySlice.ts'
import { nameDocument } from './kinds.ts'
import { mergeThree } from './mergeThree.ts'

/** Puts other contents into a document without a step of their own. */
export type PutBack = (change: (now: unknown) => unknown) => void
/** Documents that are open on the page, one page a store: only what is seen can be undone. */
const open = new WeakMap<object, Map<string, PutBack>>()

/** Says that a document is open. @returns how to say that it is closed */
export function openForUndo(store: object, key: string, putBack: PutBack): () => void {
  const documents = open.get(store) ?? new Map<string, PutBack>()
  open.set(store, documents.set(key, putBack))
  return () => {
    if (documents.get(key) === putBack) documents.delete(key)
  }
}

export interface Undoing {
  /** The change that undoing would take back; undefined where there is none to a document of this page. */
  readonly last: Step | undefined
  readonly next: Step | undefined
  readonly undo: () => void
  readonly redo: () => void
}

/**
 * The changes of the documents on this page, taken back one by one and done again. What somebody else changed meanwhile stays: only the
 * fields that the step changed go back.
 */
export function useHistory(): Undoing {
  const { past, future } = useSelector((state: RootState) => state.history)
  const dispatch = useDispatch<AppDispatch>()
  const store = useStore<RootState>()
  const putBackOf = useCallback((step: Step | undefined) => step && open.get(store)?.get(nameDocument(step.kind, step.id)), [store])
  const last = past.at(-1)
  const next = future.at(-1)
  const undo = useCallback(() => {
    const step = store.getState().history.past.at(-1)
    const putBack = putBackOf(step)
    if (!step || !putBack) return
    putBack((now) => turn(now, step.after, step.before))
    dispatch(steppedBack())
  }, [dispatch, putBackOf, store])
  const redo = useCallback(() => {
    const step = store.getState().history.future.at(-1)
    const putBack = putBackOf(step)
    if (!step || !putBack) return
    putBack((now) => turn(now, step.before, step.after))
    dispatch(steppedOn())
  }, [dispatch, putBackOf, store])
  return useMemo(
    () => ({ last: putBackOf(last) ? last : undefined, next: putBackOf(next) ? next : undefined, undo, redo }),
    [last, next, putBackOf, undo, redo],
  )
}

/** A document with one change turned into its opposite; where others changed the same fields since, all of it goes to what it was. */
function turn(now: unknown, from: unknown, to: unknown): unknown {
  const merged = mergeThree(from, to, now)
  return merged.ok ? merged.value : to
}
