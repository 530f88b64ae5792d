import { createOfferSheet } from '@tender-gill/catalogue'
import type { StandInsRequest } from '@tender-gill/contract'
import { parseStandIns } from '@tender-gill/contract/validators'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createScoring } from '../fit/index.ts'
import { createBoard } from '../lineUp/index.ts'
import { findRawRefusal } from '../safety/index.ts'
import { cases } from '../testing/cases.ts'
import { briefArbitrary, offersArbitrary } from '../testing/arbitraries.ts'
import { TODAY, buildBrief, buildOffer, buildSheet, must } from '../testing/builders.ts'
import { computeAlike, computeLure, computeThereShare, findCauses, findStandIns } from './index.ts'
import { told } from '../testing/told.ts'

const book = createOfferSheet(TODAY)
const ask = (patch: Partial<StandInsRequest>, sheet = book) =>
  findStandIns({ ...buildBrief(), missing: 'Gadus morhua', ...patch } as StandInsRequest, sheet, { today: TODAY })
const missingArbitrary = fc.constantFrom(...new Set(book.offers.map(({ species }) => species)))

describe('laws of the stand-ins', () => {
  it('finds a fish 100 alike to itself, and any other at most 100', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(2, 5), (brief, offers) => {
        const board = must(createBoard(brief, buildSheet(...offers), TODAY))
        const [m, c] = board.entries
        if (!m || !c) return
        expect(computeAlike(m.candidate, m.candidate, board.brief, board.scoring).alike).toBeCloseTo(100, 9)
        expect(computeAlike(c.candidate, m.candidate, board.brief, board.scoring).alike).toBeLessThanOrEqual(100)
      }),
      { seed: 11, numRuns: cases(200) },
    )
  })

  it('never offers an unsafe fish, one the allergic cannot eat, or the missing fish itself', () => {
    const byId = new Map(book.offers.map((offer) => [offer.id, offer]))
    fc.assert(
      fc.property(briefArbitrary, missingArbitrary, (brief, missing) => {
        const answer = must(ask({ ...brief, missing }))
        for (const { species, offerId } of [...answer.ladder, ...answer.order]) {
          const offer = byId.get(offerId)
          expect(species).not.toBe(missing)
          expect(offer && findRawRefusal(offer, answer.brief)).toBeUndefined()
          expect(offer?.waxEster).toBe(false)
          expect(answer.brief.diners.allergies).not.toContain(offer?.allergen)
        }
      }),
      { seed: 12, numRuns: cases(50) },
    )
  })

  it('answers the same whatever the order of the offers', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(3, 8), (brief, offers) => {
        const missing = offers[0]?.species ?? ''
        expect(ask({ ...brief, missing }, buildSheet(...[...offers].reverse()))).toEqual(ask({ ...brief, missing }, buildSheet(...offers)))
      }),
      { seed: 13, numRuns: cases(50) },
    )
  })

  it('scores a stand-in the same whatever else is in the pool', () => {
    const pool = ['Pollachius virens', 'Merlangius merlangus', 'Salmo salar', 'Molva molva']
    const scores = (names: readonly string[]) =>
      new Map(must(ask({ pool: [...names] })).order.map(({ species, standIn }) => [species, standIn]))
    const all = scores(pool)
    for (const [species, standIn] of scores(pool.slice(1))) expect(all.get(species)).toBe(standIn)
  })
})

