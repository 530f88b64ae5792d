import { createOfferSheet } from '@tender-gill/catalogue'
import { FORMATS, type AmountsRequest, type Brief, type Form } from '@tender-gill/contract'
import { parseAmounts } from '@tender-gill/contract/validators'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createFindSpecies, normaliseBrief } from '../brief/index.ts'
import { computeYields } from '../amounts/index.ts'
import { drawByte, hashText, normalOfByte } from '../draws/index.ts'
import { applyMarket } from '../market/index.ts'
import { METHODS_IN_ORDER, gridCell } from '../tables/cuts.ts'
import { TODAY, buildBrief, buildOffer, mustTell } from '../testing/builders.ts'
import { cases } from '../testing/cases.ts'
import { findForms } from '../traits/index.ts'
import {
  answerAmounts,
  computeShortChance,
  computeWeightForRiskG,
  countFed,
  countFishToCut,
  listFactors,
  piecesOf,
  splitRest,
} from './index.ts'
import { chooseGrade } from './grades.ts'

const book = createOfferSheet(TODAY)
const ask = (patch: Partial<AmountsRequest>) =>
  answerAmounts({ ...buildBrief({ method: 'poach', format: 'chunk', covers: 10 }), fish: 'Gadus morhua', ...patch }, book, { today: TODAY })
const amount = (patch: Partial<AmountsRequest>) => mustTell(ask(patch))

const kept = fc.record({ mean: fc.double({ min: -2, max: 0, noNaN: true }), sd: fc.double({ min: 0.001, max: 0.3, noNaN: true }) })
const needG = fc.double({ min: 50, max: 50_000, noNaN: true })
const chance = fc.constantFrom(0.001, 0.01, 0.05, 0.1, 0.25, 0.5)
const grade = fc.record({ fromG: fc.integer({ min: 100, max: 4000 }), more: fc.integer({ min: 0, max: 3000 }) }).map(({ fromG, more }) => ({
  fromG,
  toG: fromG + more,
}))

describe('a weight for a risk', () => {
  it('falls short with just that chance, feeds what it was bought for, and less risk never weighs less', () => {
    fc.assert(
      fc.property(kept, needG, chance, fc.double({ min: 50, max: 400, noNaN: true }), (share, need, p, portionG) => {
        const g = computeWeightForRiskG(need, share, p)
        expect(computeShortChance(need, g, share)).toBeCloseTo(p, 6)
        expect(countFed(g, portionG, share, p)).toBeGreaterThanOrEqual(Math.floor(need / portionG))
        expect(countFed(g * 1.3, portionG, share, p)).toBeGreaterThanOrEqual(countFed(g, portionG, share, p))
        expect(computeWeightForRiskG(need, share, p / 2)).toBeGreaterThan(g)
        expect(computeWeightForRiskG(need * 2, share, p)).toBeCloseTo(2 * g, 4)
      }),
      { seed: 91, numRuns: cases(200) },
    )
  })

  it.each([0.01, 0.05, 0.25])('falls short of %d in that share of 100,000 draws of the yields, to a point of a hundred', (shortChance) => {
    const { factors, needG: need, weightG } = amount({ shortChance, covers: 20, format: 'fillet-skinless', form: 'whole', packG: 1 })
    const DRAWS = 100_000
    let short = 0
    for (let draw = 0; draw < DRAWS; draw += 1) {
      const share = factors.reduce((product, { name, low, typical, high }) => {
        const z = normalOfByte(drawByte(7, draw, hashText(`yield|${name}`)))
        return product * typical * Math.exp((z * (Math.log(high) - Math.log(low))) / 3.29)
      }, 1)
      if (weightG * share < need) short += 1
    }
    expect(Math.abs(short / DRAWS - shortChance)).toBeLessThan(0.01)
  })

  it('knows no chance where nothing varies: enough is enough', () => {
    const sure = { mean: Math.log(0.5), sd: 0 }
    expect([computeShortChance(100, 200, sure), computeShortChance(100, 199, sure)]).toEqual([0, 1])
    expect(computeWeightForRiskG(100, sure, 0.01)).toBeCloseTo(200, 9)
  })
})

