import { createOfferSheet } from '@tender-gill/catalogue/book'
import { METHODS, type Brief, type FishFirstRequest, type Price, type Season, type SeenFish, type Stock } from '@tender-gill/contract'
import { parseFishFirst } from '@tender-gill/contract/validators'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createFindSpecies } from '../brief/index.ts'
import { rankLineUp } from '../lineUp/index.ts'
import { applyMarket } from '../market/index.ts'
import { cases } from '../testing/cases.ts'
import { briefArbitrary } from '../testing/arbitraries.ts'
import { TODAY, mustTell as must } from '../testing/builders.ts'
import { answerFishFirst } from './index.ts'

const book = createOfferSheet(TODAY)
const ask = (request: FishFirstRequest) => answerFishFirst(request, book, { today: TODAY })
const answer = (seen: readonly SeenFish[], dishes: readonly Brief[] = []) => must(ask({ seen: [...seen], dishes: [...dishes] }))
const SPECIES = [...new Set(book.offers.filter(({ hidden }) => hidden !== true).map(({ species }) => species))]
const problems = (seen: SeenFish) => {
  const result = ask({ seen: [seen] })
  return result.ok ? [] : result.error.map(({ path }) => path)
}

const grill: Brief = { dish: 'Grilled', method: 'grill', format: 'whole', covers: 4, wholeServes: 1 }
const fry: Brief = { dish: 'Battered', method: 'deep-fry', format: 'portion', covers: 4 }
const raw: Brief = { dish: 'Raw', method: 'raw', format: 'slice', covers: 4 }

