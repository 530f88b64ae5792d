import type { Price, Rate } from '@tender-gill/contract'
import { toDayNumber } from '../calendar/index.ts'
import { computePerKg } from './perKg.ts'
import { middleOf, type PriceDay } from './priceDays.ts'

/** What quotes of one series say of the fish they speak of; null where they leave it open, and so speak of every such fish. */
export interface QuoteKind {
  readonly species: string
  readonly form: Price['form']
  readonly origin: Price['origin'] | null
  readonly state: Price['state'] | null
  readonly part: Price['part'] | null
}

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

/** What was asked on one day, the cheapest first: that is the one a buyer takes up. */
export interface SeriesDay {
  readonly day: number
  readonly quotes: readonly SeriesQuote[]
}

/** Quotes of one kind in one currency by day, oldest first. */
export interface PriceSeries extends QuoteKind {
  readonly currency: string
  readonly days: readonly SeriesDay[]
}

/** At one price the earlier name stands first. */
const byPrice = (a: SeriesQuote, b: SeriesQuote): number => a.logPerKg - b.logPerKg || (nameOf(a) < nameOf(b) ? -1 : 1)
const nameOf = ({ source: { id, merchant } }: SeriesQuote): string => `${id ?? ''}|${merchant ?? ''}`

/** Quotes of any order as days, oldest first. */
export function gatherSeries(quotes: readonly SeriesQuote[]): readonly SeriesDay[] {
  const days = new Map<number, SeriesQuote[]>()
  for (const quote of quotes) {
    const own = days.get(quote.day)
    if (own) own.push(quote)
    else days.set(quote.day, [quote])
  }
  return [...days].sort(([a], [b]) => a - b).map(([day, own]) => ({ day, quotes: own.length > 1 ? own.sort(byPrice) : own }))
}

const keyOf = ({ species, form, origin, state, part, currency }: Omit<PriceSeries, 'days'>): string =>
  `${species}|${form}|${origin}|${state}|${part}|${currency}`

/** One list of days of several, oldest first: what was asked on the same day stands together. */
export function mergeDays(lists: readonly (readonly SeriesDay[])[]): readonly SeriesDay[] {
  const [first, ...others] = lists.filter((days) => days.length > 0)
  if (!first || others.length === 0) return first ?? []
  return gatherSeries([first, ...others].flatMap((days) => days.flatMap(({ quotes }) => quotes)))
}

/** Series of one kind in one currency as one. */
export function mergeSeries(series: readonly PriceSeries[]): readonly PriceSeries[] {
  const found = new Map<string, PriceSeries[]>()
  for (const one of series) {
    const key = keyOf(one)
    const own = found.get(key)
    if (own) own.push(one)
    else found.set(key, [one])
  }
  return [...found.values()].flatMap((own) =>
    own[0] ? [own.length === 1 ? own[0] : { ...own[0], days: mergeDays(own.map(({ days }) => days)) }] : [],
  )
}

/** Each day of a series by the middle of what was asked, which one slip among three cannot move far; what a cook typed in stands alone. */
export function readDays(days: readonly SeriesDay[]): readonly PriceDay[] {
  const read: PriceDay[] = []
  for (const { day, quotes } of days) {
    const logs: number[] = []
    const typed: number[] = []
    for (const { logPerKg, source } of quotes) {
      logs.push(logPerKg)
      if (source.id !== null) typed.push(logPerKg)
    }
    const certain = typed.length > 0
    read.push({ day, logPerKg: middleOf(certain ? typed : logs), quotes: logs.length, certain })
  }
  return read
}

/** Quotes of one kind in one currency, in any order. */
export interface KindOfQuotes {
  readonly kind: Omit<PriceSeries, 'days'>
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
  splitQuotes(prices, date).map(({ kind, quotes }) => ({ ...kind, days: gatherSeries(quotes) }))

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
        .sort((a, b) => b.day - a.day),
    )
  return series.flatMap((one): readonly PriceSeries[] => {
    const worths = known.get(one.currency)
    if (one.currency === own || !worths) return [one]
    const worthOn = (day: number) => worths.find((worth) => worth.day <= day)
    const left = one.days.filter(({ day }) => !worthOn(day))
    const turned = one.days.flatMap(({ day, quotes }): SeriesDay[] => {
      const worth = worthOn(day)
      return worth ? [{ day, quotes: quotes.map((quote) => ({ ...quote, logPerKg: quote.logPerKg + worth.logWorth })) }] : []
    })
    return [
      { ...one, days: left },
      { ...one, currency: own, days: turned },
    ].filter(({ days }) => days.length > 0)
  })
}