describe('the ladder over a whole pool', () => {
  const fish = [
    buildOffer('Piscis absens'),
    buildOffer('Piscis unus'),
    buildOffer('Piscis duo', { flesh: { firmness: 5.5 } }),
    buildOffer('Piscis tres', { origin: 'farmed', flesh: { fat: 9 } }),
    buildOffer('Piscis quattuor', { state: 'frozen', flesh: { cohesion: 5 } }),
    buildOffer('Piscis quinque', { flesh: { tolerance: 5, flavour: 5 } }),
    buildOffer('Piscis sex', { water: 'fresh', flesh: { firmness: 4 } }),
  ]
  const names = fish.slice(1).map(({ species }) => species)
  const answerOf = (pool: readonly string[]) =>
    must(findStandIns({ ...buildBrief({ pool: [...pool] }), missing: 'Piscis absens' }, buildSheet(...fish), { today: TODAY }))

  it('never stands lower for one more fish that may be bought, in every pool of six', () => {
    const expected = new Map<number, number>([[0, 0]])
    for (let bits = 1; bits < 2 ** names.length; bits += 1)
      expected.set(bits, answerOf(names.filter((_, i) => bits & (1 << i))).expectedStandIn)
    for (const [bits, standing] of expected)
      for (let i = 0; i < names.length; i += 1)
        if (!(bits & (1 << i))) expect(expected.get(bits | (1 << i))).toBeGreaterThanOrEqual(standing)
    expect(expected.get(2 ** names.length - 1)).toBeGreaterThan(expected.get(1) ?? 100)
  })

  it('never stands lower for one more offer of any fish, several of them of one species, and names a species once', () => {
    const absent = buildOffer('Piscis absens')
    const offers = [
      buildOffer('Piscis unus'),
      buildOffer('Piscis unus', { origin: 'farmed' }),
      buildOffer('Piscis unus', { state: 'frozen', flesh: { cohesion: 5.4 } }),
      buildOffer('Piscis duo', { flesh: { firmness: 5.5 } }),
      buildOffer('Piscis duo', { state: 'frozen', flesh: { firmness: 5.4 } }),
      buildOffer('Piscis tres', { origin: 'farmed', flesh: { firmness: 5.2 } }),
      buildOffer('Piscis tres', { water: 'fresh' }),
    ]
    const expected = Array.from({ length: 2 ** offers.length }, (_, bits) => {
      const sold = offers.filter((_offer, i) => bits & (1 << i))
      const { ladder, expectedStandIn } = must(
        findStandIns({ ...buildBrief(), missing: 'Piscis absens' }, buildSheet(absent, ...sold), { today: TODAY }),
      )
      expect(new Set(ladder.map(({ species }) => species)).size).toBe(ladder.length)
      return expectedStandIn
    })
    expected.forEach((standing, bits) => {
      for (let i = 0; i < offers.length; i += 1) if (!(bits & (1 << i))) expect(expected[bits | (1 << i)]).toBeGreaterThanOrEqual(standing)
    })
    expect(expected.at(-1)).toBeGreaterThan(expected[1] ?? 100)
  })

  it('says what each rung hangs on together with those above it', () => {
    const { ladder } = answerOf(names)
    ladder.forEach(({ shares, failsWith }, i) => {
      for (const { rung, common, kinds } of shares) {
        expect(rung).toBeLessThanOrEqual(i)
        expect(ladder[rung - 1]?.common).toBe(common)
        for (const kind of kinds) expect(failsWith).toContain(kind)
      }
    })
    const [unus, duo] = ['Piscis unus', 'Piscis duo']
    expect(answerOf([unus ?? '', duo ?? '']).ladder[1]?.shares).toEqual([{ rung: 1, common: expect.any(String), kinds: ['weather'] }])
    expect(answerOf(['Piscis unus', 'Piscis tres']).ladder[1]?.shares).toEqual([])
  })
})

describe('computeAlike', () => {
  const brief = buildBrief({ asks: { firmness: { from: 4, to: 7, pull: 5 } } })
  const alikeness = (firmness: number) => {
    const offers = [buildOffer('Piscis absens', { flesh: { firmness: 6 } }), buildOffer('Piscis alter', { flesh: { firmness } })]
    const board = must(createBoard(brief, buildSheet(...offers), TODAY))
    const [m, c] = board.entries
    if (!m || !c) throw new Error('two entries were laid')
    return computeAlike(c.candidate, m.candidate, board.brief, createScoring(board.brief, offers)).alike
  }

  it('takes a step outside the band harder than the same step inside it', () => {
    expect(alikeness(8)).toBeLessThan(alikeness(4.5))
  })

  it('takes too soft harder than too firm', () => {
    expect(alikeness(2.5)).toBeLessThan(alikeness(8.5))
  })
})

