import { useCallback } from 'react'
import { useDispatch, useStore } from 'react-redux'
import type { AppDispatch } from '../state/store.ts'
import { said } from './noticesSlice.ts'

interface Undoable<A> {
  readonly done: string
  readonly undone: string
  /** How it is undone, given what it answered: a trigger of a command with `.unwrap()`. */
  readonly undo: (answer: A) => Promise<unknown>
}

interface Undo {
  readonly name: string
  /** When it was offered, ms since 1970. */
  readonly at: number
  readonly run: () => Promise<void>
}

/** The undo that is offered, one a page: a function is nothing for a store. */
const offered = new WeakMap<object, Undo>()

/** The undo of a notice, if it is still offered. */
export function useUndo(name: string | null): (() => void) | undefined {
  const undo = offered.get(useStore())
  return name !== null && undo?.name === name ? () => void undo.run() : undefined
}

/** The command that can be undone now, whether its notice is still seen or not. */
export const findOffered = (store: object): Undo | undefined => offered.get(store)

/**
 * Carries out a command that can be undone, and says so with the undo beside it; once undone that is said too. Nothing is said to be done
 * that is not: a command that fails is told as that, where all failures are told.
 * @param step the command: a trigger with `.unwrap()`   @returns whether it was done
 */
export function useUndoable(): <A>(step: () => Promise<A>, words: Undoable<A>) => Promise<boolean> {
  const dispatch = useDispatch<AppDispatch>()
  const store = useStore()
  return useCallback(
    async (step, { done, undone, undo }) => {
      try {
        const answer = await step()
        const name = crypto.randomUUID()
        offered.set(store, {
          name,
          at: Date.now(),
          run: async () => {
            offered.delete(store)
            try {
              await undo(answer)
              dispatch(said('done', undone))
            } catch {
              // Told where all failures are told.
            }
          },
        })
        dispatch(said('done', done, name))
        return true
      } catch {
        return false
      }
    },
    [dispatch, store],
  )
}
