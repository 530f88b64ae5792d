import type { Brief, ServingInput, Choice } from '@tender-gill/contract'
import { useCallback, useMemo } from 'react'
import { useServingQuery } from '../api/api.ts'
import { useDocument, type Draft } from '../documents/index.ts'

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

/** One dish as it is being worked on: a document whose serving may have been taken away meanwhile. */
export function useDish(id: string): DishState {
  const { data: record, error } = useServingQuery(id)
  const isThere = record?.deletedAt === null
  const { input, draft, change } = useDocument('serving', id, isThere ? record : undefined)
  const edit = useCallback((changed: Partial<ServingInput>) => change((now) => ({ ...now, ...changed })), [change])
  return useMemo(() => {
    if (input) return { status: 'ready', dish: { id, brief: input.brief, choice: input.choice ?? null, draft, edit } }
    if (record && !isThere) return { status: 'missing' }
    if (!error) return { status: 'loading' }
    return (error as { status?: unknown }).status === 404 ? { status: 'missing' } : { status: 'away' }
  }, [input, id, draft, edit, error, record, isThere])
}
