import { useCallback, useMemo, useSyncExternalStore } from 'react'
import { useDispatch, useSelector, useStore } from 'react-redux'
import type { AppDispatch, RootState } from '../state/store.ts'
import { redoStep, remembered, undoStep, type Step } from './historySlice.ts'
import { nameDocument } from './kinds.ts'
import { mergeThree } from './mergeThree.ts'

/** Puts other contents into a document without a step of their own. */
type PutBack = (change: (now: unknown) => unknown) => void
/** The documents on the page of one store: only what is seen can be undone. A new map with every change, so that pages hear of it. */
interface OpenDocuments {
  documents: ReadonlyMap<string, PutBack>
  readonly listeners: Set<() => void>
}
const opened = new WeakMap<object, OpenDocuments>()
function openOf(store: object): OpenDocuments {
  const known = opened.get(store) ?? { documents: new Map<string, PutBack>(), listeners: new Set<() => void>() }
  opened.set(store, known)
  return known
}
function change(open: OpenDocuments, documents: ReadonlyMap<string, PutBack>): void {
  open.documents = documents
  for (const listener of open.listeners) listener()
}

/** Says that a document is on the page. @returns how to say that it is there no more */
export function openForUndo(store: object, key: string, putBack: PutBack): () => void {
  const open = openOf(store)
  change(open, new Map(open.documents).set(key, putBack))
  return () => {
    if (open.documents.get(key) === putBack) change(open, new Map([...open.documents].filter(([name]) => name !== key)))
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
 * The changes of the documents on this page, taken back one by one and done again; those of other pages wait there. What somebody else
 * changed meanwhile stays: only the fields that the step changed go back.
 */
export function useHistory(): Undoing {
  const { past, future } = useSelector((state: RootState) => state.history)
  const dispatch = useDispatch<AppDispatch>()
  const store = useStore<RootState>()
  const documents = useSyncExternalStore(
    useCallback(
      (listener) => {
        const { listeners } = openOf(store)
        listeners.add(listener)
        return () => listeners.delete(listener)
      },
      [store],
    ),
    () => openOf(store).documents,
  )
  return useMemo(() => {
    const putBackOf = ({ kind, id }: Step) => documents.get(nameDocument(kind, id))
    const last = past.findLast(putBackOf)
    const next = future.findLast(putBackOf)
    const go = (
      step: Step | undefined,
      from: unknown,
      to: unknown,
      move: (history: RootState['history'], step: Step) => RootState['history'],
    ) => {
      if (!step) return
      putBackOf(step)?.((now) => turn(now, from, to))
      dispatch(remembered(move(store.getState().history, step)))
    }
    return {
      ...{ last, next },
      undo: () => go(last, last?.after, last?.before, (history, step) => undoStep(history, step, Date.now())),
      redo: () => go(next, next?.before, next?.after, redoStep),
    }
  }, [past, future, documents, dispatch, store])
}

/** A document with one change turned into its opposite; where others changed the same fields since, all of it goes to what it was. */
function turn(now: unknown, from: unknown, to: unknown): unknown {
  const merged = mergeThree(from, to, now)
  return merged.ok ? merged.value : to
}
