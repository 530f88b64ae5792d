import { useEffect } from 'react'
import { useDispatch, useStore } from 'react-redux'
import { useHistory } from '../documents/index.ts'
import { findOffered, said } from '../notices/index.ts'
import { describeStep } from '../parts/describeStep.ts'
import type { AppDispatch } from '../state/store.ts'

/** Where text is typed, the browser's own undo is the one that is meant. */
const isText = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    /^(TEXTAREA|SELECT)$/.test(target.tagName) ||
    (target instanceof HTMLInputElement && !['range', 'checkbox', 'radio', 'button'].includes(target.type)))

/** Ctrl+Z takes back what was done last on this page, a change of a document or a command; Ctrl+Shift+Z and Ctrl+Y do it again. */
export function useUndoKeys(): void {
  const { last, next, undo, redo } = useHistory()
  const dispatch = useDispatch<AppDispatch>()
  const store = useStore()
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey || isText(event.target)) return
      const key = event.key.toLowerCase()
      if (key !== 'z' && key !== 'y') return
      if (key === 'y' || event.shiftKey) {
        const again = findOffered(store, 'redo')
        if (again && again.at > (next?.undoneAt ?? 0)) {
          event.preventDefault()
          void again.run()
          return
        }
        if (!next) return
        event.preventDefault()
        redo()
        dispatch(said('done', `Done again: ${describeStep(next)}.`))
        return
      }
      const offered = findOffered(store, 'undo')
      if (offered && offered.at > (last?.at ?? 0)) {
        event.preventDefault()
        void offered.run()
      } else if (last) {
        event.preventDefault()
        undo()
        dispatch(said('done', `Undone: ${describeStep(last)}.`))
      }
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [dispatch, last, next, redo, store, undo])
}
