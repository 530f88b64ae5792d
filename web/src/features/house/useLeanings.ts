import type { HouseLeanings } from '@tender-gill/contract'
import { useCallback } from 'react'
import { useLeaningsQuery } from '../../api/api.ts'
import { useDocument, type OpenDocument } from '../../documents/index.ts'

export type Change = (leanings: HouseLeanings) => HouseLeanings

const NOTHING = { leanings: {} } as const

/** The house's leanings, and a way to change them; a change is made to what stands there now. Undefined while they are fetched. */
export function useLeanings() {
  const { data } = useLeaningsQuery()
  const { input, draft, change } = useDocument('leanings', {
    id: 'house',
    revision: data?.revision ?? 0,
    input: data ? toInput(data) : NOTHING,
  })
  const onKeep = useCallback((next: Change) => change(({ leanings }) => ({ leanings: next(leanings) })), [change])
  return { leanings: data && input.leanings, draft: draft as OpenDocument<'leanings'>['draft'], onKeep }
}

const inputs = new WeakMap<object, { readonly leanings: HouseLeanings }>()
/** The same input for the same record, so that nothing is worked out anew where nothing changed. */
function toInput(record: { readonly leanings: HouseLeanings }): { readonly leanings: HouseLeanings } {
  const input = inputs.get(record) ?? { leanings: record.leanings }
  inputs.set(record, input)
  return input
}
