import type { Price } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { buildOffer } from '../testing/builders.ts'
import { findQuotes, gradeOf } from './findQuotes.ts'
import { findSeller } from './findSeller.ts'

const offer = buildOffer('Piscis unus', {})
const quote = (merchant: string | undefined, price: number, more: Partial<Price> = {}): Price => ({
  ...{ species: offer.species, form: 'whole', price, currency: 'EUR', unit: 'kg', date: '2026-06-12' },
  ...(merchant === undefined ? {} : { merchant }),
  ...more,
})
const told = (...quotes: Price[]) => findQuotes(quotes, offer, 'whole').map(({ price, perKg }) => [price.merchant, perKg])

describe('what is asked for an offer', () => {
  it('is of each merchant the latest, the cheapest of that day, and the cheapest merchant first', () => {
    expect(
      told(quote('Quay', 8, { date: '2026-06-01' }), quote('Quay', 12), quote('Quay', 11), quote('Boats', 10), quote(undefined, 14)),
    ).toEqual([
      ['Boats', 10],
      ['Quay', 11],
      [undefined, 14],
    ])
  })

  it('leaves out other fish, other forms, and what speaks of another origin, state or part', () => {
    expect(
      told(
        quote('a', 5, { species: 'Piscis duo' }),
        quote('b', 5, { form: 'gutted' }),
        quote('c', 5, { origin: offer.origin === 'wild' ? 'farmed' : 'wild' }),
        quote('d', 5, { part: 'tail' }),
        quote('e', 5, { unit: 'each' }),
        quote('f', 5, { origin: offer.origin, state: offer.state, part: offer.part }),
      ),
    ).toEqual([['f', 5]])
  })

  it('is told by the kilogram, by the pound, the piece and the box', () => {
    expect(told(quote('lb', 1, { unit: 'lb' }))[0]?.[1]).toBeCloseTo(2.2046, 4)
    expect(told(quote('each', 5, { unit: 'each', eachG: 500 }))[0]?.[1]).toBe(10)
    expect(told(quote('box', 50, { unit: 'box', eachG: 5000 }))[0]?.[1]).toBe(10)
  })

  it('says the size of a piece, by its words before its weight', () => {
    expect(gradeOf(quote('a', 5, { grade: '400-600 g', unit: 'each', eachG: 450 }))).toEqual({ fromG: 400, toG: 600 })
    expect(gradeOf(quote('a', 5, { unit: 'each', eachG: 450 }))).toEqual({ fromG: 450, toG: 450 })
    expect(gradeOf(quote('a', 5))).toBeNull()
  })
})

describe('who is asked', () => {
  const merchant = { name: 'Quay', delivers: [1], orderBy: '20:00', daysAhead: 1, minimumOrder: null, feed: null }
  const seller = (quotes: readonly Price[], time: string) =>
    findSeller(offer, 'whole', '2026-06-15', { now: { date: '2026-06-14', time }, merchants: [merchant], quotes }).seller
  it('until the very minute of the last hour, and too late a minute after', () => {
    expect(seller([quote('Quay', 9)], '20:00').state).toBe('open')
    expect(seller([quote('Quay', 9)], '20:01').state).toBe('late')
  })

  it('is whoever has days before whoever names none, however cheap', () => {
    const quotes = [quote('Van', 1), quote('Quay', 9)]
    expect(seller(quotes, '09:00').name).toBe('Quay')
    expect(seller([quote('Van', 1)], '09:00')).toMatchObject({ name: 'Van', state: 'no-days', order: null })
    expect(seller([], '09:00')).toMatchObject({ name: null, state: 'nobody' })
  })
})
