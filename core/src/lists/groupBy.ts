/** Things under their keys, each list in the order they came. */
export function groupBy<T>(all: Iterable<T>, keyOf: (one: T) => string): ReadonlyMap<string, readonly T[]> {
  const groups = new Map<string, T[]>()
  for (const one of all) {
    const key = keyOf(one)
    const own = groups.get(key)
    if (own) own.push(one)
    else groups.set(key, [one])
  }
  return groups
}
