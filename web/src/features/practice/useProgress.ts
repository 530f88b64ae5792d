import { NO_PROGRESS, type Progress } from '@tender-gill/core'
import { useCallback, useState } from 'react'

const PLACE = 'tender-gill-practice'

interface Kept {
  readonly seed: number
  readonly progress: Progress
}
const begin = (): Kept => ({ seed: crypto.getRandomValues(new Uint32Array(1))[0] ?? 1, progress: NO_PROGRESS })

function read(): Kept {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(PLACE) ?? 'null')
    const { seed, progress } = (kept ?? {}) as Partial<Kept>
    const whole = typeof seed === 'number' && typeof progress?.round === 'number' && typeof progress.asked === 'object'
    return whole ? { seed, progress } : begin()
  } catch {
    return begin()
  }
}

/** How far somebody has come in practice: kept by this browser alone, and by no kitchen. */
export function useProgress() {
  const [kept, setKept] = useState(read)
  const keep = useCallback((progress: Progress) => {
    setKept(({ seed }) => {
      const now = { seed, progress }
      try {
        localStorage.setItem(PLACE, JSON.stringify(now))
      } catch {
        // Where nothing can be kept it is practised all the same.
      }
      return now
    })
  }, [])
  return { ...kept, keep }
}
