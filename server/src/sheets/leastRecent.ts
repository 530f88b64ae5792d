/** A store of so many values at most: what was not asked for the longest goes first. */
export function createLeastRecent<T>(most: number) {
  const kept = new Map<string, T>()
  const keep = (key: string, value: T): T => {
    kept.delete(key)
    kept.set(key, value)
    for (const oldest of kept.keys()) {
      if (kept.size <= most) break
      kept.delete(oldest)
    }
    return value
  }
  return {
    keep,
    find: (key: string): T | undefined => {
      const value = kept.get(key)
      return value === undefined ? undefined : keep(key, value)
    },
    drop: (key: string): void => void kept.delete(key),
  }
}
