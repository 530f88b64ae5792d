import type { Brief, ServingInput, Choice } from '@tender-gill/contract'
import { useCallback, useMemo } from 'react'
import { useDispatch, useSelector } from 'react-redux'
import { useServingQuery } from '../api/api.ts'
import { documentTyped, nameDocument, type Draft } from '../documents/index.ts'
import type { AppDispatch, RootState } from './store.ts'

export interface Dish {
  readonly id: string
  readonly brief: Brief
  readonly choice: Choice | null
  readonly draft: Draft<'serving'> | undefined
  readonly edit: (change: Partial<ServingInput>) => void
}

export type DishState =
  | { readonly status: 'ready'; readonly dish: Dish }
  | { readonly status: 'loading' }
  | { readonly status: 'missing' }
  | { readonly status: 'away' }

/** One dish as it is being worked on: the draft over the stored one; every edit is kept at once in the browser and soon on the server. */
export function useDish(id: string): DishState {
  const { data: record, error } = useServingQuery(id)
  const draft = useSelector((state: RootState) => state.documents[nameDocument('serving', id)]) as Draft<'serving'> | undefined
  const dispatch = useDispatch<AppDispatch>()
  const isThere = record?.deletedAt === null
  const stored: ServingInput | undefined = useMemo(
    () => (record && isThere ? { brief: record.brief, choice: record.choice } : undefined),
    [record, isThere],
  )
  const input = draft?.input ?? stored
  const revision = draft?.revision ?? record?.revision
  const edit = useCallback(
    (change: Partial<ServingInput>) => {
      if (input && revision !== undefined)
        dispatch(documentTyped({ kind: 'serving', id, input: { ...input, ...change }, base: stored ?? input, revision }))
    },
    [dispatch, id, input, revision, stored],
  )
  return useMemo(() => {
    if (input) return { status: 'ready', dish: { id, brief: input.brief, choice: input.choice ?? null, draft, edit } }
    if (record && !isThere) return { status: 'missing' }
    if (!error) return { status: 'loading' }
    return (error as { status?: unknown }).status === 404 ? { status: 'missing' } : { status: 'away' }
  }, [input, id, draft, edit, error, record, isThere])
}
