import type { ServedDish } from '@tender-gill/contract'
import { useCallback, useEffect, useState } from 'react'
import { useKitchenId } from '../../kitchen/index.ts'
import { useUndoable } from '../../notices/index.ts'
import { useGive } from '../../outbox/index.ts'
import { EMPTY_DRAFT, isWritten, readDraft, toEntries, toWrittenBefore, type ServedDraft } from './servedDraft.ts'

type Sheet = Parameters<typeof toEntries>[2]['sheet']

const placeOf = (kitchen: string, serving: string): string => `tender-gill-served|${kitchen}|${serving}`

function readKept(place: string): ServedDraft | null {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(place) ?? 'null')
    return kept !== null && typeof kept === 'object' ? { ...EMPTY_DRAFT, ...(kept as Partial<ServedDraft>) } : null
  } catch {
    return null
  }
}

/** What is answered of one dish: kept in the browser until it is written down, so that a reload loses none of it. */
export function useServedDraft(dish: ServedDish) {
  const place = placeOf(useKitchenId(), dish.key)
  const [typed, setTyped] = useState<ServedDraft | null>(() => readKept(place))
  useEffect(() => {
    try {
      if (typed) localStorage.setItem(place, JSON.stringify(typed))
      else localStorage.removeItem(place)
    } catch {
      // A browser that keeps nothing still writes down what is answered at once.
    }
  }, [place, typed])
  const draft = typed ?? readDraft(dish)
  return {
    draft,
    /** Something is answered that is not written down yet. */
    open: typed !== null || !isWritten(dish),
    change: useCallback((patch: Partial<ServedDraft>) => setTyped((before) => ({ ...(before ?? readDraft(dish)), ...patch })), [dish]),
    begin: useCallback(() => setTyped((before) => before ?? readDraft(dish)), [dish]),
    forget: useCallback(() => setTyped(null), []),
  }
}

/** Writes a dish down, whether the server can be reached or not; undone in one press, by a further act. */
export function useWriteServed(day: string) {
  const give = useGive()
  const undoable = useUndoable()
  return useCallback(
    (dish: ServedDish, draft: ServedDraft, sheet: Sheet): void => {
      const entries = toEntries(dish, draft, { day, at: new Date().toISOString(), sheet })
      const before = toWrittenBefore(dish, entries)
      const about = `served ${dish.key}`
      const put = (list: typeof before, words: string) => give('writeEntries', { entries: [...list] }, { about, words })
      const done = `${dish.dish} is written down.`
      const undone = `${dish.dish} is as it was in the house book.`
      void undoable(async () => put(entries, done), {
        ...{ done, undone },
        undo: async () => put(before, undone),
        redo: async () => put(entries, done),
      })
    },
    [day, give, undoable],
  )
}
