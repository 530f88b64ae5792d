import equal from 'fast-deep-equal'

type Plain = Readonly<Record<string, unknown>>
const isPlain = (value: unknown): value is Plain => typeof value === 'object' && value !== null && !Array.isArray(value)

/** Whether two people changed one thing each to something else. */
export type Merged<T> = { readonly ok: true; readonly value: T } | { readonly ok: false }
const CLASH: Merged<never> = { ok: false }

/**
 * Two versions of a document put together, field by field: what one of them left as it was is taken from the other. Where both changed one
 * field, and not to the same, they clash.
 * @param base as it was before either
 */
export function mergeThree<T>(base: T, mine: T, theirs: T): Merged<T> {
  if (equal(mine, theirs) || equal(theirs, base)) return { ok: true, value: mine }
  if (equal(mine, base)) return { ok: true, value: theirs }
  if (!isPlain(base) || !isPlain(mine) || !isPlain(theirs)) return CLASH
  const merged: Record<string, unknown> = {}
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const field = mergeThree<unknown>(base[key], mine[key], theirs[key])
    if (!field.ok) return CLASH
    if (field.value !== undefined) merged[key] = field.value
  }
  return { ok: true, value: merged as T }
}
