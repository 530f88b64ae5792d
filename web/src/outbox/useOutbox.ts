import { useCallback } from 'react'
import { useDispatch, useSelector } from 'react-redux'
import type { ArgOf, Operations } from '@tender-gill/contract/operations'
import type { AppDispatch, RootState } from '../state/store.ts'
import { commandGiven, type Given, type Outbox, type OutboxCommand } from './outboxSlice.ts'

export const useWaiting = (): Outbox => useSelector((state: RootState) => state.outbox)

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
