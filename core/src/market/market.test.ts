import fc from 'fast-check'
import type { Price } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { createFindSpecies } from '../brief/index.ts'
import { dayOfYear } from '../calendar/index.ts'
import { buildOffer } from '../testing/builders.ts'
import { applyMarket, computeStockStanding, interpolateYear, isClosed, scoreBiomass, scorePressure } from './index.ts'

const row = { species: 'Piscis unus', form: 'whole' as const, price: 10, currency: 'EUR', unit: 'kg' as const }

describe('prices of a day', () => {
  const priced = (prices: readonly Price[], date = '2026-06-13') => {
    const offers = [buildOffer('Piscis unus'), buildOffer('Piscis duo')]
    return applyMarket(offers, { prices: [...prices] }, { date, waters: null, findSpecies: createFindSpecies(offers) })
  }

  it('takes a quote alone as it is, a tenth uncertain, and says what it rests on', () => {
    const [price] = priced([{ ...row, id: 'q1', merchant: 'Holt', date: '2026-06-13' }])[0]?.prices ?? []
    expect(price).toMatchObject({ form: 'whole', quotes: 1, latestDate: '2026-06-13', quoteId: 'q1', merchant: 'Holt', currency: 'EUR' })
    expect(price?.perKg.low).toBeCloseTo(9, 9)
    expect(price?.perKg.typical).toBeCloseTo(10, 9)
    expect(price?.perKg.high).toBeCloseTo(10 / 0.9, 9)
  })

  it('names the cheapest of the latest day as the one to buy from', () => {
    const quotes = [
      { ...row, id: 'old', date: '2026-06-10', price: 2 },
      { ...row, id: 'dear', date: '2026-06-12', price: 11 },
      { ...row, id: 'cheap', date: '2026-06-12', price: 9 },
    ]
    expect(priced(quotes)[0]?.prices[0]).toMatchObject({ quoteId: 'cheap', quotes: 3, latestDate: '2026-06-12' })
  })

  it('knows no price from quotes over a year old, to come, or of another form, nor from other fish of the group', () => {
    for (const [quote, date] of [
      [{ ...row, date: '2025-06-01' }, '2026-06-13'],
      [{ ...row, date: '2026-07-01' }, '2026-06-13'],
      [{ ...row, form: 'loin' as const }, '2026-06-13'],
      [{ ...row, species: 'Piscis duo' }, '2026-06-13'],
    ] as const)
      expect(priced([quote], date)[0]?.prices.filter(({ form }) => form === 'whole')).toEqual([])
  })

  it('never mixes two currencies: that of the latest quote counts', () => {
    const quotes = [
      { ...row, date: '2026-06-10' },
      { ...row, date: '2026-06-01', price: 900, currency: 'JPY' },
    ]
    expect(priced(quotes)[0]?.prices[0]).toMatchObject({ currency: 'EUR', quotes: 1 })
  })

  it('leaves the sheet it was given untouched', () => {
    const offers = [buildOffer('Piscis unus')]
    const before = JSON.stringify(offers)
    applyMarket(offers, { prices: [row] }, { date: '2026-06-13', waters: null, findSpecies: createFindSpecies(offers) })
    expect(JSON.stringify(offers)).toBe(before)
  })
})

describe('seasons', () => {
  const months = [0, 0, 1, 2, 4, 8, 8, 4, 2, 1, 0, 0]

  it('reads a month’s own value at its middle and the mean half-way to the next', () => {
    expect(interpolateYear(months, '2026-06-16')).toBe(8)
    expect(interpolateYear(months, '2026-05-31')).toBeCloseTo(6, 0)
  })

  it('stays within the months’ own values all year, and wraps', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 364 }), (day) => {
        const date = new Date(Date.UTC(2026, 0, 1 + day)).toISOString().slice(0, 10)
        expect(dayOfYear(date)).toBe(day + 1)
        expect(interpolateYear(months, date)).toBeGreaterThanOrEqual(0)
        expect(interpolateYear(months, date)).toBeLessThanOrEqual(8)
      }),
      { seed: 31 },
    )
    expect(interpolateYear([1, ...Array<number>(10).fill(0), 3], '2026-01-01')).toBeCloseTo(2, 1)
  })

  it('closes both ends of a closure and one that wraps the year', () => {
    const closures = [{ from: '11-15', to: '02-01' }]
    for (const [date, closed] of [
      ['2026-11-15', true],
      ['2026-02-01', true],
      ['2026-02-02', false],
      ['2026-12-31', true],
    ] as const)
      expect(isClosed(date, closures)).toBe(closed)
  })

  it('leaves a wild fresh fish out of its month and lets the farmed one stand', () => {
    const offers = [buildOffer('Piscis unus'), buildOffer('Piscis unus', { origin: 'farmed' })]
    const [wild, farmed] = applyMarket(
      offers,
      { seasons: [{ species: 'Piscis unus', water: 'Here', landings: months, condition: Array<number>(12).fill(2) }] },
      { date: '2026-01-10', waters: ['Here'], findSpecies: createFindSpecies(offers) },
    )
    expect(wild?.season).toMatchObject({ landings: 0, condition: 2 })
    expect(wild?.traits.firmness.typical).toBe(4)
    expect(farmed?.traits.firmness.typical).toBe(5)
  })
})

describe('stock standing', () => {
  it('scores biomass at its target 100 and at 0.3 of it 0; pressure at 0.8 of its reference 100 and at 1.6 0', () => {
    expect([scoreBiomass(1), scoreBiomass(0.3), scorePressure(0.8), scorePressure(1.6)]).toEqual([100, 0, 100, 0])
  })

  it('counts a missing part 35 and never leaves it out', () => {
    const known = { value: 100, year: 2025 }
    const { typical, confidence, weakest } = computeStockStanding(
      { species: 'x', biomassRatio: { value: 1, year: 2025 }, pressureRatio: { value: 0.5, year: 2025 }, gearScore: known },
      2026,
    )
    expect(typical).toBeCloseTo(100 ** 0.8 * 35 ** 0.2, 9)
    expect(confidence).toBeCloseTo(0.8, 9)
    expect(weakest).toBe('how it is managed')
  })

  it('is spent below 0.3 of its target, whatever the rest', () => {
    expect(computeStockStanding({ species: 'x', biomassRatio: { value: 0.29, year: 2026 } }, 2026).spent).toBe(true)
  })
})