describe('whole fish by the count', () => {
  it('to be cut are as few as hold the risk', () => {
    fc.assert(
      fc.property(kept, needG, chance, grade, (share, need, p, sizes) => {
        const pieces = piecesOf(sizes)
        const count = countFishToCut(need, pieces, share, p)
        const chanceOf = (n: number) => computeShortChance(need, n * pieces.eachG, share, pieces.variance / n)
        expect(chanceOf(count)).toBeLessThanOrEqual(p)
        if (count > 1) expect(chanceOf(count - 1)).toBeGreaterThan(p)
      }),
      { seed: 92, numRuns: cases(200) },
    )
  })

  it('served whole are one for each of their eaters, whatever they weigh, and a grade that does not suit is answered and said', () => {
    const whole = { method: 'roast-whole', format: 'whole', fish: 'Dicentrarchus labrax', covers: 7 } as const
    for (const [wholeServes, count] of [
      [1, 7],
      [2, 4],
      [null, 7],
    ] as const)
      expect(amount({ ...whole, wholeServes }).buy.count).toBe(count)
    const heavy = amount({ ...whole, grade: { fromG: 4000, toG: 5000 } })
    expect(heavy).toMatchObject({ grade: { fromG: 4000, toG: 5000, suits: false }, buy: { count: 7, g: 7 * 4500 }, feeds: 7 })
    expect(amount({ ...whole, wholeServes: 2, haveG: 9 * 4500, grade: { fromG: 4000, toG: 5000 } }).feeds).toBe(18)
  })

  it('are of the smallest grade that suits, else of the nearest', () => {
    const named = (name: string, fromG: number, toG: number) => ({ name, fromG, toG })
    const offer = buildOffer('Piscis unus', { grades: [named('l', 600, 800), named('s', 300, 400), named('m', 400, 600)] })
    const half = { mean: Math.log(0.5), sd: 0.05 }
    expect(chooseGrade(offer, 'whole', half, 170)).toEqual({ fromG: 300, toG: 400 })
    expect(chooseGrade(offer, 'whole', half, 230)).toEqual({ fromG: 400, toG: 600 })
    // Gutted they weigh what gutting leaves of them.
    expect(chooseGrade(offer, 'gutted', half, 170).fromG).toBeCloseTo(0.88 * 400, 9)
    expect(chooseGrade(offer, 'whole', half, 2000)).toEqual({ fromG: 600, toG: 800 })
    // To be cut, the one nearest to what the fish usually weighs.
    expect(chooseGrade({ ...offer, weightG: { ...offer.weightG, typical: 480 } }, 'whole', half, null)).toEqual({ fromG: 400, toG: 600 })
  })
})

