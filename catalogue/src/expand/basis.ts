import type { BasedRange, Basis, MeasuredRow, Triple } from '@tender-gill/contract'

/** z of the 95th percentile: a table's spread is taken as a standard deviation. */
const Z95 = 1.645
const FAR_RATIO = 2
const FAR_G = 1.5

const sameTriple = (a: Triple, b: Triple | undefined) => b !== undefined && a.every((x, i) => x === b[i])

/** A range as it is given, and what it rests on: the book's compiled value, or the house's where it is not the book's. */
export function baseRange(triple: Triple, shipped: Triple | undefined): BasedRange {
  const basis: Basis = sameTriple(triple, shipped) ? 'compiled' : 'house'
  const [low, typical, high] = triple
  return { low, typical, high, basis }
}

/** Whether a measured figure and the compiled one are so far apart that both must be shown and the reason given. */
export const isFarApart = (measuredG: number, compiledG: number): boolean =>
  Math.abs(measuredG - compiledG) > FAR_G && Math.max(measuredG, compiledG) > FAR_RATIO * Math.min(measuredG, compiledG)

const round2 = (x: number) => Math.round(x * 100) / 100

/**
 * A compiled range with a table's figure in it: the mean becomes typical; the spread, where given, the range; else the compiled range stays
 * and is widened to hold the mean. A house's own value stands, and so does a compiled one that is far from the table.
 */
export function measureRange(range: BasedRange, row: MeasuredRow | undefined): BasedRange {
  if (!row || range.basis === 'house' || isFarApart(row.per100G, range.typical)) return range
  const mean = row.per100G
  const low = row.spread === null ? Math.min(range.low, mean) : Math.max(Math.min(0.1, mean), mean - Z95 * row.spread)
  const high = row.spread === null ? Math.max(range.high, mean) : mean + Z95 * row.spread
  return { low: round2(low), typical: mean, high: round2(high), basis: 'measured', source: row.source }
}
