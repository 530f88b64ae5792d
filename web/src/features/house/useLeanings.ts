import type { HouseLeanings, LeaningsRecord } from '@tender-gill/contract'
import { useEffect, useRef, useState } from 'react'
import { toProblemDetails, useLeaningsQuery, useSaveLeaningsMutation } from '../../api/api.ts'

export type Change = (leanings: HouseLeanings) => HouseLeanings

/**
 * The house's leanings, and a way to change them. Changes are kept one after another, each made to what the one before left, so that two
 * quick ones never conflict with each other; made to what stands there now, should somebody else have changed it; and said when they
 * could not be kept.
 */
export function useLeanings() {
  const { data } = useLeaningsQuery()
  const [save] = useSaveLeaningsMutation()
  const [failure, setFailure] = useState<string>()
  const known = useRef<LeaningsRecord | undefined>(undefined)
  const queue = useRef<Promise<void>>(Promise.resolve())
  useEffect(() => {
    if (data && data.revision >= (known.current?.revision ?? 0)) known.current = data
  }, [data])
  const attempt = async (change: Change) => {
    const { revision, leanings } = known.current ?? { revision: 0, leanings: {} }
    const answer = await save({ revision, input: { leanings: change(leanings) } })
    if (answer.data) known.current = answer.data
    const details = answer.error && toProblemDetails(answer.error)
    return answer.data ? undefined : (details ?? { status: 0, detail: undefined })
  }
  const keep = async (change: Change) => {
    let problem = await attempt(change)
    if (problem?.status === 409) {
      known.current = (problem as { current?: LeaningsRecord }).current ?? known.current
      problem = await attempt(change)
    }
    setFailure(problem && (problem.detail ?? 'It could not be kept. Try again.'))
  }
  const onKeep = (change: Change) => {
    queue.current = queue.current.then(() => keep(change))
  }
  return { leanings: data?.leanings, failure, onKeep }
}
