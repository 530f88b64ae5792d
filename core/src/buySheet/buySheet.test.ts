import { createOfferSheet } from '@tender-gill/catalogue'
import type { Brief, Form, Merchant, Price, PurchaseRecord } from '@tender-gill/contract'
import { parseBuySheet } from '@tender-gill/contract/validators'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createFindSpecies } from '../brief/index.ts'
import type { KeptDish } from '../kept/index.ts'
import { applyMarket } from '../market/index.ts'
import { answerAmounts, computeShortChance } from '../purchase/index.ts'
import { TODAY, buildBrief, mustTell } from '../testing/builders.ts'
import { cases } from '../testing/cases.ts'
import { told } from '../testing/told.ts'
import { readGrade, writeBuySheet, writeMessages, type BuyContext } from './index.ts'

const bare = createOfferSheet(TODAY)
const findSpecies = createFindSpecies(bare.offers)
const quote = (species: string, form: Form, price: number, merchant: string, more: Partial<Price> = {}): Price => ({
  ...{ species, form, price, currency: 'EUR', unit: 'kg', merchant, date: TODAY },
  ...more,
})
const QUOTES = [
  quote('Gadus morhua', 'fillet-skin-on', 22, 'Quay'),
  quote('Gadus morhua', 'fillet-skin-on', 20, 'Boats'),
  quote('Merluccius merluccius', 'fillet-skin-on', 18, 'Quay', { minimumKg: 40 }),
  quote('Pollachius virens', 'fillet-skinless', 55, 'Quay', { unit: 'box', eachG: 5000 }),
  quote('Sparus aurata', 'whole', 12, 'Quay', { origin: 'farmed', grade: '300-400 g' }),
  quote('Dicentrarchus labrax', 'whole', 14, 'Boats', { origin: 'farmed' }),
]
const merchant = (name: string, patch: Partial<Merchant> = {}): Merchant => ({
  ...{ name, delivers: [1, 2, 3, 4, 5, 6, 7], orderBy: '21:00', daysAhead: 1, minimumOrder: null, feed: null },
  ...patch,
})
const MERCHANTS = [merchant('Quay', { minimumOrder: { amount: 400, currency: 'EUR' } }), merchant('Boats', { orderBy: '18:30' })]
const laid = (quotes: readonly Price[]) => ({
  ...bare,
  offers: [...applyMarket(bare.offers, { prices: [...quotes] }, { date: TODAY, waters: null, findSpecies })],
})
const sheet = laid(QUOTES)
const taken = (species: string, form: Form, origin = 'wild') => ({
  ...{ species, form },
  offerId: `${species.toLowerCase().replace(' ', '-')}.${origin}.fresh.body`,
})
const COD = taken('Gadus morhua', 'fillet-skin-on')
const BREAM = taken('Sparus aurata', 'whole', 'farmed')
const dish = (id: string, brief: Partial<Brief>, choice: KeptDish['choice'] = COD): KeptDish => ({
  ...{ id, revision: 1, choice },
  brief: buildBrief({ dish: id, method: 'poach', format: 'portion', date: '2026-06-15', covers: 10, ...brief }),
})
const write = (dishes: readonly KeptDish[], patch: Partial<BuyContext> = {}, days = { from: '2026-06-14', to: '2026-06-20' }) =>
  writeBuySheet(days, {
    ...{ today: TODAY, dishes, sheetOf: () => sheet, quotes: QUOTES, merchants: MERCHANTS, purchases: [] },
    now: { date: TODAY, time: '10:00' },
    ...patch,
  })
const purchaseOf = (id: string, line: string, patch: Partial<PurchaseRecord['purchase']> = {}): PurchaseRecord => ({
  ...{ id, revision: 1, updatedAt: '2026-06-13T10:00:00Z', deletedAt: null },
  purchase: {
    ...{ line, state: 'ordered', merchant: 'Boats', date: '2026-06-15', paidOn: null, ...COD, orderedG: 2000 },
    ...{ g: null, perKg: null, currency: null, servings: ['a'] },
    ...patch,
  },
})
const linesOf = (dishes: readonly KeptDish[], patch?: Partial<BuyContext>) => write(dishes, patch).orders.flatMap(({ lines }) => lines)