describe('from fish to dish', () => {
  it('gives a fish of which nothing more is known the fit and the place of the line-up, for any brief and fish', () => {
    fc.assert(
      fc.property(briefArbitrary, fc.constantFrom(...SPECIES), (brief, species) => {
        const { ranked, leftOut } = must(rankLineUp(brief, book, { today: TODAY, shares: false }))
        const row = answer([{ species }], [brief]).dishes[0]?.rows[0]
        const at = ranked.findIndex((fish) => fish.species === species)
        expect(row?.fit).toBe(ranked[at]?.fit ?? null)
        expect(row?.place).toBe(at < 0 ? null : at + 1)
        expect(row?.of).toBe(ranked.length)
        expect(row?.pointsLost).toEqual(at < 0 ? row?.pointsLost : ranked[at]?.pointsLost)
        const out = leftOut.find((fish) => fish.species === species)
        if (out) expect(out.gates).toContain(row?.gate)
      }),
      { seed: 91, numRuns: cases(25) },
    )
  })

  it('gives the same where the kitchen keeps prices, years of its waters and evidence on stocks, on the day of each dish', () => {
    const findSpecies = createFindSpecies(book.offers)
    const kept = SPECIES.filter((_, i) => i % 3 === 0)
    const stocks: Stock[] = kept.map((species, i) => ({ species, biomassRatio: { value: 0.4 + (i % 9) / 10, year: 2025 } }))
    const year = (i: number) => Array.from({ length: 12 }, (_, month) => 1 + ((month + i) % 7))
    const seasons: Season[] = kept.map((species, i) => ({ species, water: 'A', landings: year(i), condition: year(i + 3) }))
    const prices: Price[] = kept.map((species, i) => ({
      ...{ species, form: 'fillet-skin-on' as const, price: 8 + (i % 20), currency: 'EUR', unit: 'kg' as const, date: TODAY },
    }))
    const offers = [...applyMarket(book.offers, { prices }, { date: TODAY, waters: null, findSpecies })]
    const sheet = { ...book, offers, stocks, seasons }
    fc.assert(
      fc.property(briefArbitrary, fc.constantFrom(...kept), fc.boolean(), (random, species, waters) => {
        const brief: Brief = { ...random, budget: { perPortion: 5, currency: 'EUR' }, waters: waters ? 'A' : null, date: '2026-03-02' }
        const { ranked } = must(rankLineUp(brief, sheet, { today: TODAY, shares: false }))
        const [dish] = must(answerFishFirst({ seen: [{ species }], dishes: [brief] }, sheet, { today: TODAY })).dishes
        const row = dish?.rows[0]
        const at = ranked.findIndex((fish) => fish.species === species)
        expect(row?.fit).toBe(ranked[at]?.fit ?? null)
        expect(row?.place).toBe(at < 0 ? null : at + 1)
        if (at >= 0) expect(row?.pointsLost).toEqual(ranked[at]?.pointsLost)
        if (at >= 0) expect(row?.portionCost).toEqual(ranked[at]?.portionCost)
      }),
      { seed: 94, numRuns: cases(40) },
    )
  })

  it('offers no allergen to the allergic and nothing raw that may not be, whatever is seen and said of it', () => {
    const seenArbitrary = fc.record({ species: fc.constantFrom(...SPECIES) })
    fc.assert(
      fc.property(briefArbitrary, fc.array(seenArbitrary, { minLength: 1, maxLength: 4 }), (brief, seen) => {
        const able = new Set(
          must(rankLineUp({ ...brief, allOffers: true }, book, { today: TODAY, shares: false })).ranked.map(({ offerId }) => offerId),
        )
        for (const { rows } of answer(seen, [brief]).dishes)
          for (const { fit, offerId } of rows) if (fit !== null) expect(able).toContain(offerId)
      }),
      { seed: 92, numRuns: cases(20) },
    )
  })

  it('sets the dish that the fish do best first, and in each dish the best of several fish', () => {
    const { dishes } = answer([{ species: 'Gadus morhua' }, { species: 'Scomber scombrus' }], [grill, fry, raw])
    const best = dishes.map(({ rows }) => rows[0]?.fit ?? -1)
    expect(best).toEqual([...best].sort((a, b) => b - a))
    const winner = (dish: string) => dishes.find(({ name }) => name === dish)?.rows[0]?.species
    expect(winner('Battered')).toBe('Gadus morhua')
    expect(winner('Grilled')).toBe('Scomber scombrus')
  })

  it('answers in the shape of the contract, every way of cooking among the methods, the impossible last with the reason', () => {
    const whole = answer([{ species: 'Oreochromis niloticus' }], [fry])
    expect(parseFishFirst(JSON.parse(JSON.stringify(whole)))).toMatchObject({ ok: true })
    expect(whole.methods.map(({ method }) => method).sort()).toEqual([...METHODS].sort())
    const fits = whole.methods.map(({ fit }) => fit ?? -1)
    expect(fits).toEqual([...fits].sort((a, b) => b - a))
    expect(whole.methods.find(({ method }) => method === 'raw')).toMatchObject({
      fit: null,
      sentence: expect.stringContaining('never served raw'),
    })
  })

  it('knows what a fish is for: an eel is smoked, and a herring is not fried in batter first', () => {
    const methodsOf = (species: string) => answer([{ species }]).methods
    expect(methodsOf('Anguilla anguilla').find(({ method }) => method === 'smoke')?.fit).toBeGreaterThan(95)
    expect(methodsOf('Clupea harengus')[0]?.method).not.toBe('deep-fry')
  })
})

