import { createOfferSheet } from '@tender-gill/catalogue/book'
import { describe, expect, it } from 'vitest'
import { rankLineUp } from '../lineUp/index.ts'
import { TODAY, buildBrief, must } from '../testing/builders.ts'
import { keepOffered } from './index.ts'

const book = createOfferSheet(TODAY)
const price = (form: 'gutted' | 'fillet-skinless') =>
  ({
    form,
    perKg: { low: 9, typical: 10, high: 11 },
    currency: 'EUR',
    quotes: 3,
    latestDate: TODAY,
    quoteId: null,
    merchant: 'A',
    glaze: 0,
  }) as const
const market = {
  ...book,
  offers: book.offers.map((offer) => ({
    ...offer,
    prices:
      offer.species === 'Gadus morhua' && offer.state === 'fresh'
        ? [price('fillet-skinless')]
        : offer.species === 'Conger conger'
          ? [price('gutted')]
          : [],
  })),
}
const rank = (sheet: typeof book) =>
  must(rankLineUp(buildBrief({ method: 'stew', format: 'chunk' }), sheet, { today: TODAY, shares: false, leftOut: true })).ranked

describe('what can be bought', () => {
  it('is the offers with a price, in the forms that have one', () => {
    const { offers } = keepOffered(market)
    expect(new Set(offers.map(({ species }) => species))).toEqual(new Set(['Gadus morhua', 'Conger conger']))
    for (const { species, forms } of offers)
      expect(forms.flatMap(({ form, sold }) => (sold === false ? [] : [form]))).toEqual([
        species === 'Gadus morhua' ? 'fillet-skinless' : 'gutted',
      ])
  })

  it('is ranked as in the whole book: the same fish in the same forms have the same fit', () => {
    const whole = rank(market)
    const own = rank(keepOffered(market))
    expect(own.length).toBeGreaterThan(0)
    for (const row of own) {
      expect(row.portionCost).not.toBeNull()
      const there = whole.find(({ offerId, form }) => offerId === row.offerId && form === row.form)
      if (there) expect([row.fit, row.portionCost, row.buyG]).toEqual([there.fit, there.portionCost, there.buyG])
    }
  })

  it('is nothing where nothing has a price', () => expect(keepOffered(book).offers).toEqual([]))
})