describe('a buy sheet', () => {
  it('says from whom, for which delivery and until when, the soonest first, by its schema', () => {
    const written = write([dish('a', {}), dish('b', { date: '2026-06-17' }), dish('c', { format: 'whole', method: 'grill' }, BREAM)])
    expect(parseBuySheet(JSON.parse(JSON.stringify(told(written))))).toMatchObject({ ok: true })
    expect(written.orders.map(({ merchant: name, delivery, orderBy, state }) => [name, delivery, orderBy?.time, state])).toEqual([
      ['Boats', '2026-06-15', '18:30', 'open'],
      ['Quay', '2026-06-15', '21:00', 'open'],
      ['Boats', '2026-06-17', '18:30', 'open'],
    ])
    expect(written.covers).toBe(30)
    const [spend] = written.spend
    expect(spend?.amount).toBeCloseTo(
      written.orders.flatMap(({ lines }) => lines).reduce((sum, { goods }) => sum + (goods ?? 0), 0),
      9,
    )
  })

  it('buys for one serving just what amounts says', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 80 }),
        fc.constantFrom(COD, BREAM, taken('Dicentrarchus labrax', 'whole', 'farmed')),
        fc.constantFrom<Brief['format']>('portion', 'fillet-skin-on', 'whole'),
        (covers, fish, format) => {
          const one = dish('one', { covers, format, method: format === 'whole' ? 'roast-whole' : 'roast' }, fish)
          const grade = fish === BREAM ? { grade: { fromG: 300, toG: 400 } } : {}
          const alone = answerAmounts({ ...one.brief, fish: fish.species, offer: fish.offerId, form: fish.form, ...grade }, sheet, {
            today: TODAY,
          })
          const [line] = linesOf([one])
          if (!alone.ok) expect(line).toBeUndefined()
          else expect(line?.buy).toMatchObject({ g: alone.value.buy.g, count: alone.value.buy.count })
        },
      ),
      { seed: 131, numRuns: cases(40) },
    )
  })

  it('is the sum of what its servings need, rounded up once, and never short beyond the risk of any of them', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 2, maxLength: 6 }),
        fc.constantFrom(COD, taken('Pollachius virens', 'fillet-skinless'), taken('Dicentrarchus labrax', 'whole', 'farmed')),
        (covers, fish) => {
          const dishes = covers.map((count, i) => dish(`d${i}`, { covers: count }, fish))
          const [line, ...others] = linesOf(dishes)
          const singles = dishes.flatMap((one) => linesOf([one]))
          expect(others).toEqual([])
          const needG = singles.reduce((sum, one) => sum + one.needG, 0)
          expect(line?.needG).toBeCloseTo(needG, 6)
          expect(line?.buy.roundedUpG).toBeGreaterThanOrEqual(-1e-6)
          expect((line?.buy.g ?? 0) - needG).toBeCloseTo(line?.buy.roundedUpG ?? NaN, 6)
          // Together never more than apart, and every step of rounding at most once.
          expect(line?.buy.g).toBeLessThanOrEqual(singles.reduce((sum, one) => sum + one.buy.g, 0) + 1e-6)
          for (const { buy } of singles) expect(line?.buy.g).toBeGreaterThanOrEqual(buy.g - 1e-6)
        },
      ),
      { seed: 132, numRuns: cases(40) },
    )
  })

  it('takes the cheapest who can still bring it in time, and says when nobody can', () => {
    const names = (patch: Partial<BuyContext>, date = '2026-06-15') =>
      write([dish('a', { date })], patch).orders.map(({ merchant: name, state }) => [name, state])
    expect(names({})).toEqual([['Boats', 'open']])
    expect(names({ merchants: [MERCHANTS[0] as Merchant, merchant('Boats', { delivers: [3] })] })).toEqual([['Quay', 'open']])
    expect(names({ merchants: MERCHANTS.map((one) => ({ ...one, delivers: [3] })) })).toEqual([['Boats', 'late']])
    expect(names({ merchants: [] })).toEqual([['Boats', 'no-days']])
    expect(names({ quotes: [], sheetOf: () => bare })).toEqual([[null, 'nobody']])
  })

  it('buys boxes by the box, fish by the size of the quote, and says what the merchant sends at least', () => {
    const [box] = linesOf([dish('box', { covers: 30 }, taken('Pollachius virens', 'fillet-skinless'))])
    expect(box?.buy.packG).toBe(5000)
    expect(box?.buy.g).toBe((box?.buy.packs ?? 0) * 5000)
    const [bream] = linesOf([dish('bream', { format: 'whole', method: 'grill', covers: 7 }, BREAM)])
    expect(bream).toMatchObject({ grade: { fromG: 300, toG: 400 }, buy: { count: 7, g: 7 * 350 } })
    const written = write([dish('hake', {}, taken('Merluccius merluccius', 'fillet-skin-on'))])
    expect(written.orders[0]?.lines[0]?.leastKg).toBe(40)
    expect(written.orders[0]?.minimum?.missing).toBeCloseTo(400 - (written.orders[0]?.goods[0]?.amount ?? 0), 9)
  })

  it('counts fish that are cut up so that each serving alone is safe, and the sum no dearer', () => {
    const bass = taken('Dicentrarchus labrax', 'whole', 'farmed')
    const [line] = linesOf([dish('one', { covers: 8 }, bass)])
    const { needG, kept, grade } = mustTell(
      answerAmounts({ ...dish('one', { covers: 8 }).brief, fish: bass.species, offer: bass.offerId, form: 'whole' }, sheet, {
        today: TODAY,
      }),
    )
    const variance = grade ? (grade.toG - grade.fromG) ** 2 / 12 / ((grade.fromG + grade.toG) / 2) ** 2 : 0
    expect(computeShortChance(needG, line?.buy.g ?? 0, kept, variance / (line?.buy.count ?? 1))).toBeLessThanOrEqual(0.05)
  })

  it('sells it in the form somebody has, where nobody has it as it was taken', () => {
    const [line] = linesOf([dish('a', {}, { ...COD, form: 'whole' })])
    expect(line?.form).toBe('fillet-skin-on')
    expect(line?.cautions.map(({ sentence }) => sentence.code)).toContain('buy.other-form')
    expect(linesOf([dish('a', {})])[0]?.cautions.map(({ sentence }) => sentence.code)).not.toContain('buy.other-form')
  })

  it('shares the portions among the fish of a pot', () => {
    const alone = linesOf([dish('pot', { method: 'stew', format: 'chunk' })])
    const both = linesOf([
      dish('pot', { method: 'stew', format: 'chunk' }, { ...COD, beside: [taken('Merluccius merluccius', 'fillet-skin-on')] }),
    ])
    expect(both).toHaveLength(2)
    expect(both.find(({ species }) => species === COD.species)?.needG).toBeCloseTo((alone[0]?.needG ?? NaN) / 2, 6)
  })

  it('leaves out other days and what waits for one, unless that is asked for, and says what cannot be had', () => {
    const dishes = [dish('now', {}), dish('later', { date: '2026-07-01' }), { ...dish('waits', {}), brief: buildBrief({ dish: 'waits' }) }]
    const ids = (undated: boolean) =>
      write(dishes, {}, { from: '2026-06-14', to: '2026-06-20', ...{ undated } })
        .orders.flatMap(({ lines }) => lines.flatMap(({ servings }) => servings.map(({ servingId }) => servingId)))
        .sort()
    expect(ids(false)).toEqual(['now'])
    expect(ids(true)).toEqual(['now', 'waits'])
    expect(write(dishes).undated).toEqual([{ servingId: 'waits', dish: 'waits' }])
    const gone = write([dish('gone', {}, { ...COD, offerId: 'gadus-morhua.tame.fresh.body' })])
    expect(gone.nothing).toMatchObject([{ servingId: 'gone', because: { code: 'buy.nothing.gone' } }])
  })

  it('asks to have done what the dish needs, for all of it or for one dish', () => {
    const asksOf = (...dishes: KeptDish[]) => linesOf(dishes)[0]?.asks.map(({ code }) => code)
    expect(asksOf(dish('a', { format: 'whole', method: 'grill' }, BREAM))).toEqual(['buy.ask.scale', 'buy.ask.gut', 'buy.ask.fins'])
    expect(asksOf(dish('a', { method: 'stew', format: 'chunk' }))).toContain('buy.ask.pin-bone')
    expect(asksOf(dish('a', { portionG: 150 }), dish('b', { portionG: 200 }))?.filter((code) => code === 'buy.ask.for-dish')).toHaveLength(
      2,
    )
  })

  it('accepts instead only what can be bought, each with its own weight, for each serving', () => {
    const [line] = linesOf([dish('a', {}), dish('b', { covers: 20 })])
    expect(line?.standIns.length).toBeGreaterThan(1)
    const sold = new Set(QUOTES.map(({ species }) => species))
    for (const { species, g } of line?.standIns ?? []) {
      expect(sold).toContain(species)
      expect(g).toBeGreaterThan(0)
    }
  })

  it('holds no more than the dish allows or a day asks as the limit of a price', () => {
    const [free] = linesOf([dish('a', {})])
    expect(free?.limit).toMatchObject({ because: 'estimate', perKg: free?.perKg?.high })
    const cost = mustTell(answerAmounts({ ...dish('a', {}).brief, fish: COD.species }, sheet, { today: TODAY })).cost?.perPortion ?? 0
    const [bound] = linesOf([dish('a', { budget: { perPortion: cost * 1.01, currency: 'EUR' } })])
    expect(bound?.limit?.because).toBe('dish')
    expect(bound?.limit?.perKg).toBeLessThan(free?.limit?.perKg ?? 0)
  })

  it('tells the fish as a share of what the dishes with a menu price bring in', () => {
    const menuPrice = { perPortion: 16, currency: 'EUR' }
    const dishes = [dish('a', { menuPrice }), dish('b', { covers: 20, menuPrice }), dish('c', { covers: 40 })]
    const { foodCost, orders } = write(dishes)
    const [line] = orders.flatMap(({ lines }) => lines)
    const own = (line?.servings ?? []).filter(({ servingId }) => servingId !== 'c').reduce((sum, { needG }) => sum + needG, 0)
    expect(foodCost).toMatchObject({ takings: 30 * 16, servings: 2, currency: 'EUR', target: null })
    expect(foodCost?.goods).toBeCloseTo(((line?.goods ?? NaN) * own) / (line?.needG ?? NaN), 9)
    expect(write([dish('c', {})]).foodCost).toBeNull()
    const aiming = { ...sheet, leanings: { foodCostShare: 0.3 } }
    expect(write(dishes, { sheetOf: () => aiming }).foodCost?.target).toBe(0.3)
  })

  it('finds what was ordered beside its line, and apart where no line asks for it any more', () => {
    const key = linesOf([dish('a', {})])[0]?.key ?? ''
    const gone = purchaseOf('p2', 'another', { servings: ['z'] })
    const written = write([dish('a', {})], { purchases: [purchaseOf('p1', key), gone] })
    expect(written.orders[0]?.lines[0]?.purchase?.id).toBe('p1')
    expect(written.elsewhere.map(({ id }) => id)).toEqual(['p2'])
  })

  it('keeps what was ordered with its merchant and delivery when the hour to order is past and another is cheaper', () => {
    const early = MERCHANTS.map((one) => ({ ...one, delivers: [7] }))
    const dishes = [dish('a', { date: '2026-06-16' })]
    const before = write(dishes, { merchants: early })
    const [order] = before.orders
    const key = order?.lines[0]?.key ?? ''
    expect([order?.merchant, order?.delivery]).toEqual(['Boats', '2026-06-14'])
    const ordered = purchaseOf('p1', key, { date: '2026-06-14', orderedG: order?.lines[0]?.buy.g ?? 0 })
    const later = { merchants: early, now: { date: '2026-06-14', time: '07:00' }, today: '2026-06-14' }
    const dearer = QUOTES.map((quoted) => (quoted.merchant === 'Boats' ? { ...quoted, price: 40 } : quoted))
    const after = write(dishes, { ...later, quotes: dearer, purchases: [ordered] })
    expect(after.orders.map(({ merchant: name, delivery, state }) => [name, delivery, state])).toEqual([['Boats', '2026-06-14', 'open']])
    expect(after.orders[0]?.lines[0]?.purchase?.id).toBe('p1')
    expect(after.elsewhere).toEqual([])
    // Nothing ordered: then it is too late.
    expect(write(dishes, later).orders[0]?.state).toBe('late')
  })

  it('is told to a merchant in words, with every amount', () => {
    const { orders } = write([dish('a', {}), dish('b', { format: 'whole', method: 'grill', covers: 6 }, BREAM)])
    const text = told(writeMessages(orders, 'Lantern House')) as unknown as string
    expect(text).toMatch(/To Boats, for .*15 June.*:\n- 2\.\d+ kg .*cod \(Gadus morhua\)/)
    expect(text).toContain('6 fish of 300 g to 400 g, 2.10 kg in all')
    expect(text).toContain('or else ')
    expect(text.split('Lantern House')).toHaveLength(3)
  })
})

describe('a size as merchants write it', () => {
  it.each([
    ['400-600 g', { fromG: 400, toG: 600 }],
    ['1/2 kg', { fromG: 1000, toG: 2000 }],
    ['800 g - 1,2 kg', { fromG: 800, toG: 1200 }],
    ['large', null],
    ['600-400 g', null],
    [undefined, null],
  ])('%s', (text, grade) => {
    expect(readGrade(text)).toEqual(grade)
  })
})
