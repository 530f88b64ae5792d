/** Whether the server said that it was renewed since this page was loaded. */
let outdated = false
const listeners = new Set<() => void>()

export function noteOutdated(): void {
  if (outdated) return
  outdated = true
  for (const tell of listeners) tell()
}

export const isOutdated = (): boolean => outdated
export function onOutdated(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}
