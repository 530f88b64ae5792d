import { useEffect, useRef, useState } from 'react'

interface Kept<T> {
  /** What is shown: as it was typed, else as it is kept. */
  readonly value: T
  readonly change: (value: T) => void
  readonly state: 'kept' | 'typed' | 'failed'
}

const REST_MS = 600

/**
 * A document that is kept a moment after the last change to it. What was typed stands until it is kept; when it cannot be, it stays and is
 * said. A value that comes in meanwhile does not take the place of what was typed.
 */
export function useKept<T>(stored: T, keep: (value: T) => Promise<boolean>): Kept<T> {
  const [typed, setTyped] = useState<{ readonly value: T } | null>(null)
  const [failed, setFailed] = useState(false)
  const keeper = useRef(keep)
  const pending = useRef<{ readonly value: T } | null>(null)
  useEffect(() => {
    keeper.current = keep
  })
  useEffect(() => {
    if (typed === null) return undefined
    const keepNow = async () => {
      const done = await keeper.current(typed.value)
      setFailed(!done)
      if (!done) return
      if (pending.current === typed) pending.current = null
      setTyped((now) => (now === typed ? null : now))
    }
    const timer = setTimeout(() => void keepNow(), REST_MS)
    return () => clearTimeout(timer)
  }, [typed])
  // Whoever walks away before it came to rest has it kept all the same.
  useEffect(
    () => () => {
      if (pending.current) void keeper.current(pending.current.value)
    },
    [],
  )
  return {
    value: typed ? typed.value : stored,
    change: (value) => {
      setFailed(false)
      pending.current = { value }
      setTyped(pending.current)
    },
    state: failed ? 'failed' : typed ? 'typed' : 'kept',
  }
}
