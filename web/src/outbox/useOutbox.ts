import { createSelector } from '@reduxjs/toolkit'
import { useCallback } from 'react'
import { useDispatch, useSelector } from 'react-redux'
import type { ArgOf, Operations } from '@tender-gill/contract/operations'
import type { AppDispatch, RootState } from '../state/store.ts'
import { commandGiven, type Given, type Outbox, type OutboxCommand } from './outboxSlice.ts'

/** What waits in this browser for the server. */
export const useWaiting = (): Outbox => useSelector((state: RootState) => state.outbox)

const selectUnread = createSelector(
  (state: RootState) => state.arrivals,
  (state: RootState) => state.outbox,
  (arrivals, outbox): Outbox => (arrivals.length === 0 ? outbox : [...arrivals, ...outbox]),
)
/** What was written here and is not in what the page has read of the server: what waits, and what has only just gone. */
export const useUnread = (): Outbox => useSelector(selectUnread)

/** Gives a command that is carried out once the server can be reached. */
export function useGive() {
  const dispatch = useDispatch<AppDispatch>()
  return useCallback(
    <Name extends OutboxCommand>(command: Name, arg: ArgOf<Operations[Name]>, { about, words }: { about: string; words: string }): void => {
      dispatch(
        commandGiven({
          ...{ id: crypto.randomUUID(), command, arg: arg as Given['arg'], about, words },
          ...{ at: new Date().toISOString(), state: 'waiting', problem: null, current: null },
        }),
      )
    },
    [dispatch],
  )
}
