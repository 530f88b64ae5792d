import { useCallback, useSyncExternalStore } from 'react'
import type { OnlyOffered } from '../engine/index.ts'
import { useKitchenId } from '../kitchen/index.ts'

const placeOf = (kitchen: string): string => `tender-gill-only-offered:${kitchen}`
const listeners = new Set<() => void>()
const subscribe = (listener: () => void) => {
  listeners.add(listener)
  window.addEventListener('storage', listener)
  return () => {
    listeners.delete(listener)
    window.removeEventListener('storage', listener)
  }
}

const understand = (said: string | null): OnlyOffered => (said === null ? 'where-there-are-lists' : said === 'true')

/** As the switch of this kitchen stands. */
export const readOnlyOffered = (kitchen: string): OnlyOffered => understand(localStorage.getItem(placeOf(kitchen)))

/** The switch “only what I can buy” of this kitchen: kept by the browser, alike on every page. */
export function useOnlyOffered(): readonly [OnlyOffered, (only: boolean) => void] {
  const place = placeOf(useKitchenId())
  const said = useSyncExternalStore(subscribe, () => localStorage.getItem(place))
  const say = useCallback(
    (only: boolean) => {
      localStorage.setItem(place, String(only))
      for (const listener of listeners) listener()
    },
    [place],
  )
  return [understand(said), say]
}