describe('findStandIns', () => {
  it('answers in the shape of the contract', () => {
    const answer = must(ask({ method: 'poach', format: 'chunk', diners: { children: 1 } }))
    expect(parseStandIns(JSON.parse(JSON.stringify(told(answer))))).toMatchObject({ ok: true })
  })

  it('tells the menu on every rung of another species, with at most six changes besides', () => {
    const { ladder } = must(ask({ method: 'grill', format: 'chunk', missing: 'Argyrosomus regius' }))
    expect(ladder.length).toBeGreaterThan(1)
    for (const { changes } of told(ladder)) {
      expect(changes.at(-1)).toMatchObject({ kind: 'menu-name', sentence: expect.stringContaining('allergen sheet') })
      expect(changes.length).toBeLessThanOrEqual(7)
    }
  })

  it('names the traits in which a rung differs, what weighs most first, with both on the strips of the dish', () => {
    const { ladder, missing } = must(
      ask(
        { method: 'curry', format: 'chunk', missing: 'Piscis absens' },
        buildSheet(
          buildOffer('Piscis absens'),
          buildOffer('Piscis alter', { flesh: { cohesion: 4.2, fat: 14 } }),
          buildOffer('Piscis idem'),
        ),
      ),
    )
    const rung = (species: string) => ladder.find((one) => one.species === species)
    expect(rung('Piscis alter')?.differs.slice(0, 2)).toEqual(['cohesion', 'fat'])
    expect(rung('Piscis idem')?.differs).toEqual([])
    for (const { standings, differs } of ladder)
      for (const key of differs) {
        expect(standings.some(({ trait }) => trait === key)).toBe(true)
        expect(missing.standings.some(({ trait }) => trait === key)).toBe(true)
      }
  })

  it('offers another offer of the same species first even where another fish would do a little better', () => {
    const offers = buildSheet(
      buildOffer('Piscis idem'),
      buildOffer('Piscis idem', { state: 'frozen', flesh: { firmness: 4.3, tolerance: 5.4 } }),
      buildOffer('Piscis alter'),
    )
    const { ladder } = must(ask({ missing: 'Piscis idem', missingOffer: 'piscis-idem.wild.fresh.body', because: 'looked-bad' }, offers))
    expect(ladder.map(({ species }) => species)).toEqual(['Piscis idem', 'Piscis alter'])
    expect(ladder[0]?.standIn).toBeLessThan(ladder[1]?.standIn ?? 0)
  })

  it('offers another offer of the same species first when this one looked bad, and none when it was not landed', () => {
    const offers = buildSheet(buildOffer('Piscis idem'), buildOffer('Piscis idem', { origin: 'farmed' }), buildOffer('Piscis alter'))
    expect(must(ask({ missing: 'Piscis idem', because: 'looked-bad' }, offers)).ladder[0]?.species).toBe('Piscis idem')
    expect(must(ask({ missing: 'Piscis idem', because: 'not-landed' }, offers)).order.map(({ species }) => species)).toEqual([
      'Piscis alter',
    ])
  })

  it('takes cheaper fish only when the missing one is too dear, and says so when no price is known', () => {
    const price = (species: string, perKg: number) => ({
      species,
      form: 'fillet-skin-on' as const,
      price: perKg,
      currency: 'EUR',
      unit: 'kg' as const,
    })
    const offers = buildSheet(buildOffer('Piscis carus'), buildOffer('Piscis vilis'), buildOffer('Piscis carior'))
    const market = { prices: [price('Piscis carus', 20), price('Piscis vilis', 9), price('Piscis carior', 30)] }
    const priced = must(ask({ missing: 'Piscis carus', because: 'too-dear', market, budget: { perPortion: 9, currency: 'EUR' } }, offers))
    expect(priced.order.map(({ species }) => species)).toEqual(['Piscis vilis'])
    const blind = must(ask({ missing: 'Piscis carus', because: 'too-dear' }, offers))
    expect(blind.order).toHaveLength(2)
    expect(blind.dropped).toHaveLength(1)
  })

  it('leaves the ladder empty with the reason rather than loosen a rule', () => {
    const answer = must(ask({ missing: 'Gadus morhua', because: 'allergy' }))
    for (const { offerId } of answer.ladder) expect(book.offers.find(({ id }) => id === offerId)?.allergen).not.toBe('fish')
    const nothing = must(ask({ missing: 'Piscis unus' }, buildSheet(buildOffer('Piscis unus'))))
    expect(told(nothing)).toMatchObject({ ladder: [], atLeastOne: 0, emptyBecause: expect.stringContaining('No other fish') })
  })

  it('names the place of an unknown missing fish and of an unknown offer of it', () => {
    expect(ask({ missing: 'Nemo nemo' })).toMatchObject({ ok: false, error: [{ path: '/missing' }] })
    expect(ask({ missingOffer: 'gadus-morhua.farmed.fresh.tail' })).toMatchObject({ ok: false, error: [{ path: '/missingOffer' }] })
  })

  it('shows at most three tempting fish, each gated or far below the best', () => {
    const answer = must(ask({ method: 'stew', format: 'chunk', missing: 'Lophius piscatorius' }))
    expect(answer.tempting.length).toBeLessThanOrEqual(3)
    const best = answer.order[0]?.standIn ?? 0
    for (const { species } of answer.tempting) {
      const passed = answer.order.find((row) => row.species === species)
      if (passed) expect(passed.standIn).toBeLessThan(0.6 * best)
      else expect(answer.leftOut.map((row) => row.species)).toContain(species)
    }
  })
})

describe('findCauses', () => {
  it('gives a wild fresh fish weather, stock and price, and a farmed one its farm', () => {
    const kinds = (origin: 'wild' | 'farmed') =>
      findCauses({ offer: buildOffer('Piscis unus', { origin }), form: 'whole' }).map(({ kind }) => kind)
    expect(kinds('wild')).toEqual(['weather', 'stock', 'price'])
    expect(kinds('farmed')).toEqual(['farm', 'price'])
    expect(computeThereShare(findCauses({ offer: buildOffer('Piscis unus'), form: 'whole' }))).toBeCloseTo(0.85 * 0.97 * 0.92, 9)
  })
})

describe('computeLure', () => {
  it('is 2 for the best-known fish of the same colour, family and name', () => {
    const fish = buildOffer('Piscis unus', { familiarity: 10, marketNames: ['cod'] })
    expect(computeLure(fish, buildOffer('Piscis duo', { marketNames: ['Cod'] }))).toBeCloseTo(2, 9)
  })
})
