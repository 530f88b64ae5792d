import { createOfferSheet } from '@tender-gill/catalogue'
import { BOUGHT, ORIGINS, type Brief, type HouseLeanings, type RankedFish } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findRawRefusal, hasVulnerable, isServedRaw } from '../safety/index.ts'
import { cases } from '../testing/cases.ts'
import { briefArbitrary } from '../testing/arbitraries.ts'
import { TODAY, buildBrief, buildOffer, buildSheet, exactly, must } from '../testing/builders.ts'
import { findFirst } from '../turning/findFirst.ts'
import { createField } from '../turning/runners.ts'
import { createBoard, rankLineUp } from './index.ts'

const book = createOfferSheet(TODAY)
const lineUp = (brief: Brief, leanings: HouseLeanings, sheet = book) =>
  must(rankLineUp(brief, { ...sheet, leanings }, { today: TODAY, shares: false }))
const plainly = (brief: Brief, sheet = book) => must(rankLineUp(brief, sheet, { today: TODAY, shares: false }))
const speciesOf = (ranked: readonly Pick<RankedFish, 'species'>[]) => ranked.map(({ species }) => species).sort()

const leaningsArbitrary: fc.Arbitrary<HouseLeanings> = fc
  .record({
    origin: fc.option(fc.constantFrom(...ORIGINS), { nil: undefined }),
    bought: fc.option(fc.constantFrom(...BOUGHT), { nil: undefined }),
    trim: fc.option(fc.constant({ perKg: 2, currency: 'EUR' }), { nil: undefined }),
  })
  .map(({ origin, bought, trim }) => ({ ...(origin && { origin }), ...(bought && { bought }), ...(trim && { trim }) }))

describe('a leaning on an ask', () => {
  const brief = buildBrief({ method: 'grill', format: 'chunk' })

  it('says when it changed the order, and who would lead without it', () => {
    const plain = plainly(brief)
    expect(plain.houseLeaning).toBeNull()
    const fatty = lineUp(brief, { asks: { fat: { from: 12, pull: 5 } } })
    expect(fatty.ranked[0]?.species).not.toBe(plain.ranked[0]?.species)
    expect(fatty.houseLeaning).toMatchObject({ changed: true, leaderWithout: plain.ranked[0]?.common, traits: ['fat'], leans: [] })
    expect(lineUp(brief, { asks: { cohesion: { pull: 5 } } }).houseLeaning).toMatchObject({ changed: false })
  })

  it('opens no safety gate, whatever the house leans to', () => {
    fc.assert(
      fc.property(briefArbitrary, leaningsArbitrary, (any, leans) => {
        const leanings = { ...leans, doneness: 'moist' as const, asks: { fat: { pull: 5 }, bones: { to: 10, pull: 0 } } }
        const { ranked, brief: asRead } = lineUp(any, leanings)
        const offers = new Map(book.offers.map((offer) => [offer.id, offer]))
        for (const { offerId } of ranked) {
          const offer = offers.get(offerId)
          expect(offer && findRawRefusal(offer, asRead)).toBeUndefined()
          expect(isServedRaw(asRead) && hasVulnerable(asRead)).toBe(false)
          expect(asRead.diners.allergies ?? []).not.toContain(offer?.allergen)
        }
      }),
      { seed: 77, numRuns: cases(30) },
    )
  })
})

describe('a leaning on origin or on how fish is bought', () => {
  it('decides which offer stands for a species, and never which species can do the dish', () => {
    fc.assert(
      fc.property(briefArbitrary, leaningsArbitrary, (brief, leanings) => {
        const plain = plainly(brief)
        const leant = lineUp(brief, leanings)
        expect(speciesOf(leant.ranked)).toEqual(speciesOf(plain.ranked))
        const best = new Map(plain.ranked.map(({ species, fit }) => [species, fit]))
        for (const { species, fit } of leant.ranked) expect(fit).toBeLessThanOrEqual(best.get(species) ?? 0)
      }),
      { seed: 78, numRuns: cases(20) },
    )
  })

  it.each(ORIGINS)('sets the %s offer before the other where both pass', (origin) => {
    const brief: Brief = { dish: 'Either', method: 'roast', format: 'portion' }
    const passing = plainly({ ...brief, allOffers: true }).ranked
    const both = new Set(passing.filter(({ offerId }) => offerId.includes(`.${origin}.`)).map(({ species }) => species))
    expect(both.size).toBeGreaterThan(10)
    for (const { species, offerId } of lineUp(brief, { origin }).ranked) if (both.has(species)) expect(offerId).toContain(`.${origin}.`)
  })

  it('gives way to the brief: a dish that wants it farmed gets it farmed', () => {
    const { ranked } = lineUp({ dish: 'Farmed', method: 'roast', format: 'portion', origin: 'farmed' }, { origin: 'wild' })
    expect(ranked.length).toBeGreaterThan(5)
    expect(ranked.every(({ offerId }) => offerId.includes('.farmed.'))).toBe(true)
  })

  it('buys whole, or cut, what is sold both ways', () => {
    const offer = buildOffer('Piscis unus')
    const brief: Brief = { dish: 'Cut or whole', method: 'roast', format: 'portion' }
    const formOf = (leanings: HouseLeanings) => lineUp(brief, leanings, buildSheet(offer)).ranked[0]?.form
    expect(['whole', 'gutted']).toContain(formOf({ bought: 'whole' }))
    expect(['fillet-skin-on', 'fillet-skinless', 'loin']).toContain(formOf({ bought: 'cut' }))
  })

  it('starts what would change it from the leader of the line-up', () => {
    fc.assert(
      fc.property(briefArbitrary, leaningsArbitrary, (brief, leanings) => {
        const first = findFirst(createField(must(createBoard(brief, { ...book, leanings }, TODAY))))
        expect(first?.species).toBe(lineUp(brief, leanings).ranked[0]?.species)
      }),
      { seed: 79, numRuns: cases(30) },
    )
  })

  it('says every leaning by name, whichever it is, and nothing where the house says nothing', () => {
    const brief: Brief = { dish: 'Leant on', method: 'stew', format: 'chunk' }
    expect(lineUp(brief, {}).houseLeaning).toBeNull()
    expect(lineUp(brief, { doneness: 'set' }).houseLeaning).toBeNull()
    expect(lineUp(brief, { stock: { floor: 20 } }).houseLeaning?.leans).toEqual(['stockFloor'])
    expect(lineUp(brief, { doneness: 'moist' }).houseLeaning?.leans).toEqual(['doneness'])
    expect(lineUp(brief, { origin: 'wild', bought: 'cut' }).houseLeaning?.leans).toEqual(['origin', 'bought'])
  })

  it('leaves every passing offer in the list when the brief asks for all', () => {
    const brief: Brief = { dish: 'All of them', method: 'roast', format: 'portion', allOffers: true }
    expect(
      lineUp(brief, { origin: 'wild' })
        .ranked.map(({ offerId }) => offerId)
        .sort(),
    ).toEqual(
      plainly(brief)
        .ranked.map(({ offerId }) => offerId)
        .sort(),
    )
  })
})

