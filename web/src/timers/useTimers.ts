import { useEffect, useMemo, useState } from 'react'
import { useDispatch, useSelector } from 'react-redux'
import type { AppDispatch, RootState } from '../state/store.ts'
import { timerMoved, timersSet, timerStopped, type Timer, type Timers } from './timersSlice.ts'

/** Timers that run, the next to end first, and what can be done with them. */
export function useTimers() {
  const timers: Timers = useSelector((state: RootState) => state.timers)
  const dispatch = useDispatch<AppDispatch>()
  return useMemo(
    () => ({
      timers,
      set: (added: readonly Timer[]) => void dispatch(timersSet(added)),
      stop: (id: string) => void dispatch(timerStopped(id)),
      more: (id: string, minutes: number) => void dispatch(timerMoved({ id, byMs: minutes * 60_000 })),
    }),
    [timers, dispatch],
  )
}

/** The time, as often as it is looked at. @param everyMs 0 where nothing runs */
export function useNow(everyMs: number): number {
  const [nowMs, setNow] = useState(() => Date.now())
  useEffect(() => {
    if (everyMs === 0) return undefined
    const timer = setInterval(() => setNow(Date.now()), everyMs)
    return () => clearInterval(timer)
  }, [everyMs])
  return nowMs
}

/** Keeps the screen on while something runs, where the browser can. */
export function useWakeLock(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return undefined
    let lock: WakeLockSentinel | undefined
    let over = false
    const take = () => {
      if (document.visibilityState !== 'visible') return
      navigator.wakeLock
        .request('screen')
        .then((taken) => {
          lock = taken
          if (over) void taken.release()
        })
        .catch(() => undefined)
    }
    take()
    document.addEventListener('visibilitychange', take)
    return () => {
      over = true
      document.removeEventListener('visibilitychange', take)
      void lock?.release()
    }
  }, [wanted])
}
