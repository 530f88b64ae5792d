/**
 * The order in which things stand by day, and by value within a day: a counting sort by day and an insertion sort within it, linear in what
 * is asked, since few things fall on one day.
 * @param day days since 1970, any order   @param value beside them   @param compareTied of two places alike in both, 0 where they stay
 * @returns places, the first to stand first
 */
export function orderByDay(day: Int32Array, value: Float64Array, compareTied: (a: number, b: number) => number = () => 0): Int32Array {
  const order = new Int32Array(day.length)
  if (day.length === 0) return order
  let first = Infinity
  let last = -Infinity
  for (let i = 0; i < day.length; i += 1) {
    const on = day[i] ?? 0
    if (on < first) first = on
    if (on > last) last = on
  }
  const next = new Int32Array(last - first + 2)
  for (let i = 0; i < day.length; i += 1) next[(day[i] ?? 0) - first + 1] = (next[(day[i] ?? 0) - first + 1] ?? 0) + 1
  for (let i = 1; i < next.length; i += 1) next[i] = (next[i] ?? 0) + (next[i - 1] ?? 0)
  const from = next.slice()
  for (let i = 0; i < day.length; i += 1) {
    const on = (day[i] ?? 0) - first
    const start = from[on] ?? 0
    let at = next[on] ?? 0
    next[on] = at + 1
    const own = value[i] ?? 0
    for (; at > start; at -= 1) {
      const before = order[at - 1] ?? 0
      const apart = (value[before] ?? 0) - own
      if (apart < 0 || (apart === 0 && compareTied(before, i) <= 0)) break
      order[at] = before
    }
    order[at] = i
  }
  return order
}
