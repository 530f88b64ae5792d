import type { Form, Price, ResolvedOffer, ResolvedPrice } from '@tender-gill/contract'
import type { FindSpecies } from '../brief/index.ts'
import { toDayNumber } from '../calendar/index.ts'
import {
  computePerKg,
  estimatePrice,
  findGroupMove,
  findUsualPrice,
  quoteMatches,
  STILL_GROUP,
  type GroupMove,
  type PriceEstimate,
  type PriceQuote,
} from '../prices/index.ts'
import { QUOTE_LIFE_DAYS } from '../tables/constants.ts'

/** A quote read: the day and the log price it gives, with what it was read from. */
export interface ReadQuote extends PriceQuote {
  readonly quote: Price
}

/** Quotes by species, those with a price of a kilogram only; one without a date counts for the day asked for. Later ones are passed over. */
function readQuotes(prices: readonly Price[], today: number, findSpecies: FindSpecies): ReadonlyMap<string, readonly ReadQuote[]> {
  const found = new Map<string, string | undefined>()
  const read = new Map<string, ReadQuote[]>()
  const days = new Map<string, number>()
  const dayOf = (date: string): number => {
    const day = days.get(date) ?? toDayNumber(date)
    days.set(date, day)
    return day
  }
  for (const quote of prices) {
    if (!found.has(quote.species)) found.set(quote.species, findSpecies(quote.species))
    const species = found.get(quote.species)
    const perKg = computePerKg(quote)
    const day = quote.date ? dayOf(quote.date) : today
    if (!species || perKg === undefined || day > today) continue
    const own = read.get(species) ?? []
    read.set(species, own)
    // A price with a name of its own was typed in; rows of lists have none.
    own.push({ quote, day, logPerKg: Math.log(perKg), ...(quote.id === undefined ? {} : { certain: true }) })
  }
  return read
}

/** Latest first; of one day the cheapest first: that is the one a buyer takes up. */
const byNewest = (a: ReadQuote, b: ReadQuote) =>
  b.day - a.day || a.logPerKg - b.logPerKg || ((a.quote.id ?? '') < (b.quote.id ?? '') ? -1 : 1)

/** Prices of one day, and what each rests on. */
export interface PriceBook {
  /** Prices of an offer on the day, one a form. A form with no quote of its own within a year has none. */
  readonly pricesOf: (offer: ResolvedOffer) => ResolvedPrice[]
  /** Quotes of an offer in a form up to the day, oldest first, in the currency of the latest. */
  readonly quotesOf: (offer: ResolvedOffer, form: Form) => readonly ReadQuote[]
  /** The estimate for an earlier day, from what was known then. */
  readonly estimateOn: (offer: ResolvedOffer, form: Form, date: string) => PriceEstimate | undefined
  /** What a kilogram usually costs at this time of the year; null where too little is known to say. */
  readonly usualOf: (offer: ResolvedOffer, form: Form) => number | null
}

/**
 * Prices of offers on a day, estimated from all quotes that speak of them. The group of a fish is the rest of its family: group and month
 * only steady an estimate that rests on at least one quote of its own. Currencies are never mixed: the latest quote's counts.
 */
