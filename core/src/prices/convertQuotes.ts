import type { Price, Rate } from '@tender-gill/contract'

/**
 * Quotes in the kitchen's own currency, each by the latest rate on or before its day; a quote without a day by the latest on or before the
 * day asked for. A quote for which there is no rate stays as it is, and is compared with nothing.
 * @param rates what one unit of a currency was worth in the kitchen's own, any order
 */
export function convertQuotes(quotes: readonly Price[], rates: readonly Rate[], own: string, date: string): readonly Price[] {
  const latest = (currency: string, on: string): Rate | undefined =>
    rates.reduce<Rate | undefined>(
      (best, rate) => (rate.currency === currency && rate.date <= on && (!best || rate.date > best.date) ? rate : best),
      undefined,
    )
  return quotes.map((quote) => {
    if (quote.currency === own) return quote
    const rate = latest(quote.currency, quote.date ?? date)
    return rate ? { ...quote, price: quote.price * rate.worth, currency: own } : quote
  })
}