describe('what the house is used to pay, and what the rest of a fish is worth to it', () => {
  const price = (form: 'whole' | 'fillet-skinless', perKg: number, currency = 'EUR') => ({
    form,
    perKg: exactly(perKg),
    currency,
    quotes: 1,
    latestDate: null,
    quoteId: null,
    merchant: null,
    glaze: 0,
  })
  const offer = buildOffer('Piscis unus', { prices: [price('whole', 10), price('fillet-skinless', 24)] })
  const dear = buildOffer('Piscis duo', { prices: [price('whole', 60)] })
  const brief: Brief = { dish: 'Paid for', method: 'stew', format: 'chunk' }
  const rowOf = (leanings: HouseLeanings, asked: Brief = brief) => lineUp(asked, leanings, buildSheet(offer)).ranked[0]
  const usual = { perPortion: 5, currency: 'EUR' }

  it('asks cost of every dish that sets no budget, and says that the house does', () => {
    const { ranked, brief: asRead, houseLeaning } = lineUp(brief, { usualPortionCost: usual }, buildSheet(offer, dear))
    expect(asRead.asks.portionCost).toMatchObject({ to: 5, pull: 3, because: ['house'] })
    expect(ranked.map(({ species }) => species)).toEqual(['Piscis unus', 'Piscis duo'])
    expect(houseLeaning?.leans).toEqual(['usualPortionCost'])
    const budgeted = lineUp({ ...brief, budget: { perPortion: 9, currency: 'EUR' } }, { usualPortionCost: usual }, buildSheet(offer))
    expect(budgeted.brief.asks.portionCost).toMatchObject({ to: 9, because: ['brief'] })
  })

  it('never sets a price in another currency against it', () => {
    const foreign = buildOffer('Piscis tres', { prices: [price('whole', 10, 'USD')] })
    const [row] = lineUp(brief, { usualPortionCost: usual }, buildSheet(foreign, offer)).ranked.filter(
      ({ species }) => species === 'Piscis tres',
    )
    expect(row?.portionCost).toBeNull()
    expect(row?.unknown).toContain('portionCost')
  })

  it('takes the worth of head and frame off a fish bought whole, and nothing off one bought cut', () => {
    const whole = (leanings: HouseLeanings) => rowOf({ ...leanings, bought: 'whole' })?.portionCost?.typical ?? 0
    const cut = (leanings: HouseLeanings) => rowOf({ ...leanings, bought: 'cut' })?.portionCost?.typical ?? 0
    const trim = { perKg: 2, currency: 'EUR' }
    // Of a kilogram of whole fish 0.88 is left when gutted and 0.42 is skinless fillet.
    expect(whole({ trim })).toBeCloseTo((whole({}) * (10 - 2 * (0.88 - 0.42))) / 10, 1)
    expect(cut({ trim })).toBe(cut({}))
    expect(whole({ trim: { perKg: 2, currency: 'USD' } })).toBe(whole({}))
  })

  it('never pays for a fish with what is left of it', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1000, noNaN: true }), fc.constantFrom(...BOUGHT), (perKg, bought) => {
        const cost = rowOf({ trim: { perKg, currency: 'EUR' }, bought })?.portionCost
        expect(cost?.low).toBeGreaterThan(0)
        expect(cost?.low).toBeLessThanOrEqual(cost?.typical ?? 0)
        expect(cost?.typical).toBeLessThanOrEqual(cost?.high ?? 0)
      }),
      { seed: 80, numRuns: cases(50) },
    )
  })
})
