/** One quote of a series on the scale it is reckoned on. */
export interface PriceQuote {
  /** Days since 1970, whole. */
  readonly day: number
  /** Natural logarithm of the price of a kilogram. */
  readonly logPerKg: number
}

/** All quotes of one day as one. */
export interface PriceDay {
  readonly day: number
  readonly logPerKg: number
  readonly quotes: number
}

/** Middle of a list, the mean of the two middle ones where it is even. @throws RangeError for none */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const upper = sorted[Math.floor(sorted.length / 2)]
  const lower = sorted[Math.floor((sorted.length - 1) / 2)]
  if (upper === undefined || lower === undefined) throw new RangeError('the median of nothing')
  return (lower + upper) / 2
}

/** Quotes gathered by day, oldest first; merchants of one day count as their median, which one slip among three cannot move far. */
export function gatherDays(quotes: readonly PriceQuote[]): readonly PriceDay[] {
  const days = new Map<number, number[]>()
  for (const { day, logPerKg } of quotes) {
    const own = days.get(day)
    if (own) own.push(logPerKg)
    else days.set(day, [logPerKg])
  }
  return [...days].sort(([a], [b]) => a - b).map(([day, values]) => ({ day, logPerKg: median(values), quotes: values.length }))
}
