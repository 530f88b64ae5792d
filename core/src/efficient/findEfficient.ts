/** What a fish offers and what it takes: more fit and a better stock are good, more cost is not. */
export interface Worth {
  readonly fit: number
  readonly cost: number
  /** Null where no evidence is kept: then stock neither helps nor hurts. */
  readonly stock: number | null
}

/** Whether one is at least as good as another in everything and better in something. */
export function dominates(a: Worth, b: Worth): boolean {
  const comparable = a.stock !== null && b.stock !== null
  const stockGain = comparable ? (a.stock ?? 0) - (b.stock ?? 0) : 0
  const atLeast = a.fit >= b.fit && a.cost <= b.cost && stockGain >= 0
  return atLeast && (a.fit > b.fit || a.cost < b.cost || stockGain > 0)
}

/** Those that no other dominates (Pareto), cheapest first: the only ones among which taste and purse need to choose. */
export const findEfficient = <T extends Worth>(all: readonly T[]): readonly T[] =>
  all.filter((one) => !all.some((other) => dominates(other, one))).sort((a, b) => a.cost - b.cost || b.fit - a.fit)
