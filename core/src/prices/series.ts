import type { Price, Rate } from '@tender-gill/contract'
import { toDayNumber } from '../calendar/index.ts'
import { groupBy } from '../lists/index.ts'
import { computePerKg } from './perKg.ts'
import { middleBetween, middleOf, type PriceDay } from './priceDays.ts'
import { findDay, gatherQuotes, mergeQuotes, sliceQuotes, type Quotes, type SeriesQuote } from './quotes.ts'

/** What quotes of one series say of the fish they speak of; null where they leave it open, and so speak of every such fish. */
export interface QuoteKind {
  readonly species: string
  readonly form: Price['form']
  readonly origin: Price['origin'] | null
  readonly state: Price['state'] | null
  readonly part: Price['part'] | null
}

/** Quotes of one kind in one currency. */
export interface PriceSeries extends QuoteKind {
  readonly currency: string
  readonly quotes: Quotes
}

const keyOf = ({ species, form, origin, state, part, currency }: Omit<PriceSeries, 'quotes'>): string =>
  `${species}|${form}|${origin}|${state}|${part}|${currency}`

/** Series of one kind in one currency as one. */
export function mergeSeries(series: readonly PriceSeries[]): readonly PriceSeries[] {
  return [...groupBy(series, keyOf).values()].flatMap((own) =>
    own[0] ? [own.length === 1 ? own[0] : { ...own[0], quotes: mergeQuotes(own.map(({ quotes }) => quotes)) }] : [],
  )
}

/** Each day of a series by the middle of what was asked, which one slip among three cannot move far; what a cook typed in stands alone. */
export function readDays({ day, logPerKg, source, sources }: Quotes): readonly PriceDay[] {
  const typed = sources.map(({ id }) => id !== null)
  const anyTyped = typed.includes(true)
  const read: PriceDay[] = []
  for (let from = 0, to = 0; from < day.length; from = to) {
    const on = day[from] ?? 0
    while (to < day.length && day[to] === on) to += 1
    const sure = anyTyped ? [...logPerKg.subarray(from, to)].filter((_, i) => typed[source[from + i] ?? 0]) : []
    const certain = sure.length > 0
    read.push({ day: on, logPerKg: certain ? middleOf(sure) : middleBetween(logPerKg, from, to), quotes: to - from, certain })
  }
  return read
}

/** Quotes of one kind in one currency, in any order. */
export interface KindOfQuotes {
  readonly kind: Omit<PriceSeries, 'quotes'>
  readonly quotes: readonly SeriesQuote[]
}

/**
 * Quotes apart by kind and currency; those that do not say what a kilogram costs are passed over.
 * @param prices in any order   @param date the day that a quote without one counts for
 */
export function splitQuotes(prices: readonly Price[], date: string): readonly KindOfQuotes[] {
  const dayNumbers = new Map<string, number>()
  const dayOf = (on: string): number => {
    const day = dayNumbers.get(on) ?? toDayNumber(on)
    dayNumbers.set(on, day)
    return day
  }
  const found = new Map<string, { readonly kind: KindOfQuotes['kind']; readonly quotes: SeriesQuote[] }>()
  for (const price of prices) {
    const perKg = computePerKg(price)
    if (perKg === undefined) continue
    const { species, form, origin = null, state = null, part = null, currency, merchant = null, glaze = 0, id = null } = price
    const kind = { species, form, origin, state, part, currency }
    const key = keyOf(kind)
    const own = found.get(key) ?? { kind, quotes: [] }
    found.set(key, own)
    const [day, dated] = [dayOf(price.date ?? date), price.date !== undefined]
    own.quotes.push({ day, logPerKg: Math.log(perKg), source: { merchant, glaze, id, dated } })
  }
  return [...found.values()]
}

/** Quotes as series, one for each kind in each currency. @param date the day that a quote without one counts for */
export const readSeries = (prices: readonly Price[], date: string): readonly PriceSeries[] =>
  splitQuotes(prices, date).map(({ kind, quotes }) => ({ ...kind, quotes: gatherQuotes(quotes) }))

/**
 * Series in the kitchen's own currency, each day by the latest rate on or before it. Days for which there is no rate stay as they are, a
 * series of their own, and are compared with nothing.
 * @param rates what one unit of a currency was worth in the kitchen's own, any order
 */
export function convertSeries(series: readonly PriceSeries[], rates: readonly Rate[], own: string): readonly PriceSeries[] {
  const known = new Map<string, readonly { readonly day: number; readonly logWorth: number }[]>()
  for (const currency of new Set(rates.map((rate) => rate.currency)))
    known.set(
      currency,
      rates
        .filter((rate) => rate.currency === currency)
        .map(({ date, worth }) => ({ day: toDayNumber(date), logWorth: Math.log(worth) }))
        .sort((a, b) => a.day - b.day),
    )
  return series.flatMap((one): readonly PriceSeries[] => {
    const worths = known.get(one.currency)
    const [first] = worths ?? []
    if (one.currency === own || !worths || !first) return [one]
    const split = findDay(one.quotes, first.day)
    const turned = sliceQuotes(one.quotes, split)
    let at = 0
    const logPerKg = turned.logPerKg.map((log, i) => {
      while (at + 1 < worths.length && (worths[at + 1]?.day ?? Infinity) <= (turned.day[i] ?? 0)) at += 1
      return log + (worths[at]?.logWorth ?? 0)
    })
    return [
      { ...one, quotes: sliceQuotes(one.quotes, 0, split) },
      { ...one, currency: own, quotes: { ...turned, logPerKg } },
    ].filter(({ quotes }) => quotes.day.length > 0)
  })
}
