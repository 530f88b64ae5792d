import type { ServingRecord } from '@tender-gill/contract'
import { addDays } from '@tender-gill/core'
import { useCallback } from 'react'
import { useNavigate } from 'react-router'
import { useCreateServingMutation, useRemoveServingMutation } from '../../api/api.ts'
import { useUndoable } from '../../notices/index.ts'

/** The day of the next serving of a dish: a week after this one, and never before tomorrow; none where this one has none. */
export function nextDay(date: string | undefined, today: string): string | undefined {
  if (date === undefined) return undefined
  const week = addDays(date, 7)
  return week > today ? week : addDays(today, 1)
}

/** Serves a dish once more: another serving of it, with the same covers and diners and no fish taken yet, opened to be changed. */
export function useServeAgain(today: string): (serving: Pick<ServingRecord, 'dishId' | 'brief'>) => Promise<void> {
  const [create] = useCreateServingMutation()
  const [remove] = useRemoveServingMutation()
  const undoable = useUndoable()
  const navigate = useNavigate()
  return useCallback(
    async ({ dishId, brief: { date: before, ...brief } }) => {
      const date = nextDay(before, today)
      let made: ServingRecord | undefined
      const done = await undoable(
        async () => (made = await create({ brief: { ...brief, ...(date === undefined ? {} : { date }) }, dishId }).unwrap()),
        {
          done: `${brief.dish} is served once more. Set its day and its covers here.`,
          undone: `${brief.dish} is not served once more.`,
          undo: async ({ id, revision }) => {
            await remove({ id, revision }).unwrap()
            await navigate('/')
          },
        },
      )
      if (done && made) void navigate(`/dishes/${made.id}/brief`)
    },
    [create, navigate, remove, today, undoable],
  )
}
