import { createOfferSheet } from '@tender-gill/catalogue'
import type { AbsencePlanRequest, Brief, OfferSheet } from '@tender-gill/contract'
import { parseAbsencePlan } from '@tender-gill/contract/validators'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { rankLineUp } from '../lineUp/index.ts'
import { findStandIns } from '../standIns/index.ts'
import { cases } from '../testing/cases.ts'
import { TODAY, buildBrief, mustTell as must } from '../testing/builders.ts'
import { assignRungs, markAbsent, planAbsence, type RungOption } from './index.ts'
import type { KeptDish } from '../kept/index.ts'

const optionArbitrary = fc.record({
  species: fc.constantFrom('meagre', 'conger', 'ling'),
  worth: fc.integer({ min: 0, max: 100 }),
  needG: fc.integer({ min: 1, max: 10 }),
})
const dishesArbitrary = fc.array(fc.array(optionArbitrary, { maxLength: 3 }), { maxLength: 6 })
const supplyArbitrary = fc
  .dictionary(fc.constantFrom('meagre', 'conger'), fc.integer({ min: 0, max: 25 }))
  .map((kg) => new Map(Object.entries(kg)))

/** The best worth by trying every way to serve every dish. */
function bruteForce(dishes: readonly (readonly RungOption[])[], supply: ReadonlyMap<string, number>): number {
  const [first, ...rest] = dishes
  if (!first) return 0
  const without = bruteForce(rest, supply)
  return first.reduce((best, { species, worth, needG }) => {
    const there = supply.get(species)
    if (there !== undefined && there < needG) return best
    const left = there === undefined ? supply : new Map(supply).set(species, there - needG)
    return Math.max(best, worth + bruteForce(rest, left))
  }, without)
}

describe('assigning rungs to dishes', () => {
  it('is worth as much as trying every way, and overdraws no supply', () => {
    fc.assert(
      fc.property(dishesArbitrary, supplyArbitrary, (dishes, supply) => {
        const { taken, worth } = assignRungs(dishes, supply)
        expect(worth).toBe(bruteForce(dishes, supply))
        const options = dishes.flatMap((own, i) => own[taken[i] ?? -1] ?? [])
        expect(options.reduce((sum, option) => sum + option.worth, 0)).toBe(worth)
        for (const [species, there] of supply)
          expect(options.filter((option) => option.species === species).reduce((sum, { needG }) => sum + needG, 0)).toBeLessThanOrEqual(
            there,
          )
      }),
      { seed: 71, numRuns: cases(400) },
    )
  })

  it('leaves a small supply to the dish worth most where nobody would lose by going without, in whatever order they come', () => {
    const cod = { species: 'cod', needG: 10 }
    const hake = { species: 'hake', needG: 10 }
    const dishes = [4, 40].map((covers) => [cod, hake].map((option) => ({ ...option, worth: covers * 90 })))
    const supply = new Map([['cod', 10]])
    expect(assignRungs(dishes, supply).taken).toEqual([1, 0])
    expect(assignRungs([...dishes].reverse(), supply).taken).toEqual([0, 1])
  })

  it('gives every dish its best where all is plentiful', () => {
    fc.assert(
      fc.property(dishesArbitrary, (dishes) => {
        const { worth } = assignRungs(dishes, new Map())
        expect(worth).toBe(dishes.reduce((sum, own) => sum + Math.max(0, ...own.map((option) => option.worth)), 0))
      }),
      { seed: 72 },
    )
  })

  it('is never worth less for more of a fish', () => {
    fc.assert(
      fc.property(dishesArbitrary, supplyArbitrary, fc.integer({ min: 1, max: 10 }), (dishes, supply, more) => {
        const richer = new Map([...supply].map(([species, there]) => [species, there + more]))
        expect(assignRungs(dishes, richer).worth).toBeGreaterThanOrEqual(assignRungs(dishes, supply).worth)
      }),
      { seed: 73 },
    )
  })

  it('decides forty dishes on one small supply', () => {
    const dishes = Array.from({ length: 40 }, (_, i): readonly RungOption[] => [
      { species: 'meagre', worth: 90 + (i % 7), needG: 900 + 37 * (i % 11) },
      { species: 'ling', worth: 80 + (i % 5), needG: 1000 },
    ])
    const { taken } = assignRungs(dishes, new Map([['meagre', 12_000]]))
    expect(taken.every((place) => place !== null)).toBe(true)
    expect(taken.filter((place) => place === 0).length).toBeGreaterThan(9)
  })
})

