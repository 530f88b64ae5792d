import type { Price, Rate } from '@tender-gill/contract'
import { toDayNumber } from '../calendar/index.ts'
import { computePerKg } from './perKg.ts'
import type { PriceQuote } from './priceDays.ts'

/** What quotes of one series say of the fish they speak of; null where they leave it open, and so speak of every such fish. */
export interface QuoteKind {
  readonly species: string
  readonly form: Price['form']
  readonly origin: Price['origin'] | null
  readonly state: Price['state'] | null
  readonly part: Price['part'] | null
}

/** One quote of a series, and where it can be had. */
export interface SeriesQuote extends PriceQuote {
  readonly merchant: string | null
  /** Whether its day was said, and not taken to be the day asked for. */
  readonly dated: boolean
  /** Share of the weight that is ice, 0..0.5. */
  readonly glaze: number
  /** Its own name, where it was typed in; rows of lists have none. */
  readonly id: string | null
}

/** Quotes of one kind in one currency, oldest first; of one day the cheapest last: that is the one a buyer takes up. */
export interface PriceSeries extends QuoteKind {
  readonly currency: string
  readonly quotes: readonly SeriesQuote[]
}

const keyOf = ({ species, form, origin, state, part, currency }: Omit<PriceSeries, 'quotes'>): string =>
  `${species}|${form}|${origin}|${state}|${part}|${currency}`

/** The order of quotes in a series. */
export const bySeriesOrder = (a: SeriesQuote, b: SeriesQuote): number =>
  a.day - b.day || b.logPerKg - a.logPerKg || ((a.id ?? '') < (b.id ?? '') ? 1 : -1)

/** Series of one kind in one currency as one. */
export function mergeSeries(series: readonly PriceSeries[]): readonly PriceSeries[] {
  const found = new Map<string, PriceSeries[]>()
  for (const one of series) {
    const key = keyOf(one)
    const own = found.get(key)
    if (own) own.push(one)
    else found.set(key, [one])
  }
  return [...found.values()].flatMap(([first, ...others]) => {
    if (!first || others.length === 0) return first ?? []
    return { ...first, quotes: [first, ...others].flatMap(({ quotes }) => quotes).sort(bySeriesOrder) }
  })
}

/**
 * Quotes as series, one for each kind in each currency; those that do not say what a kilogram costs are passed over.
 * @param prices in any order   @param date the day that a quote without one counts for
 */
export function readSeries(prices: readonly Price[], date: string): readonly PriceSeries[] {
  const days = new Map<string, number>()
  const dayOf = (on: string): number => {
    const day = days.get(on) ?? toDayNumber(on)
    days.set(on, day)
    return day
  }
  const found = new Map<string, { readonly kind: QuoteKind & { readonly currency: string }; readonly quotes: SeriesQuote[] }>()
  for (const price of prices) {
    const perKg = computePerKg(price)
    if (perKg === undefined) continue
    const { species, form, origin = null, state = null, part = null, currency, merchant = null, glaze = 0, id = null } = price
    const kind = { species, form, origin, state, part, currency }
    const key = keyOf(kind)
    const own = found.get(key) ?? { kind, quotes: [] }
    found.set(key, own)
    const certain = id === null ? {} : { certain: true }
    own.quotes.push({
      ...{ day: dayOf(price.date ?? date), dated: price.date !== undefined, logPerKg: Math.log(perKg) },
      ...{ merchant, glaze, id, ...certain },
    })
  }
  return [...found.values()].map(({ kind, quotes }) => ({ ...kind, quotes: quotes.sort(bySeriesOrder) }))
}

/**
 * Series in the kitchen's own currency, each quote by the latest rate on or before its day. Quotes for which there is no rate stay as they
 * are, a series of their own, and are compared with nothing.
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
    const left = one.quotes.filter(({ day }) => !worthOn(day))
    const turned = one.quotes.flatMap((quote) => {
      const worth = worthOn(quote.day)
      return worth ? [{ ...quote, logPerKg: quote.logPerKg + worth.logWorth }] : []
    })
    return [
      { ...one, quotes: left },
      { ...one, currency: own, quotes: turned },
    ].filter(({ quotes }) => quotes.length > 0)
  })
}
