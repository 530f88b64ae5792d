import type { Market, ResolvedOffer, Season, Stock } from '@tender-gill/contract'
import type { FindSpecies } from '../brief/index.ts'
import { groupBy } from '../lists/index.ts'
import { createPriceBook, readSeries, type PriceSeries } from '../prices/index.ts'
import { applyCondition, findSeason } from './season.ts'
import { computeStockStanding } from './stock.ts'

export interface MarketDay {
  readonly date: string
  /** Null when the season is not considered. */
  readonly waters: readonly string[] | null
  readonly findSpecies: FindSpecies
}

const bySpecies = <T extends { species: string }>(rows: readonly T[], findSpecies: FindSpecies) =>
  groupBy(
    rows.filter((row) => findSpecies(row.species) !== undefined),
    (row) => findSpecies(row.species) ?? row.species,
  )

const stockOf = (stocks: readonly Stock[], offer: ResolvedOffer, { date, waters }: MarketDay) => {
  const rows = stocks.filter(
    (stock) => (stock.origin ?? 'wild') === offer.origin && (!stock.water || !waters || waters.includes(stock.water)),
  )
  const standings = rows.map((row) => computeStockStanding(row, Number(date.slice(0, 4))))
  return standings.sort((a, b) => b.typical - a.typical)[0] ?? null
}

/**
 * Lays a day's market over the offers: prices by form, the year in the kitchen's waters, the standing of the stock. Offers the market
 * says nothing about stay as they were. Pure: the sheet that went in is untouched.
 */
export function applyMarket(offers: readonly ResolvedOffer[], market: Market, day: MarketDay): readonly ResolvedOffer[] {
  const { pricesOf } = createPriceBook(readSeries(market.prices ?? [], day.date), offers, day.date, day.findSpecies)
  const seasons = market.seasons ?? []
  const named = seasons.map((season): Season => ({ ...season, species: day.findSpecies(season.species) ?? season.species }))
  const stocks = bySpecies<Stock>(market.stocks ?? [], day.findSpecies)
  return offers.map((offer) => {
    const priced = pricesOf(offer)
    const season = day.waters ? findSeason(named, offer.species, day.waters, day.date) : null
    const stock = stockOf(stocks.get(offer.species) ?? [], offer, day)
    const dressed: ResolvedOffer = { ...offer, prices: priced.length > 0 ? priced : offer.prices, season, stock: stock ?? offer.stock }
    const condition = offer.origin === 'wild' && offer.state === 'fresh' ? (season?.condition ?? null) : null
    return condition === null ? dressed : applyCondition(dressed, condition)
  })
}

/** Lays prices alone over the offers, from series that are kept. */
export function applyPrices(
  offers: readonly ResolvedOffer[],
  series: readonly PriceSeries[],
  { date, findSpecies }: Pick<MarketDay, 'date' | 'findSpecies'>,
): readonly ResolvedOffer[] {
  const { pricesOf } = createPriceBook(series, offers, date, findSpecies)
  return offers.map((offer) => {
    const prices = pricesOf(offer)
    return prices.length > 0 ? { ...offer, prices } : offer
  })
}