const book = createOfferSheet(TODAY)
const monkfish = { species: 'Lophius piscatorius', offerId: 'lophius-piscatorius.wild.fresh.body', form: 'fillet-skinless' } as const
const dish = (id: string, brief: Partial<Brief>, choice: KeptDish['choice'] = monkfish): KeptDish => ({
  id,
  revision: 1,
  brief: buildBrief({ dish: id, draws: 200, ...brief }),
  choice,
})
const DISHES = [
  dish('skewers', { method: 'grill', format: 'chunk', covers: 24 }),
  dish('curry', { method: 'curry', format: 'chunk', covers: 30 }),
  dish('braise', { method: 'braise', format: 'chunk', covers: 10, date: '2026-06-14' }),
  dish(
    'supper',
    { method: 'deep-fry', format: 'portion' },
    { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skin-on' },
  ),
  dish('feast', { method: 'grill', format: 'chunk', date: '2026-06-30' }),
]
const request: AbsencePlanRequest = {
  species: monkfish.species,
  offerId: null,
  because: 'not-landed',
  from: '2026-06-13',
  to: '2026-06-16',
}
const plan = (patch: Partial<AbsencePlanRequest> = {}, dishes: readonly KeptDish[] = DISHES) =>
  must(planAbsence({ ...request, ...patch }, { today: TODAY, dishes, sheetOf: () => book }))

describe('a fish missing for the whole kitchen', () => {
  it('concerns the dishes that take it in those days, and no other', () => {
    const { dishes, standing } = plan()
    expect(dishes.map(({ servingId }) => servingId)).toEqual(['skewers', 'curry', 'braise'])
    for (const { ladder, move, sentence } of dishes) {
      expect(move).toBe(0)
      expect(sentence).toBeNull()
      for (const { species } of ladder) expect(species).not.toBe(monkfish.species)
    }
    expect(standing).toBeGreaterThan(70)
    expect(parseAbsencePlan(JSON.parse(JSON.stringify(plan())))).toMatchObject({ ok: true })
  })

  it('gives each dish the ladder it has by itself', () => {
    for (const { servingId, ladder } of plan().dishes) {
      const brief = DISHES.find(({ id }) => id === servingId)?.brief ?? buildBrief()
      const alone = must(
        findStandIns({ ...brief, missing: monkfish.species, missingOffer: monkfish.offerId, because: 'not-landed' }, book, {
          today: TODAY,
        }),
      )
      expect(ladder).toEqual(alone.ladder)
    }
  })

  it('is of what can be bought, where there are lists, and of what the cook has word of', () => {
    const sold = ['Merluccius merluccius', 'Molva molva', 'Conger conger']
    const price = { form: 'fillet-skinless' as const, perKg: { low: 9, typical: 9, high: 9 }, currency: 'EUR', quotes: 1 }
    const sheet: OfferSheet = {
      ...book,
      offers: book.offers.map((offer) =>
        sold.includes(offer.species)
          ? { ...offer, prices: [{ ...price, latestDate: null, quoteId: null, merchant: null, glaze: 0 }] }
          : offer,
      ),
    }
    const rungsOf = (patch: Partial<AbsencePlanRequest>) => {
      const planned = must(planAbsence({ ...request, ...patch }, { today: TODAY, dishes: DISHES, sheetOf: () => sheet }))
      return [...new Set(planned.dishes.flatMap(({ ladder }) => ladder.map(({ species }) => species)))]
    }
    const all = rungsOf({ onlyOffered: false })
    const told = all.find((species) => !sold.includes(species)) ?? ''
    expect(told).not.toBe('')
    expect(rungsOf({}).length).toBeGreaterThan(0)
    for (const species of rungsOf({})) expect(sold).toContain(species)
    expect(rungsOf({ supplies: [{ species: told, kg: 40 }] })).toContain(told)
  })

  it('settles two dishes on one small supply together, and says who goes without and why', () => {
    const twins = [
      dish('big', { method: 'grill', format: 'chunk', covers: 30 }),
      dish('small', { method: 'grill', format: 'chunk', covers: 6 }),
    ]
    const wanted = plan({}, twins).supplies[0]
    expect(wanted).toMatchObject({ wantedBy: ['big', 'small'], dishes: ['big', 'small'] })
    const enoughForBig = plan({}, twins).dishes[0]?.ladder[0]?.buyG ?? 0
    const settled = plan({ supplies: [{ species: wanted?.species ?? '', kg: enoughForBig / 1000 + 0.1 }] }, twins)
    expect(settled.dishes.map(({ move }) => move)).toEqual([0, 1])
    expect(settled.dishes[1]?.sentence).toMatch(/There are only .* kg of .*: big would lose more without it/)
    expect(settled.supplies[0]?.neededKg).toBeLessThanOrEqual(settled.supplies[0]?.kg ?? 0)
  })

  it('keeps the cook’s word: a dish held to a rung takes it, one held back takes none', () => {
    const third = plan().dishes[0]?.ladder[2]?.species ?? ''
    const { dishes } = plan({
      holds: [
        { servingId: 'skewers', species: third },
        { servingId: 'curry', species: null },
      ],
    })
    expect(dishes.map(({ move }) => move)).toEqual([2, null, 0])
    expect(dishes[0]?.sentence).toBe('As you hold it.')
    expect(dishes[1]?.sentence).toMatch(/^You hold it back/)
  })

  it('leaves other offers of the fish in place when only one of them is missing', () => {
    const sheet = markAbsent(book, { species: monkfish.species, offerId: monkfish.offerId, because: 'looked-bad', to: '2026-06-16' })
    expect(sheet.offers.filter(({ absent }) => absent).map(({ id }) => id)).toEqual([monkfish.offerId])
    const rung = plan({ offerId: monkfish.offerId, because: 'looked-bad' }).dishes[0]?.ladder[0]
    expect(rung).toMatchObject({ species: monkfish.species })
    expect(rung?.offerId).not.toBe(monkfish.offerId)
  })

  it('names dishes in which it only leads', () => {
    const only = dish('tasting', { method: 'grill', format: 'chunk', pool: ['Lophius piscatorius', 'Gadus morhua'] }, null)
    expect(plan({}, [only])).toMatchObject({ dishes: [], leads: [{ servingId: 'tasting' }] })
  })

  it('names the place of what is wrong', () => {
    const errors = (patch: Partial<AbsencePlanRequest>) => {
      const answer = planAbsence({ ...request, ...patch }, { today: TODAY, dishes: [], sheetOf: () => book })
      return answer.ok ? [] : answer.error.map(({ path }) => path)
    }
    expect(errors({ species: 'Nemo nemo' })).toEqual(['/species'])
    expect(errors({ offerId: 'gadus-morhua.wild.fresh.body' })).toEqual(['/offerId'])
    expect(errors({ to: '2026-06-01', supplies: [{ species: 'Nemo nemo', kg: 3 }] })).toEqual(['/to', '/supplies/0/species'])
  })
})

describe('a sheet on which a fish is missing', () => {
  const missing: OfferSheet = markAbsent(book, { ...request, to: '2026-06-16' })
  it('keeps it out of every line-up with the reason, and offers no way in', () => {
    const { ranked, leftOut } = must(rankLineUp(buildBrief({ method: 'stew', format: 'chunk' }), missing, { today: TODAY, shares: false }))
    expect(ranked.map(({ species }) => species)).not.toContain(monkfish.species)
    const row = leftOut.find(({ species }) => species === monkfish.species)
    expect(row).toMatchObject({ gate: 'unavailable', sentence: 'The kitchen does without it until 16 June.' })
    expect(row?.opens).toBeUndefined()
  })
})
