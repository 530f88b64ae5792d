import { createOfferSheet } from '@tender-gill/catalogue'
import type { Brief } from '@tender-gill/contract'
import { parseCoverCard } from '@tender-gill/contract/validators'
import { describe, expect, it } from 'vitest'
import type { KeptDish } from '../kept/index.ts'
import { applyMarket } from '../market/index.ts'
import { createFindSpecies } from '../brief/index.ts'
import { TODAY, buildBrief } from '../testing/builders.ts'
import { writeCoverCard } from './index.ts'
import { told } from '../testing/told.ts'

const bare = createOfferSheet(TODAY)
const quote = (species: string, form: 'fillet-skin-on' | 'fillet-skinless', merchant: string) =>
  ({ species, form, price: 20, currency: 'EUR', unit: 'kg', merchant }) as const
const prices = [
  quote('Gadus morhua', 'fillet-skin-on', 'Quay'),
  quote('Lophius piscatorius', 'fillet-skinless', 'Quay'),
  ...['Conger conger', 'Molva molva', 'Merluccius merluccius', 'Argyrosomus regius', 'Melanogrammus aeglefinus', 'Brosme brosme'].map(
    (species) => quote(species, 'fillet-skin-on', 'Boats'),
  ),
]
const sheet = {
  ...bare,
  offers: [...applyMarket(bare.offers, { prices }, { date: TODAY, waters: null, findSpecies: createFindSpecies(bare.offers) })],
}
const dish = (id: string, brief: Partial<Brief>, choice: KeptDish['choice'] = null): KeptDish => ({
  id,
  revision: 1,
  brief: buildBrief({ dish: id, ...brief }),
  choice,
})
const cod = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skin-on' } as const
const monkfish = { species: 'Lophius piscatorius', offerId: 'lophius-piscatorius.wild.fresh.body', form: 'fillet-skinless' } as const
const bass = { species: 'Dicentrarchus labrax', offerId: 'dicentrarchus-labrax.farmed.fresh.body', form: 'fillet-skin-on' } as const
const DISHES = [
  dish('stew', { method: 'stew', format: 'chunk', covers: 10, date: '2026-06-12' }, monkfish),
  dish('supper', { method: 'deep-fry', covers: 30 }, cod),
  dish('pan', { covers: 20, date: '2026-06-09' }, bass),
  dish('special', { method: 'steam', covers: 40, date: '2026-06-11' }),
  dish('later', { covers: 99, date: '2026-06-15' }, cod),
]
const card = (dishes = DISHES) => writeCoverCard({ from: '2026-06-08', to: '2026-06-14' }, { today: TODAY, dishes, sheetOf: () => sheet })

describe('the cover card', () => {
  it('holds the dishes of its days, those without a day yet first, each with its fish and a ladder without it', () => {
    const { rows, covers } = card()
    expect(rows.map(({ servingId }) => servingId)).toEqual(['supper', 'pan', 'special', 'stew'])
    expect(covers).toBe(100)
    for (const { fish, ladder, atLeastOne, servingId } of rows) {
      expect(fish?.taken).toBe(servingId !== 'special')
      expect(ladder.length).toBeGreaterThan(0)
      expect(atLeastOne).toBeGreaterThan(0.8)
      for (const { species, changes } of ladder) {
        expect(species).not.toBe(fish?.species)
        expect(prices.map((one) => one.species as string)).toContain(species)
        expect(changes.at(-1)?.kind).toBe('menu-name')
      }
    }
    expect(parseCoverCard(JSON.parse(JSON.stringify(told(card()))))).toMatchObject({ ok: true })
  })

  it('has a row for each fish of a pot, bought for its share, and counts the covers of the dish once', () => {
    const pot = dish('pot', { method: 'stew', format: 'chunk', covers: 12 }, { ...monkfish, beside: [cod] })
    const alone = (choice: KeptDish['choice']) => card([{ ...pot, choice }]).rows[0]
    const { rows, covers, hangs } = card([pot])
    expect(covers).toBe(12)
    expect(rows.map(({ kinds, fish }) => [kinds, fish?.common])).toEqual([
      [2, alone(monkfish)?.fish?.common],
      [2, alone(cod)?.fish?.common],
    ])
    for (const [i, choice] of [monkfish, cod].entries())
      expect(Math.abs((rows[i]?.fish?.buyG ?? 0) * 2 - (alone(choice)?.fish?.buyG ?? 0))).toBeLessThanOrEqual(1)
    expect(told(hangs).find(({ kind }) => kind === 'merchant')).toMatchObject({ covers: 12, share: 1, dishes: ['pot'] })
  })

  it('marks a stand-in of another allergen, however much of the ladder is printed', () => {
    const open = dish('open', { method: 'grill', format: 'chunk', kinds: ['fish', 'cephalopod', 'bivalve'] }, monkfish)
    const allergens = new Map(bare.offers.map(({ label, species, allergen }) => [`${species}|${label}`, allergen]))
    for (const { species, offer, otherAllergen } of card([open]).rows.flatMap(({ ladder }) => ladder))
      expect(otherAllergen).toBe(allergens.get(`${species}|${offer}`) !== 'fish')
  })

  it('adds up the covers that hang on one merchant, one fish, the weather and the farms', () => {
    const { hangs } = told(card(DISHES.filter(({ id }) => id !== 'special')))
    const hang = (kind: string, subject: string) => hangs.find((one) => one.kind === kind && one.subject === subject)
    expect(hang('merchant', 'Quay')).toMatchObject({ covers: 40, dishes: ['supper', 'stew'] })
    expect(hang('weather', 'the sea')).toMatchObject({ covers: 40 })
    expect(hang('farm', 'farms')).toMatchObject({ covers: 20, dishes: ['pan'] })
    expect(hang('merchant', 'Quay')?.share).toBeCloseTo(40 / 60, 9)
    expect(hangs.filter(({ kind }) => kind === 'species').reduce((sum, { covers }) => sum + covers, 0)).toBe(60)
  })

  it('keeps a dish that no fish can do, and says so by its empty place', () => {
    const none = dish('nobody', { pool: ['Ruvettus pretiosus'] })
    expect(card([none]).rows).toMatchObject([{ servingId: 'nobody', fish: null, ladder: [], atLeastOne: 0 }])
    expect(card([none]).hangs).toEqual([])
  })

  it('tells of a fish that is taken and yet missing', () => {
    const absent = {
      ...sheet,
      offers: sheet.offers.map((offer) =>
        offer.species === cod.species ? { ...offer, absent: { until: '2026-06-14', because: null } } : offer,
      ),
    }
    const [row] = writeCoverCard(
      { from: '2026-06-08', to: '2026-06-14' },
      { today: TODAY, dishes: [DISHES[1] as KeptDish], sheetOf: () => absent },
    ).rows
    expect(row?.fish).toMatchObject({ species: cod.species, absentUntil: '2026-06-14' })
  })

  it('is empty for a week without dishes', () => {
    expect(card([])).toEqual({ from: '2026-06-08', to: '2026-06-14', covers: 0, rows: [], hangs: [] })
  })
})
