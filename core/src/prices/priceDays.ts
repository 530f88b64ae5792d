/** One quote of a series on the scale it is reckoned on. */
export interface PriceQuote {
  /** Days since 1970, whole. */
  readonly day: number
  /** Natural logarithm of the price of a kilogram. */
  readonly logPerKg: number
  /** Typed in by the cook who saw it: no slip, and it stands before what lists of that day say. */
  readonly certain?: boolean
}

/** All quotes of one day as one. */
export interface PriceDay {
  readonly day: number
  readonly logPerKg: number
  readonly quotes: number
  readonly certain: boolean
}

/** Merchants of a day, days of a week: so few are set in order as they come, and they are asked for in great numbers. */
const FEW = 12
/** Middle of a list, the mean of the two middle ones where it is even. @throws RangeError for none */
export function median(values: ArrayLike<number>): number {
  if (values.length > FEW) return middleOf(Float64Array.from(values).sort())
  return values.length > 1 ? middleOf(sortFew(values)) : middleOf(values)
}

function sortFew(values: ArrayLike<number>): readonly number[] {
  const sorted: number[] = []
  for (let i = 0; i < values.length; i += 1) {
    const own = values[i] ?? 0
    let at = i
    for (; at > 0 && (sorted[at - 1] ?? 0) > own; at -= 1) sorted[at] = sorted[at - 1] ?? 0
    sorted[at] = own
  }
  return sorted
}

/** The same of values that are in order. @throws RangeError for none */
export const middleOf = (sorted: ArrayLike<number>): number => middleBetween(sorted, 0, sorted.length)

/** The same of those from one place up to, not with, another. @throws RangeError for none */
export function middleBetween(sorted: ArrayLike<number>, from: number, to: number): number {
  const upper = sorted[from + ((to - from) >> 1)]
  const lower = sorted[from + ((to - from - 1) >> 1)]
  if (to <= from || upper === undefined || lower === undefined) throw new RangeError('the median of nothing')
  return (lower + upper) / 2
}

/**
 * Quotes gathered by day, oldest first; merchants of one day count as their median, which one slip among three cannot move far. What the
 * cook typed in on a day stands before them.
 */
export function gatherDays(quotes: readonly PriceQuote[]): readonly PriceDay[] {
  const days: PriceDay[] = []
  let own: PriceQuote[] = []
  const close = () => {
    const [first] = own
    if (!first) return
    if (own.length === 1) days.push({ day: first.day, logPerKg: first.logPerKg, quotes: 1, certain: first.certain === true })
    else {
      const typed = own.filter(({ certain }) => certain)
      const counted = typed.length > 0 ? typed : own
      days.push({
        day: first.day,
        logPerKg: median(counted.map(({ logPerKg }) => logPerKg)),
        quotes: own.length,
        certain: typed.length > 0,
      })
    }
    own = []
  }
  for (const quote of byDay(quotes)) {
    if (own[0] && own[0].day !== quote.day) close()
    own.push(quote)
  }
  close()
  return days
}

/** Oldest first; most series are already. */
function byDay(quotes: readonly PriceQuote[]): readonly PriceQuote[] {
  const inOrder = quotes.every(({ day }, i) => i === 0 || (quotes[i - 1]?.day ?? day) <= day)
  return inOrder ? quotes : [...quotes].sort((a, b) => a.day - b.day)
}