describe('how much to buy', () => {
  const formats = METHODS_IN_ORDER.flatMap((method) =>
    FORMATS.filter((format) => gridCell(method, format) !== 'impossible').map((format) => ({ method, format })),
  )

  it('is rounded up and never down, to steps, packs or fish, and says by how much', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 80 }),
        fc.constantFrom<Partial<AmountsRequest>>({}, { stepG: 1 }, { stepG: 250 }, { packG: 400 }, { packG: 5000 }, { form: 'whole' }),
        chance,
        (covers, how, shortChance) => {
          const { buy, weightG, shortChance: short, feeds, portions } = amount({ covers, shortChance, ...how })
          expect(buy.g - buy.roundedUpG).toBeCloseTo(weightG, 6)
          if (buy.count === null) expect(buy.roundedUpG).toBeGreaterThanOrEqual(-1e-6)
          expect(short).toBeLessThanOrEqual(shortChance + 1e-6)
          expect(feeds).toBeGreaterThanOrEqual(Math.floor(portions))
          expect(buy.packs === null).toBe(how.packG === undefined)
          if (how.packG) expect(buy.g).toBeCloseTo((buy.packs ?? 0) * how.packG, 6)
          expect(amount({ covers: covers + 1, shortChance, ...how }).buy.g).toBeGreaterThanOrEqual(buy.g)
        },
      ),
      { seed: 93, numRuns: cases(60) },
    )
  })

  it('takes the chance that the house takes, where none is said', () => {
    const request = { ...buildBrief({ method: 'poach', format: 'chunk', covers: 10 }), fish: 'Gadus morhua' }
    const atHome = (patch: object) =>
      mustTell(answerAmounts({ ...request, ...patch }, { ...book, leanings: { shortChance: 0.01 } }, { today: TODAY })).weightG
    expect(atHome({})).toBe(amount({ shortChance: 0.01 }).weightG)
    expect(atHome({ shortChance: 0.25 })).toBe(amount({ shortChance: 0.25 }).weightG)
    expect(amount({}).weightG).toBe(amount({ shortChance: 0.05 }).weightG)
  })

  it('takes the offer and the form of the line-up, and says a gate in a caution instead of refusing the fish', () => {
    const closed = amount({ fish: 'Anguilla anguilla', method: 'grill', format: 'chunk' })
    expect(closed.cautions.length).toBeGreaterThan(0)
    expect(parseAmounts(JSON.parse(JSON.stringify(closed)))).toMatchObject({ ok: true })
  })

  it.each([
    ['/form', { form: 'fillet-skinless', method: 'braise', format: 'steak' }],
    ['/fish', { fish: 'Lophius piscatorius', method: 'pan-sear', format: 'fillet-skin-on' }],
    ['/fish', { fish: 'No such fish' }],
    ['/offer', { offer: 'no-offer' }],
    ['/grade/toG', { grade: { fromG: 900, toG: 400 } }],
  ] as const)('refuses at %s what cannot be', (path, patch) => {
    const answer = ask(patch as Partial<AmountsRequest>)
    expect(answer.ok ? [] : answer.error.map((problem) => problem.path)).toEqual([path])
  })

  it('costs its weight at the price that is known, and nothing is said of a price that is not', () => {
    const findSpecies = createFindSpecies(book.offers)
    const prices = [{ species: 'Gadus morhua', form: 'fillet-skinless' as const, price: 20, currency: 'EUR', unit: 'kg' as const }]
    const priced = { ...book, offers: [...applyMarket(book.offers, { prices }, { date: TODAY, waters: null, findSpecies })] }
    const request = {
      ...buildBrief({ method: 'poach', format: 'chunk', covers: 10 }),
      fish: 'Gadus morhua',
      form: 'fillet-skinless' as const,
    }
    const { cost, buy, portions } = mustTell(answerAmounts(request, priced, { today: TODAY }))
    expect(cost?.goods).toBeCloseTo(buy.g / 50, 9)
    expect(cost?.perPortion).toBeCloseTo(buy.g / 50 / portions, 9)
    expect(amount({}).cost).toBeNull()
  })

  it('names what must not be eaten of what is bought, and nothing of a fillet', () => {
    const partsOf = (species: string, form: Form) =>
      amount({ fish: species, method: 'stew', format: 'chunk', form }).never.map(({ sentence }) => sentence)
    expect(partsOf('Gadus morhua', 'whole')).toHaveLength(4)
    expect(partsOf('Gadus morhua', 'gutted')).toHaveLength(1)
    expect(partsOf('Gadus morhua', 'fillet-skin-on')).toEqual([])
    const reef = book.offers.find(({ ciguatera, forms }) => ciguatera && forms.some(({ form }) => form === 'whole'))
    expect(partsOf(reef?.species ?? '', 'whole')[0]).toContain('ciguatera')
  })

  it('leaves a rest that with what goes into the pan is the whole, of every offer in every form and cut', () => {
    const findSpecies = createFindSpecies(book.offers)
    let looked = 0
    for (const way of formats) {
      const brief = normaliseBrief(buildBrief(way as Partial<Brief>), { findSpecies, today: TODAY })
      if (!brief.ok) throw new Error(JSON.stringify(brief.error))
      for (const offer of book.offers)
        for (const form of findForms(offer, brief.value) as readonly Form[]) {
          const yields = computeYields(offer, form, brief.value)
          const pan = yields.form.typical * yields.trim * yields.thaw * (1 - yields.glaze)
          const rest = splitRest(offer, form, brief.value)
          const sum = rest.reduce((all, [, share]) => all + share, pan)
          if (Math.abs(sum - 1) > 1e-9 || rest.some(([, share]) => share < 0)) expect([offer.id, form, way, rest, pan]).toEqual('a balance')
          if (new Set(rest.map(([part]) => part)).size !== rest.length) expect([offer.id, form, way, rest]).toEqual('each part once')
          looked += 1
        }
    }
    expect(looked).toBeGreaterThan(10_000)
  })

  it('keeps fractions that lie in order and within 0 to 1, for every offer', () => {
    const findSpecies = createFindSpecies(book.offers)
    const brief = normaliseBrief(buildBrief({ method: 'roast', format: 'portion' }), { findSpecies, today: TODAY })
    if (!brief.ok) throw new Error('the brief is wrong')
    for (const offer of book.offers)
      for (const form of findForms(offer, brief.value))
        for (const { low, typical, high } of listFactors(offer, form, brief.value)) {
          expect(low > 0 && low <= typical && typical <= high && high <= 1).toBe(true)
        }
  })
})
