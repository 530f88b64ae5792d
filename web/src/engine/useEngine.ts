import stringify from 'json-stable-stringify'
import type { Remote } from 'comlink'
import { startTransition, useEffect, useRef, useState } from 'react'
import {
  useAbsencesQuery,
  useHouseSpeciesQuery,
  useKitchenQuery,
  useLeaningsQuery,
  usePriceListsStampQuery,
  usePricesQuery,
  useSeasonsQuery,
  useStocksQuery,
} from '../api/api.ts'
import { getEngine, loadSheet } from './engine.ts'
import type { Engine } from './createEngine.ts'

const LISTS_LOOKED_FOR_MS = 60_000

/** Everything of the kitchen that is laid over the book, by id and revision; undefined until all of it is known. */
function useLaidOver(): string | undefined {
  const records = [usePricesQuery(), useHouseSpeciesQuery(), useSeasonsQuery(), useStocksQuery()]
  const leanings = useLeaningsQuery()
  const absences = useAbsencesQuery()
  // A merchant's list may come in at any time: what stands on the page stays until it is known to be another.
  const { data: lists } = usePriceListsStampQuery(undefined, { pollingInterval: LISTS_LOOKED_FOR_MS })
  if (!lists) return undefined
  if ([...records, leanings, absences].some(({ data, isFetching }) => !data || isFetching)) return undefined
  const names = records.map(({ data = [] }) => data.map(({ id, revision }) => `${id}.${revision}`).join(','))
  return [...names, leanings.data?.revision, absences.data?.map(({ id }) => id).join(','), lists.stamp].join('|')
}

/** Names the offers the engine has loaded; changes when the kitchen, the day or what the kitchen lays over the book does. Undefined until they are there. */
export function useSheet(date?: string): string | undefined {
  const { data: kitchen } = useKitchenQuery()
  const over = useLaidOver()
  const [snapshot, setSnapshot] = useState<string>()
  const day = date ?? kitchen?.today
  const key = kitchen && over !== undefined && day ? `${kitchen.id}|${day}|${over}` : undefined
  useEffect(() => {
    if (!key || !day) return undefined
    let current = true
    const attempt = () => {
      loadSheet(key, day)
        .then((name) => current && setSnapshot(`${key}|${name}`))
        .catch(() => current && setTimeout(attempt, 2000))
    }
    attempt()
    return () => {
      current = false
    }
  }, [key, day])
  return snapshot
}

export interface Answer<T> {
  /** The key of the question this answers; not always the newest one. */
  readonly key: string
  readonly value: T
}

/** The same key for the same question, whatever order its fields came in: the server gives them back in an order of its own. */
export const nameQuestion = (value: object): string => stringify(value) ?? 'null'

/**
 * Asks the engine a question and asks again when the sheet or the key changes. One question is under way at a time: while it is, newer
 * ones wait and only the newest is asked, so that dragging never queues up work.
 * @param key names the question; the same key asks nothing new; null asks nothing   @param delayMs rest before asking
 */
export function useAnswer<T>(
  snapshot: string | undefined,
  key: string | null,
  question: (engine: Remote<Engine>) => Promise<T>,
  delayMs = 0,
): Answer<T> | undefined {
  const [answer, setAnswer] = useState<Answer<T>>()
  const wanted = useRef<{ key: string; question: typeof question } | null>(null)
  const busy = useRef(false)
  useEffect(() => {
    if (!snapshot || key === null) return undefined
    const ask = () => {
      const next = wanted.current
      if (busy.current || !next) return
      wanted.current = null
      busy.current = true
      next
        .question(getEngine())
        .then((value) => startTransition(() => setAnswer({ key: next.key, value })))
        .catch(() => undefined)
        .finally(() => {
          busy.current = false
          ask()
        })
    }
    const timer = setTimeout(() => {
      wanted.current = { key, question }
      ask()
    }, delayMs)
    return () => clearTimeout(timer)
    // The question is named by its key: a new closure for the same key asks nothing new.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [snapshot, key, delayMs])
  return answer
}
