import type { HouseLeanings } from '@tender-gill/contract'
import { useCallback } from 'react'
import { useLeaningsQuery } from '../../api/api.ts'
import { useDocument } from '../../documents/index.ts'

export type Change = (leanings: HouseLeanings) => HouseLeanings

/** The house's leanings, and a way to change them; a change is made to what stands there now. Undefined while they are fetched. */
export function useLeanings() {
  const { data } = useLeaningsQuery()
  const { input, draft, change } = useDocument('leanings', 'house', data)
  const onKeep = useCallback((next: Change) => change(({ leanings }) => ({ leanings: next(leanings) })), [change])
  return { leanings: input?.leanings, draft, onKeep }
}
