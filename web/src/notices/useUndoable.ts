import { useCallback } from 'react'
import { useDispatch, useStore } from 'react-redux'
import type { AppDispatch } from '../state/store.ts'
import { said } from './noticesSlice.ts'

interface Undoable<A, B> {
  readonly done: string
  readonly undone: string
  /** How it is undone, given what it answered: a trigger of a command with `.unwrap()`. */
  readonly undo: (answer: A) => Promise<B>
  /** How it is done once more, given what the undo answered; left out where it cannot be. */
  readonly redo?: (back: B) => Promise<A>
}

interface Offer {
  readonly name: string
  readonly kind: 'undo' | 'redo'
  /** When it was offered, ms since 1970. */
  readonly at: number
  readonly run: () => Promise<void>
}

/** The way back, or forward again, that is offered, one a page: a function is nothing for a store. */
const offered = new WeakMap<object, Offer>()

/** The offer that belongs to a notice, if it still stands. */
export function useOffered(name: string | null): Offer | undefined {
  const offer = offered.get(useStore())
  return name !== null && offer?.name === name ? offer : undefined
}

/** The command that can be undone, or done again, now, whether its notice is still seen or not. */
export const findOffered = (store: object, kind: Offer['kind']): Offer | undefined => {
  const offer = offered.get(store)
  return offer?.kind === kind ? offer : undefined
}

/**
 * Carries out a command that can be undone, and says so with the undo beside it; once undone that is said too, with the way to do it again
 * where there is one. Nothing is said to be done that is not: a command that fails is told as that, where all failures are told.
 * @param step the command: a trigger with `.unwrap()`   @returns whether it was done
 */
export function useUndoable(): <A, B>(step: () => Promise<A>, words: Undoable<A, B>) => Promise<boolean> {
  const dispatch = useDispatch<AppDispatch>()
  const store = useStore()
  return useCallback(
    async <A, B>(step: () => Promise<A>, { done, undone, undo, redo }: Undoable<A, B>) => {
      /** Says what was done, with the way from there; a way that fails is told where all failures are. */
      const tell = (text: string, kind: Offer['kind'], way: (() => Promise<void>) | undefined) => {
        if (!way) {
          dispatch(said('done', text))
          return
        }
        const name = crypto.randomUUID()
        const run = async () => {
          offered.delete(store)
          await way().catch(() => undefined)
        }
        offered.set(store, { name, kind, at: Date.now(), run })
        dispatch(said('done', text, name))
      }
      const tellDone = (answer: A): void =>
        tell(done, 'undo', async () => {
          const back = await undo(answer)
          tell(undone, 'redo', redo && (async () => tellDone(await redo(back))))
        })
      try {
        tellDone(await step())
        return true
      } catch {
        return false
      }
    },
    [dispatch, store],
  )
}
