import type { Form, Price, ResolvedOffer, ResolvedPrice } from '@tender-gill/contract'
import type { FindSpecies } from '../brief/index.ts'
import { toDayNumber } from '../calendar/index.ts'
import { computePerKg, estimatePrice, findGroupMove, quoteMatches, STILL_GROUP, type GroupMove, type PriceQuote } from '../prices/index.ts'
import { QUOTE_LIFE_DAYS } from '../tables/constants.ts'

/** A quote read: the day and the log price it gives, with what it was read from. */
interface ReadQuote extends PriceQuote {
  readonly quote: Price
}

/** Quotes by species, those with a price of a kilogram only; one without a date counts for the day asked for. Later ones are passed over. */
function readQuotes(prices: readonly Price[], today: number, findSpecies: FindSpecies): ReadonlyMap<string, readonly ReadQuote[]> {
  const found = new Map<string, string | undefined>()
  const read = new Map<string, ReadQuote[]>()
  for (const quote of prices) {
    if (!found.has(quote.species)) found.set(quote.species, findSpecies(quote.species))
    const species = found.get(quote.species)
    const perKg = computePerKg(quote)
    const day = quote.date ? toDayNumber(quote.date) : today
    if (!species || perKg === undefined || day > today) continue
    const own = read.get(species) ?? []
    read.set(species, own)
    own.push({ quote, day, logPerKg: Math.log(perKg) })
  }
  return read
}

/** Latest first; of one day the cheapest first: that is the one a buyer takes up. */
const byNewest = (a: ReadQuote, b: ReadQuote) =>
  b.day - a.day || a.logPerKg - b.logPerKg || ((a.quote.id ?? '') < (b.quote.id ?? '') ? -1 : 1)

function resolveForm(
  quotes: readonly ReadQuote[],
  form: Form,
  today: number,
  groupOf: (currency: string) => GroupMove,
): readonly ResolvedPrice[] {
  const own = quotes.filter(({ quote }) => quote.form === form)
  const [latest] = [...own].sort(byNewest)
  if (!latest || today - latest.day > QUOTE_LIFE_DAYS) return []
  const { currency, glaze, id, merchant } = latest.quote
  const estimate = estimatePrice(
    own.filter(({ quote }) => quote.currency === currency),
    today,
    () => groupOf(currency),
  )
  if (!estimate) return []
  return [
    {
      form,
      perKg: estimate.perKg,
      currency,
      quotes: estimate.quotes,
      latestDate: latest.quote.date ?? null,
      quoteId: id ?? null,
      merchant: merchant ?? null,
      glaze: glaze ?? 0,
    },
  ]
}

/**
 * Prices of offers on a day, one a form, estimated from all quotes that speak of them. The group of a fish is the rest of its family. A form
 * with no quote of its own within a year has no price: group and month only steady an estimate that rests on at least one. Currencies are
 * never mixed: the latest quote's counts.
 * @returns what to ask for the prices of one offer
 */
export function createPriceResolver(prices: readonly Price[], offers: readonly ResolvedOffer[], date: string, findSpecies: FindSpecies) {
  const today = toDayNumber(date)
  const read = readQuotes(prices, today, findSpecies)
  const families = new Map<string, Set<string>>()
  for (const { family, species } of offers) {
    if (!read.has(species)) continue
    families.set(family, (families.get(family) ?? new Set()).add(species))
  }
  const groups = new Map<string, GroupMove>()
  const groupOf = ({ family, species }: ResolvedOffer, currency: string): GroupMove => {
    const key = `${species}|${currency}`
    const ready = groups.get(key)
    if (ready) return ready
    const others = [...(families.get(family) ?? [])].filter((other) => other !== species)
    const group = others.length === 0 ? STILL_GROUP : findGroupMove(others.flatMap((other) => splitSeries(read.get(other) ?? [], currency)))
    groups.set(key, group)
    return group
  }
  return (offer: ResolvedOffer): ResolvedPrice[] => {
    const quotes = (read.get(offer.species) ?? []).filter(({ quote }) => quoteMatches(quote, offer, offer.species))
    if (quotes.length === 0) return []
    return offer.forms.flatMap(({ form }) => resolveForm(quotes, form, today, (currency) => groupOf(offer, currency)))
  }
}

/** Quotes of one species apart by what is sold, so that a dear form does not look like a dear day. */
function splitSeries(quotes: readonly ReadQuote[], currency: string): readonly (readonly PriceQuote[])[] {
  const series = new Map<string, PriceQuote[]>()
  for (const one of quotes) {
    const { form, origin, state, part } = one.quote
    if (one.quote.currency !== currency) continue
    const key = [form, origin, state, part].join('|')
    series.set(key, [...(series.get(key) ?? []), one])
  }
  return [...series.values()]
}
