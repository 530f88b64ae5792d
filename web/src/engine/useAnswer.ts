import stringify from 'fast-json-stable-stringify'
import { startTransition, useEffect, useRef, useState } from 'react'
import { useDispatch } from 'react-redux'
import { api } from '../api/api.ts'
import type { AppDispatch } from '../state/store.ts'
import { sitAt, useEngine, type Desk } from './EngineRoom.tsx'
import type { SheetRef } from './sheetRef.ts'

export interface Answer<T> {
  /** The key of the question this answers; not always the newest one. */
  readonly key: string
  readonly value: T
}

/** The same key for the same question, whatever order its fields came in: the server gives them back in an order of its own. */
export const nameQuestion = (value: object): string => stringify(value) ?? 'null'

const ASK_AGAIN_MS = 2_000
const nameOf = (error: unknown): string => (error as { name?: string } | undefined)?.name ?? ''

interface Question<T> {
  readonly key: string
  readonly sheet: SheetRef
  readonly ask: (desk: Desk) => Promise<T>
}

/**
 * Asks the engine a question on a sheet, and asks again when the sheet or the key changes. One question is under way at a time: while it
 * is, newer ones wait and only the newest is asked, so that dragging never queues up work. Offers that cannot be fetched just now are asked
 * for again until they can; any other failure is the page's, and is said there.
 * @param key names the question; the same key on the same sheet asks nothing new; null asks nothing   @param delayMs rest before asking again, once something was asked
 */
export function useAnswer<T>(
  sheet: SheetRef | undefined,
  key: string | null,
  ask: (desk: Desk) => Promise<T>,
  delayMs = 0,
): Answer<T> | undefined {
  const engine = useEngine()
  const dispatch = useDispatch<AppDispatch>()
  const [answer, setAnswer] = useState<Answer<T>>()
  const [failure, setFailure] = useState<unknown>()
  const wanted = useRef<Question<T> | null>(null)
  const busy = useRef(false)
  const answered = useRef(false)
  const rests = useRef(false)
  const name = sheet?.name
  useEffect(() => {
    if (!sheet || key === null) return undefined
    let timer: ReturnType<typeof setTimeout> | undefined
    let over = false
    const next = () => {
      const question = wanted.current
      if (busy.current || !question) return
      wanted.current = null
      busy.current = true
      question
        .ask(sitAt(engine, question.sheet))
        .then((value) => {
          const told = { key: question.key, value }
          // What stands there gives way when the new answer is drawn; where nothing stands yet, it is drawn in one go.
          if (answered.current) startTransition(() => setAnswer(told))
          else setAnswer(told)
          answered.current = true
        })
        .catch((error: unknown) => {
          const away = nameOf(error) === 'SheetAway' || nameOf(error) === 'SheetGone'
          if (!away) return setFailure(error)
          // Called otherwise by now: its day is asked for its name again.
          if (nameOf(error) === 'SheetGone')
            void dispatch(api.endpoints.sheetName.initiate({ date: question.sheet.date }, { forceRefetch: true, subscribe: false }))
          if (!over && !wanted.current) timer = setTimeout(put, ASK_AGAIN_MS)
          return undefined
        })
        .finally(() => {
          busy.current = false
          next()
        })
    }
    const put = () => {
      wanted.current = { key, sheet, ask }
      next()
    }
    if (rests.current) timer = setTimeout(put, delayMs)
    else put()
    rests.current = delayMs > 0
    return () => {
      over = true
      clearTimeout(timer)
    }
    // The question is named by its key and its sheet: a new closure for the same asks nothing new.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [engine, name, key, delayMs])
  if (failure !== undefined) throw failure
  return answer
}