export function createPriceBook(
  prices: readonly Price[],
  offers: readonly ResolvedOffer[],
  date: string,
  findSpecies: FindSpecies,
): PriceBook {
  const today = toDayNumber(date)
  const read = readQuotes(prices, today, findSpecies)
  const families = new Map<string, Set<string>>()
  for (const { family, species } of offers) {
    if (!read.has(species)) continue
    families.set(family, (families.get(family) ?? new Set()).add(species))
  }
  /** Of each species, its quotes in each form apart by what they say of the fish: offers that the same kinds speak of share their series. */
  const kinds = new Map<string, readonly Kind[]>()
  const kindsOf = (species: string): readonly Kind[] => {
    const ready = kinds.get(species) ?? splitKinds(read.get(species) ?? [])
    kinds.set(species, ready)
    return ready
  }
  const groups = new Map<string, GroupMove>()
  const groupOf = ({ family, species }: ResolvedOffer, currency: string): GroupMove => {
    const key = `${species}|${currency}`
    const ready = groups.get(key)
    if (ready) return ready
    const others = [...(families.get(family) ?? [])].filter((other) => other !== species)
    // Apart by what is sold, so that a dear form does not look like a dear day.
    const apart = others.flatMap((other) => kindsOf(other).map(({ quotes }) => quotes.filter(({ quote }) => quote.currency === currency)))
    const group = others.length === 0 ? STILL_GROUP : findGroupMove(apart)
    groups.set(key, group)
    return group
  }
  const series = new Map<string, readonly ReadQuote[]>()
  const estimates = new Map<string, PriceEstimate | undefined>()
  const findSeries = (offer: ResolvedOffer, form: Form): { readonly key: string; readonly quotes: readonly ReadQuote[] } => {
    const spoken = kindsOf(offer.species).filter((kind) => kind.form === form && quoteMatches(kind.sample, offer, offer.species))
    const key = `${offer.species}|${form}|${spoken.map(({ name }) => name).join(';')}`
    const ready = series.get(key) ?? joinKinds(spoken)
    series.set(key, ready)
    return { key, quotes: ready }
  }
  const quotesOf = (offer: ResolvedOffer, form: Form) => findSeries(offer, form).quotes
  return {
    quotesOf,
    pricesOf: (offer) => {
      if (!read.has(offer.species)) return []
      return offer.forms.flatMap(({ form }): readonly ResolvedPrice[] => {
        const { key, quotes: own } = findSeries(offer, form)
        const latest = own.at(-1)
        if (!latest || today - latest.day > QUOTE_LIFE_DAYS) return []
        const { currency, glaze, id, merchant, date: day } = latest.quote
        if (!estimates.has(key))
          estimates.set(
            key,
            estimatePrice(own, today, () => groupOf(offer, currency)),
          )
        const estimate = estimates.get(key)
        if (!estimate) return []
        return [
          {
            ...{ form, perKg: estimate.perKg, currency, quotes: estimate.quotes, latestDate: day ?? null },
            ...{ quoteId: id ?? null, merchant: merchant ?? null, glaze: glaze ?? 0 },
          },
        ]
      })
    },
    estimateOn: (offer, form, on) => estimatePrice(quotesOf(offer, form), toDayNumber(on)),
    usualOf: (offer, form) => findUsualPrice(quotesOf(offer, form), today),
  }
}

/** Quotes that say the same of the fish they speak of. */
interface Kind {
  readonly name: string
  readonly form: Form
  readonly sample: Price
  readonly quotes: ReadQuote[]
}

const isOfKind = ({ sample }: Kind, { form, origin, state, part }: Price): boolean =>
  sample.form === form && sample.origin === origin && sample.state === state && sample.part === part

function splitKinds(quotes: readonly ReadQuote[]): readonly Kind[] {
  // A species is sold in a handful of ways: looking through them is quicker than naming each quote.
  const found: Kind[] = []
  for (const one of quotes) {
    const { quote } = one
    const kind = found.find((other) => isOfKind(other, quote))
    if (kind) kind.quotes.push(one)
    else {
      const { form, origin = '', state = '', part = '' } = quote
      found.push({ name: `${form}|${origin}|${state}|${part}`, form, sample: quote, quotes: [one] })
    }
  }
  return found.sort((a, b) => (a.name < b.name ? -1 : 1))
}

/** One series of several kinds, oldest first, in the currency of the latest. */
function joinKinds(spoken: readonly Kind[]): readonly ReadQuote[] {
  const own = spoken.flatMap(({ quotes }) => quotes).sort(byNewest)
  const [latest] = own
  return latest ? own.filter(({ quote }) => quote.currency === latest.quote.currency).reverse() : []
}
