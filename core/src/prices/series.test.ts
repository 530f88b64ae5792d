import fc from 'fast-check'
import type { Price } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { createFindSpecies } from '../brief/index.ts'
import { addDays } from '../calendar/index.ts'
import { buildOffer } from '../testing/builders.ts'
import { cases } from '../testing/cases.ts'
import { computePerKg, convertSeries, createPriceBook, listQuotes, mergeSeries, readSeries, type PriceSeries } from './index.ts'

const DAY = '2026-06-13'
const priceArbitrary = fc.record<Price>(
  {
    species: fc.constantFrom('Piscis unus', 'Piscis duo'),
    form: fc.constantFrom('whole' as const, 'loin' as const),
    origin: fc.constantFrom('wild' as const, 'farmed' as const),
    date: fc.integer({ min: -60, max: 20 }).map((by) => addDays(DAY, by)),
    price: fc.double({ min: 1, max: 90, noNaN: true }),
    currency: fc.constantFrom('EUR', 'GBP', 'JPY'),
    unit: fc.constantFrom('kg' as const, 'lb' as const, 'each' as const),
    merchant: fc.constantFrom('Holt', 'Marrow Market'),
    id: fc.uuid(),
  },
  { requiredKeys: ['species', 'form', 'price', 'currency', 'unit'] },
)
const pricesArbitrary = fc.array(priceArbitrary, { maxLength: 40 })
const shuffled = pricesArbitrary.chain((prices) =>
  fc.tuple(fc.constant(prices), fc.shuffledSubarray(prices, { minLength: prices.length, maxLength: prices.length })),
)
/** Quotes in all of them. */
const count = (series: readonly PriceSeries[]): number => series.flatMap(({ quotes }) => listQuotes(quotes)).length
const offers = [buildOffer('Piscis unus'), buildOffer('Piscis duo')]
const findSpecies = createFindSpecies(offers)

describe('series of quotes', () => {
  it('hold every quote that tells a price of a kilogram, once, oldest first', () => {
    fc.assert(
      fc.property(pricesArbitrary, (prices) => {
        const series = readSeries(prices, DAY)
        expect(count(series)).toBe(prices.filter((price) => computePerKg(price) !== undefined).length)
        expect(new Set(series.map(({ quotes: _, ...kind }) => JSON.stringify(kind))).size).toBe(series.length)
        for (const { quotes } of series) {
          const told = listQuotes(quotes)
          expect(told).toEqual([...told].sort((a, b) => a.day - b.day || a.logPerKg - b.logPerKg))
        }
      }),
      { seed: 311, numRuns: cases(200) },
    )
  })

  it('are the same whether quotes are read at once, in any order, or in two parts', () => {
    fc.assert(
      fc.property(shuffled, fc.nat(40), ([prices, others], cut) => {
        const kindOf = ({ quotes: _, ...kind }: PriceSeries) => JSON.stringify(kind)
        const byKind = (a: PriceSeries, b: PriceSeries) => (kindOf(a) < kindOf(b) ? -1 : 1)
        const sorted = (series: readonly PriceSeries[]) => [...series].sort(byKind)
        const whole = sorted(readSeries(prices, DAY))
        const parts = mergeSeries([...readSeries(others.slice(0, cut), DAY), ...readSeries(others.slice(cut), DAY)])
        // Of two quotes alike in price and name either may stand.
        const told = (series: readonly PriceSeries[]) =>
          series.map(({ quotes, ...kind }) => ({ ...kind, quotes: listQuotes(quotes).map(({ day, logPerKg }) => ({ day, logPerKg })) }))
        expect(told(sorted(parts))).toEqual(told(whole))
      }),
      { seed: 312, numRuns: cases(200) },
    )
  })

  it('are turned into the kitchen’s currency by the latest rate on or before the day of each quote, and lose none', () => {
    const rates = [
      { currency: 'GBP', date: '2026-05-01', worth: 1.1 },
      { currency: 'GBP', date: '2026-06-01', worth: 1.2 },
    ]
    const quote = (date: string): Price => ({ species: 'Piscis unus', form: 'whole', price: 10, currency: 'GBP', unit: 'kg', date })
    const turned = convertSeries(readSeries([quote('2026-04-30'), quote('2026-05-31'), quote('2026-06-01')], DAY), rates, 'EUR')
    expect(
      turned.map(({ currency, quotes }) => [
        currency,
        listQuotes(quotes).map(({ logPerKg }) => Math.round(100 * Math.exp(logPerKg)) / 100),
      ]),
    ).toEqual([
      ['GBP', [10]],
      ['EUR', [11, 12]],
    ])
    fc.assert(
      fc.property(pricesArbitrary, (prices) => {
        const series = readSeries(prices, DAY)
        expect(count(convertSeries(series, rates, 'EUR'))).toBe(count(series))
      }),
      { seed: 313, numRuns: cases(100) },
    )
  })

  it('give the same prices in whatever parts they come, and know nothing of the days to come', () => {
    fc.assert(
      fc.property(pricesArbitrary, fc.nat(40), (prices, cut) => {
        const pricesOf = (series: ReturnType<typeof readSeries>) => {
          const book = createPriceBook(series, offers, DAY, findSpecies)
          return offers
            .flatMap(book.pricesOf)
            .map(({ form, currency, quotes, latestDate, perKg }) => [form, currency, quotes, latestDate, perKg.typical])
        }
        const whole = pricesOf(readSeries(prices, DAY))
        const apart = pricesOf([...readSeries(prices.slice(0, cut), DAY), ...readSeries(prices.slice(cut), DAY)])
        expect(apart.length).toBe(whole.length)
        apart.forEach((one, i) => {
          expect(one.slice(0, 4)).toEqual(whole[i]?.slice(0, 4))
          expect(one[4]).toBeCloseTo(Number(whole[i]?.[4]), 9)
        })
        expect(
          pricesOf(
            readSeries(
              prices.filter(({ date }) => (date ?? DAY) <= DAY),
              DAY,
            ),
          ),
        ).toEqual(whole)
      }),
      { seed: 314, numRuns: cases(200) },
    )
  })
})
