import type { Form, ResolvedOffer, ResolvedPrice } from '@tender-gill/contract'
import type { FindSpecies } from '../brief/index.ts'
import { toDayNumber, toIsoDate } from '../calendar/index.ts'
import { QUOTE_LIFE_DAYS } from '../tables/constants.ts'
import { estimateFromDays, type PriceEstimate } from './estimatePrice.ts'
import { findUsualPrice } from './findUsualPrice.ts'
import { findGroupMove, STILL_GROUP, type GroupMove } from './groupMove.ts'
import { gatherDays, type PriceDay } from './priceDays.ts'
import { bySeriesOrder, mergeSeries, type PriceSeries, type QuoteKind, type SeriesQuote } from './series.ts'

/** Quotes that speak of an offer in a form, in the currency of the latest. */
export interface OfferQuotes {
  readonly currency: string
  /** Oldest first; of one day the cheapest last. */
  readonly quotes: readonly SeriesQuote[]
}

/** Prices of one day, and what each rests on. */
export interface PriceBook {
  /** Prices of an offer on the day, one a form. A form with no quote of its own within a year has none. */
  readonly pricesOf: (offer: ResolvedOffer) => ResolvedPrice[]
  /** What was asked for an offer in a form up to the day; undefined where nothing was. */
  readonly quotesOf: (offer: ResolvedOffer, form: Form) => OfferQuotes | undefined
  /** The estimate for an earlier day, from what was known then. */
  readonly estimateOn: (offer: ResolvedOffer, form: Form, date: string) => PriceEstimate | undefined
  /** What a kilogram usually costs at this time of the year; null where too little is known to say. */
  readonly usualOf: (offer: ResolvedOffer, form: Form) => number | null
}

/** Whether quotes of a kind speak of an offer of their species: what they leave open matches all. */
const speaksOf = ({ origin, state, part }: QuoteKind, offer: ResolvedOffer): boolean =>
  (origin ?? offer.origin) === offer.origin && (state ?? offer.state) === offer.state && (part ?? offer.part) === offer.part

/** Series up to a day: what was asked later is not known yet. Most end before it, and stay as they are. */
function until(series: readonly PriceSeries[], today: number): readonly PriceSeries[] {
  return series.flatMap((one) => {
    const last = one.quotes.at(-1)
    if (!last) return []
    if (last.day <= today) return [one]
    const quotes = one.quotes.filter(({ day }) => day <= today)
    return quotes.length > 0 ? [{ ...one, quotes }] : []
  })
}

/** One series of several, in the currency of the latest quote. */
function join(spoken: readonly PriceSeries[]): OfferQuotes | undefined {
  const [first, ...others] = spoken
  if (!first) return undefined
  if (others.length === 0) return first
  const last = (series: PriceSeries): SeriesQuote | undefined => series.quotes.at(-1)
  const latest = others.reduce((best, one) => {
    const [a, b] = [last(best), last(one)]
    return a && b && bySeriesOrder(b, a) > 0 ? one : best
  }, first)
  const same = spoken.filter(({ currency }) => currency === latest.currency)
  return { currency: latest.currency, quotes: same.flatMap(({ quotes }) => quotes).sort(bySeriesOrder) }
}

/** Quotes of an offer in a form, gathered by day once however often they are asked for. */
interface Spoken {
  readonly key: string
  readonly of: OfferQuotes | undefined
  readonly days: readonly PriceDay[]
}

/**
 * Prices of offers on a day, estimated from all quotes that speak of them. The group of a fish is the rest of its family: group and month
 * only steady an estimate that rests on at least one quote of its own. Currencies are never mixed: the latest quote's counts.
 * @param series of any species, by whatever name, in order
 */
export function createPriceBook(
  series: readonly PriceSeries[],
  offers: readonly ResolvedOffer[],
  date: string,
  findSpecies: FindSpecies,
): PriceBook {
  const today = toDayNumber(date)
  const accepted = until(series, today).flatMap((one) => {
    const species = findSpecies(one.species)
    return species ? [{ ...one, species }] : []
  })
  const bySpecies = new Map<string, PriceSeries[]>()
  for (const one of mergeSeries(accepted)) bySpecies.set(one.species, [...(bySpecies.get(one.species) ?? []), one])
  const families = new Map<string, Set<string>>()
  for (const { family, species } of offers) {
    if (!bySpecies.has(species)) continue
    families.set(family, (families.get(family) ?? new Set()).add(species))
  }
  const groups = new Map<string, GroupMove>()
  const groupOf = ({ family, species }: ResolvedOffer, currency: string): GroupMove => {
    const key = `${species}|${currency}`
    const ready = groups.get(key)
    if (ready) return ready
    const others = [...(families.get(family) ?? [])].filter((other) => other !== species)
    // Apart by what is sold, so that a dear form does not look like a dear day.
    const apart = others.flatMap((other) => (bySpecies.get(other) ?? []).filter((one) => one.currency === currency))
    const group = others.length === 0 ? STILL_GROUP : findGroupMove(apart.map(({ quotes }) => quotes))
    groups.set(key, group)
    return group
  }
  /** Offers that the same series speak of share what is made of them. */
  const spoken = new Map<string, Spoken>()
  const findSpoken = (offer: ResolvedOffer, form: Form): Spoken => {
    const own = bySpecies.get(offer.species) ?? []
    const speaking = own.flatMap((one, i) => (one.form === form && speaksOf(one, offer) ? [i] : []))
    const key = `${offer.species}|${speaking.join(',')}`
    const ready = spoken.get(key)
    if (ready) return ready
    const of = join(speaking.flatMap((i) => own[i] ?? []))
    const found = { key, of, days: gatherDays(of?.quotes ?? []) }
    spoken.set(key, found)
    return found
  }
  const estimates = new Map<string, PriceEstimate | undefined>()
  return {
    quotesOf: (offer, form) => findSpoken(offer, form).of,
    pricesOf: (offer) => {
      if (!bySpecies.has(offer.species)) return []
      return offer.forms.flatMap(({ form }): readonly ResolvedPrice[] => {
        const { key, of, days } = findSpoken(offer, form)
        const latest = of?.quotes.at(-1)
        if (!of || !latest || today - latest.day > QUOTE_LIFE_DAYS) return []
        const { currency } = of
        if (!estimates.has(key))
          estimates.set(
            key,
            estimateFromDays(days, today, () => groupOf(offer, currency)),
          )
        const estimate = estimates.get(key)
        if (!estimate) return []
        return [
          {
            ...{ form, perKg: estimate.perKg, currency, quotes: estimate.quotes, latestDate: latest.dated ? toIsoDate(latest.day) : null },
            ...{ quoteId: latest.id, merchant: latest.merchant, glaze: latest.glaze },
          },
        ]
      })
    },
    estimateOn: (offer, form, on) => estimateFromDays(findSpoken(offer, form).days, toDayNumber(on)),
    usualOf: (offer, form) => findUsualPrice(findSpoken(offer, form).days, today),
  }
}
