import type { Form, Price, ResolvedOffer, ResolvedPrice } from '@tender-gill/contract'
import { GRAMS_PER_LB, QUOTE_LIFE_DAYS, SINGLE_QUOTE_SPREAD } from '../tables/constants.ts'

const DAY_MS = 86_400_000
const ageDays = (quote: Price, date: string): number => (quote.date ? (Date.parse(date) - Date.parse(quote.date)) / DAY_MS : 0)

/** Price of a kilogram; undefined when a price by the piece does not say what a piece weighs. */
export function computePerKg({ price, unit, eachG }: Price): number | undefined {
  switch (unit) {
    case 'kg':
      return price
    case 'lb':
      return (price * 1000) / GRAMS_PER_LB
    case 'each':
      return eachG ? (price * 1000) / eachG : undefined
  }
}

/** Whether a quote speaks of this offer: fields it leaves out match all. */
export const quoteMatches = (quote: Price, offer: ResolvedOffer, species: string): boolean =>
  species === offer.species &&
  (quote.origin ?? offer.origin) === offer.origin &&
  (quote.state ?? offer.state) === offer.state &&
  (quote.part ?? offer.part) === offer.part

/**
 * Price of an offer in a form on a date: the latest quote stands for typical, all quotes of the year span the range, and one alone is
 * taken to be 10 % uncertain. Quotes after the date or older than a year are passed over; currencies are never mixed.
 */
export function resolvePrice(quotes: readonly Price[], form: Form, date: string): ResolvedPrice | undefined {
  const usable = quotes
    .filter((quote) => quote.form === form && ageDays(quote, date) >= 0 && ageDays(quote, date) <= QUOTE_LIFE_DAYS)
    .flatMap((quote) => {
      const perKg = computePerKg(quote)
      return perKg === undefined ? [] : [{ quote, perKg }]
    })
    .sort((a, b) => ageDays(a.quote, date) - ageDays(b.quote, date) || a.perKg - b.perKg)
  const latest = usable[0]
  if (!latest) return undefined
  const same = usable.filter(({ quote }) => quote.currency === latest.quote.currency)
  const typical = latest.perKg
  const all = same.map(({ perKg }) => perKg)
  return {
    form,
    perKg: {
      low: Math.min(typical * (1 - SINGLE_QUOTE_SPREAD), ...all),
      typical,
      high: Math.max(typical * (1 + SINGLE_QUOTE_SPREAD), ...all),
    },
    currency: latest.quote.currency,
    quotes: same.length,
    latestDate: latest.quote.date ?? null,
    quoteId: latest.quote.id ?? null,
    merchant: latest.quote.merchant ?? null,
    glaze: latest.quote.glaze ?? 0,
  }
}
