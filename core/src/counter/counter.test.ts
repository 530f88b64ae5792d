import type { Brief, ResolvedPrice } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { buildOffer, exactly, TODAY } from '../testing/builders.ts'
import { told } from '../testing/told.ts'
import { findBetterBuy, judgeAsked, type AskedPrice } from './index.ts'
import { cases } from '../testing/cases.ts'

const price = (perKg: number): ResolvedPrice => ({
  ...{ form: 'fillet-skin-on', perKg: { low: perKg * 0.9, typical: perKg, high: perKg * 1.1 }, currency: 'EUR', quotes: 3 },
  ...{ latestDate: TODAY, quoteId: null, merchant: null, glaze: 0 },
})
const BRIEF: Brief = { dish: 'Supper', method: 'pan-sear', format: 'fillet-skin-on', covers: 4 }
const forms = [{ form: 'fillet-skin-on' as const, yieldOfWhole: exactly(0.45) }]
const taken = buildOffer('Piscis primus', { prices: [price(20)], forms })
const rung = buildOffer('Piscis alter', { prices: [price(20)], forms })
const fish = { species: taken.species, offerId: taken.id, form: 'fillet-skin-on' as const }
const find = (other = rung, brief = BRIEF) =>
  findBetterBuy(brief, fish, { offerId: other.id, form: 'fillet-skin-on' }, { sheet: { offers: [taken, other] }, today: TODAY })

describe('the point where the next rung is the better buy', () => {
  it('is its own price where it does the dish as well', () => {
    expect(find().perKg).toBeCloseTo(20, 3)
  })

  it('is the lower, the cheaper the other is, and the higher, the worse it does the dish', () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 30 }), fc.integer({ min: 1, max: 8 }), (perKg, more) => {
        const cheap = find(buildOffer('Piscis alter', { prices: [price(perKg)], forms })).perKg ?? 0
        const dear = find(buildOffer('Piscis alter', { prices: [price(perKg + more)], forms })).perKg ?? 0
        expect(cheap).toBeLessThanOrEqual(dear + 1e-6)
        const worse = find(buildOffer('Piscis alter', { prices: [price(perKg)], forms, flesh: { cohesion: 2, skin: 2 } })).perKg ?? 0
        expect(worse).toBeGreaterThanOrEqual(cheap - 1e-6)
      }),
      { numRuns: cases(80) },
    )
  })

  it('is none where the other does the dish better whatever this one costs: no price makes up for flesh', () => {
    const better = buildOffer('Piscis alter', { prices: [price(20)], forms })
    const poor = buildOffer('Piscis primus', { prices: [price(20)], forms, flesh: { cohesion: 0, skin: 0, firmness: 0, flake: 0 } })
    const found = findBetterBuy(
      BRIEF,
      fish,
      { offerId: better.id, form: 'fillet-skin-on' },
      { sheet: { offers: [poor, better] }, today: TODAY },
    )
    expect(found.perKg).toBeNull()
  })

  it('is not known where one of them has no price, or nothing stands in', () => {
    expect(find(buildOffer('Piscis alter', { forms })).perKg).toBeNull()
    const alone = findBetterBuy(BRIEF, fish, null, { sheet: { offers: [taken] }, today: TODAY })
    expect(alone).toEqual({ perKg: null, portionKg: expect.any(Number) })
    expect(find(rung, { ...BRIEF, covers: 1, diners: { children: 3 } })).toEqual({ perKg: null, portionKg: null })
  })
})

describe('a price that is asked', () => {
  const judge = (perKg: number, patch: Partial<AskedPrice> = {}) =>
    told(
      judgeAsked({
        ...{ perKg, currency: 'EUR', estimate: { low: 16, typical: 18, high: 22 }, limitPerKg: 23, rung: { common: 'haddock', perKg: 26 } },
        ...{ portionKg: 0.2, ...patch },
      }),
    )

  it.each([
    [15, 'cheap', 'Cheap: €0.60 a portion less than usual.'],
    [18, 'fair', 'Fair: €18.00 a kilo is usual.'],
    [21, 'dear', 'Dear by €0.60 a portion.'],
    [24, 'past-limit', 'Past the limit of €23.00 a kilo.'],
    [27, 'past-rung', 'Past the point where haddock is the better buy, €26.00 a kilo.'],
  ])('of %f is %s', (perKg, verdict, sentence) => {
    expect(judge(perKg)).toMatchObject({ verdict, sentence })
  })

  it('is held against what is known alone', () => {
    expect(judge(24, { estimate: null, limitPerKg: null, rung: null })).toMatchObject({ verdict: 'unknown', perPortion: null })
    expect(judge(24, { limitPerKg: null, rung: { common: 'haddock', perKg: null } })).toMatchObject({ verdict: 'dear' })
    expect(judge(21).perPortion).toBeCloseTo(0.6, 9)
  })
})
