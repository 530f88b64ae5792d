import type { Entry } from '@tender-gill/contract'
import { useWriteEntriesMutation } from '../../api/api.ts'
import { useUndoable } from '../../notices/index.ts'

/** Writes one line, corrects it, or withdraws it; undone in one press by a further act. */
export function useWriteLine() {
  const [write] = useWriteEntriesMutation()
  const undoable = useUndoable()
  return (id: string, now: Entry | null, before: Entry | null, words: { readonly done: string; readonly undone: string }) => {
    const put = (entry: Entry | null) => write({ entries: [{ id, entry }] }).unwrap()
    return undoable(() => put(now), { ...words, undo: () => put(before), redo: () => put(now) })
  }
}
