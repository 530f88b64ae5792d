import { useSetEntryAsideMutation } from '../../api/api.ts'
import { useUndoable } from '../../notices/index.ts'

/** Sets a line or a learnt value aside, or counts it again; undone in one press. */
export function useSetAside() {
  const [set] = useSetEntryAsideMutation()
  const undoable = useUndoable()
  return (about: string, aside: boolean, what: string) =>
    undoable(() => set({ about, aside }).unwrap(), {
      done: aside ? `${what} is set aside: it counts for nothing.` : `${what} counts again.`,
      undone: aside ? `${what} counts again.` : `${what} is set aside again.`,
      undo: () => set({ about, aside: !aside }).unwrap(),
      redo: () => set({ about, aside }).unwrap(),
    })
}
