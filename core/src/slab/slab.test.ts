import type { Merchant, Price } from '@tender-gill/contract'
import type { Slab } from '../facts/index.ts'
import { parseSlab } from '@tender-gill/contract/validators'
import { describe, expect, it } from 'vitest'
import { createFindSpecies } from '../brief/index.ts'
import { addDays } from '../calendar/index.ts'
import { applyMarket } from '../market/index.ts'
import { createPriceBook, readSeries } from '../prices/index.ts'
import { buildBrief, buildOffer, buildSheet, TODAY } from '../testing/builders.ts'
import { stepSlab } from './index.ts'
import { told } from '../testing/told.ts'

const weekly = (species: string, price: (week: number) => number, patch: Partial<Price> = {}): Price[] =>
  Array.from({ length: 20 }, (_, week) => ({
    ...{ species, form: 'whole' as const, price: price(week), currency: 'EUR', unit: 'kg' as const, merchant: 'Holt' },
    date: addDays(TODAY, -7 * week),
    ...patch,
  }))
const holt: Merchant = { name: 'Holt', delivers: [1, 2, 3, 4, 5, 6, 7], orderBy: '20:00', daysAhead: 1, minimumOrder: null, feed: null }
const finish = (steps: Generator<number, Slab>): Slab => {
  let step = steps.next()
  while (!step.done) step = steps.next()
  return step.value
}
const standing = (typical: number) => ({ low: typical, typical, high: typical, weakest: 'pressure', confidence: 1, spent: false })

function lay(prices: readonly Price[], offers = [buildOffer('Piscis unus'), buildOffer('Piscis duo'), buildOffer('Piscis tres')]) {
  const findSpecies = createFindSpecies(offers)
  const book = createPriceBook(readSeries(prices, TODAY), offers, TODAY, findSpecies)
  const dressed = applyMarket(offers, { prices: [...prices] }, { date: TODAY, waters: null, findSpecies })
  // A day's market knows no stock here; the offers bring their own.
  const stocked = dressed.map((offer, i) => ({ ...offer, stock: offers[i]?.stock ?? null }))
  const dishes = [{ id: 'pan', revision: 1, brief: buildBrief({ dish: 'Pan' }), choice: null }]
  return finish(
    stepSlab({
      ...{ today: TODAY, date: TODAY, dishes, sheetOf: () => buildSheet(...stocked), merchants: [holt] },
      now: { date: TODAY, time: '10:00' },
      usualOf: book.usualOf,
    }),
  )
}

describe('today’s slab', () => {
  it('puts what is cheap for its month before what is dear for it, whatever each costs, and says so', () => {
    const cheap = weekly('Piscis unus', (week) => (week === 0 ? 24 : 30))
    const dear = weekly('Piscis duo', (week) => (week === 0 ? 12 : 8))
    const slab = lay([...cheap, ...dear])
    expect(parseSlab(told(slab)).ok).toBe(true)
    expect(slab.fish.map(({ species }) => species)).toEqual(['Piscis unus', 'Piscis duo'])
    expect(told(slab).fish[0]?.because[0]).toMatch(/\d+ % below its usual price/)
    expect(told(slab).fish[1]?.because[0]).toMatch(/\d+ % above its usual price/)
    expect(slab.fish[0]?.usualPerKg).toBeCloseTo(30, 6)
    expect(slab.fish[0]?.portionCost?.typical).toBeGreaterThan((0.15 * (slab.fish[0]?.perKg.typical ?? 0)) / 1)
  })

  it('weighs the stock, and says what is not known instead of guessing', () => {
    const offers = [
      buildOffer('Piscis unus', { stock: standing(80) }),
      buildOffer('Piscis duo', { stock: standing(20) }),
      buildOffer('Piscis tres'),
    ]
    const prices = offers.flatMap(({ species }) => weekly(species, () => 10))
    const slab = lay(prices, offers)
    expect(slab.fish.map(({ species }) => species)).toEqual(['Piscis unus', 'Piscis duo', 'Piscis tres'])
    expect(slab.fish[2]?.unknown).toEqual(['condition', 'stock'])
    // Not knowing is no merit: however cheap it is, it does not come to all of a hundred.
    expect(slab.fish[2]?.good).toBeLessThan(90)
    expect(slab.fish[0]?.unknown).toEqual(['condition'])
    expect(slab.fish[0]?.good).toBeGreaterThan(slab.fish[1]?.good ?? 100)
  })

  it('holds what is on a recent list only, nothing that is closed, missing or protected', () => {
    const gone = buildOffer('Piscis duo', { absent: { until: TODAY, because: null } })
    const old = weekly('Piscis tres', () => 9).map((price) => ({ ...price, date: addDays(price.date ?? TODAY, -30) }))
    const slab = lay(
      [...weekly('Piscis unus', () => 10), ...weekly('Piscis duo', () => 5), ...old],
      [buildOffer('Piscis unus'), gone, buildOffer('Piscis tres')],
    )
    expect(slab.fish.map(({ species }) => species)).toEqual(['Piscis unus'])
  })

  it('names the dishes of the house it would do well, and until when to order', () => {
    const [fish] = lay(weekly('Piscis unus', () => 10)).fish
    expect(fish?.dishes).toEqual([{ servingId: 'pan', dish: 'Pan', fit: expect.any(Number) }])
    expect(fish?.order).toEqual({ merchant: 'Holt', delivery: addDays(TODAY, 1), orderBy: { date: TODAY, time: '20:00' } })
  })

  it('lays a fish whose parts go by one price out once, by its body', () => {
    const offers = [buildOffer('Piscis unus', { part: 'tail' }), buildOffer('Piscis unus'), buildOffer('Piscis unus', { state: 'frozen' })]
    expect(
      lay(
        weekly('Piscis unus', () => 10),
        offers,
      ).fish.map(({ offerId }) => offerId),
    ).toEqual(['piscis-unus.wild.frozen.body', 'piscis-unus.wild.fresh.body'])
  })

  it('knows no usual price from a few days', () => {
    const [fish] = lay(weekly('Piscis unus', () => 10).slice(0, 3)).fish
    expect(fish).toMatchObject({ usualPerKg: null, unknown: ['price', 'condition', 'stock'], good: 0 })
  })
})
