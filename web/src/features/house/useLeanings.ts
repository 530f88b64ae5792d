import type { HouseLeanings } from '@tender-gill/contract'
import { useRef, useState } from 'react'
import { toProblemDetails, useLeaningsQuery, useSaveLeaningsMutation } from '../../api/api.ts'

export type Change = (leanings: HouseLeanings) => HouseLeanings

/**
 * The house's leanings, and a way to change them. Changes are kept one after another, each made to what the one before left, so that two
 * quick ones never conflict with each other; one that is refused leaves the rest as it was and is said.
 */
export function useLeanings() {
  const { data, refetch } = useLeaningsQuery()
  const [save] = useSaveLeaningsMutation()
  const [failure, setFailure] = useState<string>()
  const queue = useRef<Promise<void>>(Promise.resolve())
  const keep = async (change: Change) => {
    const { data: latest } = await refetch()
    if (!latest) {
      setFailure('The house does not answer. It could not be kept; try again.')
      return
    }
    const { error } = await save({ revision: latest.revision, input: { leanings: change(latest.leanings) } })
    setFailure(error ? (toProblemDetails(error)?.detail ?? 'It could not be kept. Try again.') : undefined)
    if (!error) await refetch()
  }
  const onKeep = (change: Change) => {
    queue.current = queue.current.then(() => keep(change))
  }
  return { leanings: data?.leanings, failure, onKeep }
}
