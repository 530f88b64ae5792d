import type { Range } from '@tender-gill/contract'
import { BETWEEN_SHARE, RANGE_SD } from '../tables/learning.ts'

/** How a quantity is laid out so that its errors are even, there and back. */
export interface Axis {
  readonly to: (x: number) => number
  readonly from: (g: number) => number
}

/** Width of a range of 5 to 95 in a hundred, in standard deviations, as the book's ranges are read. */
const RANGE_WIDTH_SD = 3.29

/** The book's range on its axis. */
export interface Prior {
  readonly axis: Axis
  readonly g: Range
  /** Between fish, and as much again for what is not known of this house's supply. */
  readonly variance: number
}

/** A prior out of a range of the book; undefined where it has no width, or none that the axis can take. */
export function layPrior({ low, typical, high }: Range, axis: Axis): Prior | undefined {
  const g = { low: axis.to(low), typical: axis.to(typical), high: axis.to(high) }
  const spread = ((g.high - g.low) / RANGE_WIDTH_SD) ** 2
  return Number.isFinite(spread) && spread > 0 ? { axis, g, variance: spread * BETWEEN_SHARE } : undefined
}

/**
 * The range after some observations: normal with a known variance between fish and of an observation, its mean learnt; each side keeps the
 * skew it has in the book.
 * @param observed places on the axis   @param noise standard deviation of one observation itself
 */
export function learnRange({ axis, g, variance }: Prior, observed: readonly number[], noise: number): Range {
  const each = variance + noise * noise
  const posterior = 1 / (1 / variance + observed.length / each)
  // Summed in order of size: the order of entries changes nothing, to the last digit.
  const sum = [...observed].sort((a, b) => a - b).reduce((all, x) => all + x, 0)
  const mean = posterior * (g.typical / variance + sum / each)
  const reach = RANGE_SD * Math.sqrt(variance + posterior)
  const side = (g.high - g.low) / 2
  return {
    low: axis.from(mean - (reach * (g.typical - g.low)) / side),
    typical: axis.from(mean),
    high: axis.from(mean + (reach * (g.high - g.typical)) / side),
  }
}