describe('what the ticket and the scales say', () => {
  const bass: SeenFish = { species: 'Dicentrarchus labrax', origin: 'farmed', state: 'fresh', form: 'whole' }
  const euro = (amount: number, unit: 'kg' | 'each' = 'kg') => ({ amount, currency: 'EUR', unit })
  const rowOf = (seen: SeenFish, dish: Brief) => answer([seen], [dish]).dishes[0]?.rows[0]

  it('price a portion: by the kilo, or by the piece once one is weighed', () => {
    const byKilo = rowOf({ ...bass, price: euro(12), eachG: 400 }, grill)?.portionCost
    const byPiece = rowOf({ ...bass, price: euro(4.8, 'each'), eachG: 400 }, grill)?.portionCost
    expect(byKilo?.typical).toBeGreaterThan(0)
    expect(byPiece).toEqual(byKilo)
    expect(byKilo?.low).toBe(byKilo?.high)
  })

  it('are for the form that lies there: a portion of whole fish costs more than of fillets at one price a kilo, by what a fillet keeps', () => {
    const stew: Brief = { dish: 'Stew', method: 'stew', format: 'chunk', covers: 4 }
    const at = (form: 'whole' | 'fillet-skinless') => rowOf({ ...bass, form, price: euro(12) }, stew)
    const kept = book.offers
      .find(({ species, origin }) => species === bass.species && origin === 'farmed')
      ?.forms.find(({ form }) => form === 'fillet-skinless')?.yieldOfWhole.typical
    expect((at('fillet-skinless')?.portionCost?.typical ?? 0) / (at('whole')?.portionCost?.typical ?? 1)).toBeCloseTo(kept ?? 0, 2)
  })

  it('say what a form does not give: no whole fish comes of a fillet, whatever else the fish is sold as', () => {
    const row = rowOf({ ...bass, form: 'fillet-skin-on' }, grill)
    expect(row).toMatchObject({ fit: null, gate: 'form', sentence: 'Bought as fillet, skin on it gives no whole fish.' })
  })

  it('are scored against the budget of the dish, even where the book knows no other price', () => {
    const dish: Brief = { ...grill, budget: { perPortion: 3, currency: 'EUR' } }
    const dear = rowOf({ ...bass, price: euro(60), eachG: 400 }, dish)
    const cheap = rowOf({ ...bass, price: euro(4), eachG: 400 }, dish)
    expect(dear?.pointsLost.map(({ trait }) => trait)).toContain('portionCost')
    expect(cheap?.fit).toBeGreaterThan(dear?.fit ?? 100)
  })

  it('set the size: a fish for one plate fits where one of three kilos does not', () => {
    expect(rowOf({ ...bass, eachG: 350 }, grill)?.fit).toBeGreaterThan(80)
    const large = rowOf({ ...bass, eachG: 3000 }, grill)
    expect(large?.fit === null || (large?.fit ?? 0) < (rowOf({ ...bass, eachG: 350 }, grill)?.fit ?? 0)).toBe(true)
  })

  it('set the depth of flesh: the heavier of two fish gives the thicker cut', () => {
    const thick: Brief = { dish: 'Thick', method: 'roast', format: 'portion', thicknessMm: 30 }
    expect(rowOf({ ...bass, eachG: 300 }, thick)?.gate).toBe('thickness')
    expect(rowOf({ ...bass, eachG: 4000 }, thick)?.fit).toBeGreaterThan(0)
  })

  it('say how much of the dish lies there, in proportion', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 2000 }), fc.integer({ min: 1, max: 40 }), (eachG, pieces) => {
        const row = rowOf({ ...bass, eachG, pieces }, grill)
        expect(((row?.share ?? 0) * (row?.buyG ?? 0)) / (eachG * pieces)).toBeCloseTo(1, 2)
      }),
      { seed: 93, numRuns: cases(20) },
    )
    expect(rowOf(bass, grill)?.share).toBeNull()
  })

  it.each<readonly [string, SeenFish, string]>([
    ['a fish of no book', { species: 'Nemo nemo' }, '/seen/0/species'],
    ['an origin it does not have', { species: 'Lophius piscatorius', origin: 'farmed' }, '/seen/0/origin'],
    ['a part that is not sold', { species: 'Gadus morhua', part: 'head' }, '/seen/0/part'],
    ['a form that is not sold', { species: 'Thunnus albacares', form: 'frame' }, '/seen/0/form'],
    ['a price that hangs on no form', { species: 'Gadus morhua', price: euro(10) }, '/seen/0/form'],
    ['a price by the piece with no weight', { species: 'Gadus morhua', form: 'whole', price: euro(10, 'each') }, '/seen/0/eachG'],
  ])('are refused for %s at their place', (_what, seen, path) => {
    expect(problems(seen)).toEqual([path])
  })

  it('name the place of a dish’s mistake too, beside that of a fish', () => {
    const result = ask({ seen: [{ species: 'Nemo nemo' }], dishes: [fry, { ...fry, pool: ['Nix nix'] }] })
    expect(result.ok ? [] : result.error.map(({ path }) => path)).toEqual(['/seen/0/species', '/dishes/1/pool/0'])
  })
})
