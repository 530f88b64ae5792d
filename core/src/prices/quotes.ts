import { orderByDay } from './orderByDay.ts'

/** Where a quote can be had. */
export interface QuoteSource {
  readonly merchant: string | null
  /** Share of the weight that is ice, 0..0.5. */
  readonly glaze: number
  /** Its own name, where it was typed in; rows of lists have none. */
  readonly id: string | null
  /** Whether its day was said, and not taken to be the day asked for. */
  readonly dated: boolean
}

/** One quote of a series. */
export interface SeriesQuote {
  /** Days since 1970, whole. */
  readonly day: number
  /** Natural logarithm of the price of a kilogram. */
  readonly logPerKg: number
  readonly source: QuoteSource
}

/**
 * Quotes of one series, oldest first, those of one day the cheapest first: that is the one a buyer takes up; at one price the earlier name.
 * They stand in columns of one length, since years of daily lists are hundreds of thousands.
 */
export interface Quotes {
  /** Days since 1970. */
  readonly day: Int32Array
  /** Natural logarithms of the price of a kilogram. */
  readonly logPerKg: Float64Array
  /** Place in `sources`. */
  readonly source: Uint16Array
  readonly sources: readonly QuoteSource[]
}

const NONE: Quotes = { day: new Int32Array(), logPerKg: new Float64Array(), source: new Uint16Array(), sources: [] }

/** Quotes in columns that may stand in any order, put in order. */
export function sortQuotes({ day, logPerKg, source, sources }: Quotes): Quotes {
  const names = sources.map(({ id, merchant }) => `${id ?? ''}|${merchant ?? ''}`)
  const compareNames = (a: number, b: number): number => {
    const [one = '', other = ''] = [names[source[a] ?? 0], names[source[b] ?? 0]]
    return one < other ? -1 : Number(one > other)
  }
  const order = orderByDay(day, logPerKg, compareNames)
  const [days, logs, places] = [new Int32Array(order.length), new Float64Array(order.length), new Uint16Array(order.length)]
  for (let i = 0; i < order.length; i += 1) {
    const at = order[i] ?? 0
    days[i] = day[at] ?? 0
    logs[i] = logPerKg[at] ?? 0
    places[i] = source[at] ?? 0
  }
  return { day: days, logPerKg: logs, source: places, sources }
}

/** Quotes of any order in columns. */
export function gatherQuotes(quotes: readonly SeriesQuote[]): Quotes {
  const places = new Map<QuoteSource, number>()
  for (const { source } of quotes) if (!places.has(source)) places.set(source, places.size)
  return sortQuotes({
    day: Int32Array.from(quotes, ({ day }) => day),
    logPerKg: Float64Array.from(quotes, ({ logPerKg }) => logPerKg),
    source: Uint16Array.from(quotes, ({ source }) => places.get(source) ?? 0),
    sources: [...places.keys()],
  })
}

/** The columns of several laid end to end, in no order yet. */
export function layEndToEnd(all: readonly Quotes[]): Quotes {
  const count = all.reduce((sum, { day }) => sum + day.length, 0)
  const [day, logPerKg, source] = [new Int32Array(count), new Float64Array(count), new Uint16Array(count)]
  const sources: QuoteSource[] = []
  let at = 0
  for (const one of all) {
    day.set(one.day, at)
    logPerKg.set(one.logPerKg, at)
    for (let i = 0; i < one.source.length; i += 1) source[at + i] = (one.source[i] ?? 0) + sources.length
    sources.push(...one.sources)
    at += one.day.length
  }
  return { day, logPerKg, source, sources }
}

/** Quotes of several as one. */
export function mergeQuotes(all: readonly Quotes[]): Quotes {
  const [first = NONE, ...others] = all.filter(({ day }) => day.length > 0)
  return others.length === 0 ? first : sortQuotes(layEndToEnd([first, ...others]))
}

/** Quotes from one place up to, not with, another. */
export const sliceQuotes = ({ day, logPerKg, source, sources }: Quotes, from: number, to?: number): Quotes => ({
  ...{ day: day.subarray(from, to), logPerKg: logPerKg.subarray(from, to), source: source.subarray(from, to), sources },
})

/** Place of the first quote of a day or later. */
export function findDay({ day }: Quotes, wanted: number): number {
  let from = 0
  let to = day.length
  while (from < to) {
    const middle = (from + to) >> 1
    if ((day[middle] ?? 0) < wanted) from = middle + 1
    else to = middle
  }
  return from
}

/** Quotes one by one, in order. */
export function listQuotes({ day, logPerKg, source, sources }: Quotes): readonly SeriesQuote[] {
  return Array.from(day, (on, i): SeriesQuote => {
    const at = sources[source[i] ?? 0]
    if (!at) throw new RangeError(`quote ${i} has no source`)
    return { day: on, logPerKg: logPerKg[i] ?? 0, source: at }
  })
}
