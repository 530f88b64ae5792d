import type { Middleware } from '@reduxjs/toolkit'
import { operations, type Operation } from '@tender-gill/contract/operations'
import { api } from './api.ts'
import { readArg } from './endpoints.ts'

interface Stored {
  readonly id?: string
  readonly deletedAt?: string | null
}
interface Fulfilled {
  readonly type: string
  readonly payload: unknown
  readonly meta: { readonly arg: { readonly endpointName: string; readonly originalArgs: unknown; readonly type: string } }
}

const isFulfilled = (action: unknown): action is Fulfilled =>
  (action as { type?: string }).type === `${api.reducerPath}/executeMutation/fulfilled`

/** A list of records with one of them as it stands now: in its place, at the end, or gone. */
export function placeRecord<T extends Stored>(records: readonly T[], record: T): T[] {
  if (record.deletedAt) return records.filter(({ id }) => id !== record.id)
  return records.some(({ id }) => id === record.id) ? records.map((one) => (one.id === record.id ? record : one)) : [...records, record]
}

/**
 * Puts a record that a command answered with in the place of the one that was there, alone and in its list, in the same breath: whoever
 * waited for the command sees what it left, and never for a moment what was before.
 */
export const keepRecords: Middleware = (store) => (next) => (action) => {
  const result = next(action)
  if (!isFulfilled(action)) return result
  const operation = (operations as Record<string, Operation>)[action.meta.arg.endpointName]
  if (!operation?.answers) return result
  const { one, all } = operation.answers
  const record = action.payload as Stored
  const { id } = readArg(operation, action.meta.arg.originalArgs)
  const dispatch = store.dispatch as (action: unknown) => unknown
  const endpoint = one as 'serving'
  if (!record.deletedAt)
    dispatch(api.util.upsertQueryEntries([{ endpointName: endpoint, arg: (record.id ?? id) as string, value: record as never }]))
  if (all)
    dispatch(
      api.util.updateQueryData(all as 'servings', undefined, (records) => placeRecord(records as readonly Stored[], record) as never),
    )
  return result
}
