import { isAnyOf, type createListenerMiddleware } from '@reduxjs/toolkit'
import { timerMoved, timersRead, timersSet, timerStopped, type Timer, type Timers } from './timersSlice.ts'

const placeOf = (kitchenId: string): string => `tender-gill-timers|${kitchenId}`
const isTimer = (value: unknown): value is Timer => {
  const { id, what, then, endsMs, fromMs, path } = (value ?? {}) as Partial<Timer>
  return [id, what, then, path].every((text) => typeof text === 'string') && [endsMs, fromMs].every((ms) => Number.isFinite(ms))
}

/** Timers that run in this browser; what makes no sense is passed over. */
export function readTimers(storage: Pick<Storage, 'getItem'>, kitchenId: string): Timers {
  try {
    const kept: unknown = JSON.parse(storage.getItem(placeOf(kitchenId)) ?? '[]')
    return Array.isArray(kept) ? kept.filter(isTimer) : []
  } catch {
    return []
  }
}

interface Options {
  readonly store: { readonly dispatch: (action: ReturnType<typeof timersRead>) => unknown; readonly getState: () => unknown }
  readonly listener: ReturnType<typeof createListenerMiddleware>
  readonly storage: Storage
  readonly kitchenId: string
}

/** Keeps timers in the browser, shared by its tabs. */
export function createTimersKeeper({ store, listener, storage, kitchenId }: Options): void {
  listener.startListening({
    matcher: isAnyOf(timersSet, timerStopped, timerMoved),
    effect: (_action, { getState }) => storage.setItem(placeOf(kitchenId), JSON.stringify((getState() as { timers: Timers }).timers)),
  })
  window.addEventListener('storage', ({ key }) => {
    if (key === placeOf(kitchenId)) store.dispatch(timersRead(readTimers(storage, kitchenId)))
  })
}
