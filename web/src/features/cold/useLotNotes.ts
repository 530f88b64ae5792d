import type { Lot } from '@tender-gill/contract'
import { useCallback } from 'react'
import { useUndoable } from '../../notices/index.ts'
import { useGive } from '../../outbox/index.ts'
import type { StandingLot } from './layLots.ts'

/** Writes down what is done to a lot, whether the server can be reached or not; each undone in one press. */
export function useLotNotes() {
  const give = useGive()
  const undoable = useUndoable()
  return useCallback(
    ({ id, revision, lot }: StandingLot, change: Partial<Lot>, words: { readonly done: string; readonly undone: string }): void => {
      const put = (at: number, now: Lot, said: string) =>
        give('saveLot', { id, revision: at, input: { lot: now } }, { about: `lot ${id}`, words: said })
      void undoable(async () => put(revision, { ...lot, ...change }, words.done), {
        ...words,
        undo: async () => put(revision + 1, lot, words.undone),
      })
    },
    [give, undoable],
  )
}
