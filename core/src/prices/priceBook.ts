import type { Form, ResolvedOffer, ResolvedPrice } from '@tender-gill/contract'
import type { FindSpecies } from '../brief/index.ts'
import { toDayNumber, toIsoDate } from '../calendar/index.ts'
import { groupBy } from '../lists/index.ts'
import { QUOTE_LIFE_DAYS } from '../tables/constants.ts'
import { estimateFromDays, type PriceEstimate } from './estimatePrice.ts'
import { findUsualPrice } from './findUsualPrice.ts'
import { gatherGroupMoves, type GroupMove } from './groupMove.ts'
import type { PriceDay } from './priceDays.ts'
import { findDay, listQuotes, mergeQuotes, sliceQuotes, type Quotes } from './quotes.ts'
import { mergeSeries, readDays, type PriceSeries, type QuoteKind } from './series.ts'

/** What was asked for an offer in a form, in the currency of the latest quote. */
export interface OfferQuotes {
  readonly currency: string
  readonly quotes: Quotes
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
    const to = findDay(one.quotes, today + 1)
    if (to === one.quotes.day.length) return [one]
    return to > 0 ? [{ ...one, quotes: sliceQuotes(one.quotes, 0, to) }] : []
  })
}

/** One series of several, in the currency of the latest day; of two as late, in that of the first. */
function join(spoken: readonly PriceSeries[]): OfferQuotes | undefined {
  const lastDay = ({ quotes }: PriceSeries): number => quotes.day.at(-1) ?? -Infinity
  const [first, ...others] = spoken
  if (!first) return undefined
  const { currency } = others.reduce((best, one) => (lastDay(one) > lastDay(best) ? one : best), first)
  return { currency, quotes: mergeQuotes(spoken.filter((one) => one.currency === currency).map(({ quotes }) => quotes)) }
}

/** Quotes of an offer in a form, read once however often they are asked for. */
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
  const bySpecies = groupBy(mergeSeries(accepted), ({ species }) => species)
  const familyOf = new Map(offers.map(({ species, family }) => [species, family]))
  const members = (family: string) => [...bySpecies].filter(([species]) => familyOf.get(species) === family)
  const moves = new Map<string, ReturnType<typeof gatherGroupMoves>>()
  const groups = new Map<string, GroupMove>()
  const groupOf = ({ family, species }: ResolvedOffer, currency: string): GroupMove => {
    const inCurrency = `${family}|${currency}`
    // Apart by what is sold, so that a dear form does not look like a dear day.
    const apart = () =>
      members(family).flatMap(([member, own]) => own.flatMap((one) => (one.currency === currency ? [{ member, quotes: one.quotes }] : [])))
    const moveWithout = moves.get(inCurrency) ?? gatherGroupMoves(apart())
    moves.set(inCurrency, moveWithout)
    const key = `${species}|${currency}`
    const group = groups.get(key) ?? moveWithout(species)
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
    const found = { key, of, days: of ? readDays(of.quotes) : [] }
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
        const last = days.at(-1)
        if (!of || !last || today - last.day > QUOTE_LIFE_DAYS) return []
        const { currency, quotes } = of
        const [cheapest] = listQuotes(sliceQuotes(quotes, quotes.day.length - last.quotes))
        if (!cheapest) return []
        const { id, merchant, glaze, dated } = cheapest.source
        if (!estimates.has(key))
          estimates.set(
            key,
            estimateFromDays(days, today, () => groupOf(offer, currency)),
          )
        const estimate = estimates.get(key)
        if (!estimate) return []
        return [
          {
            ...{ form, perKg: estimate.perKg, currency, quotes: estimate.quotes, latestDate: dated ? toIsoDate(cheapest.day) : null },
            ...{ quoteId: id, merchant, glaze },
          },
        ]
      })
    },
    estimateOn: (offer, form, on) => estimateFromDays(findSpoken(offer, form).days, toDayNumber(on)),
    usualOf: (offer, form) => findUsualPrice(findSpoken(offer, form).days, today),
  }
}
