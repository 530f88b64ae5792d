import { createOfferSheet } from '@tender-gill/catalogue'
import { parseLineUp } from '@tender-gill/contract/validators'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applyOpenings } from '../gates/index.ts'
import { findRawRefusal, hasVulnerable, isServedRaw } from '../safety/index.ts'
import { cases } from '../testing/cases.ts'
import { briefArbitrary, offersArbitrary } from '../testing/arbitraries.ts'
import { TODAY, buildBrief, buildOffer, buildSheet, must } from '../testing/builders.ts'
import { countRows, createBoard, rankBoard, rankLineUp } from './index.ts'
import { told } from '../testing/told.ts'

const sheet = createOfferSheet(TODAY)
const run = (brief: Parameters<typeof rankLineUp>[0], offers = sheet, options: object = {}) =>
  rankLineUp(brief, offers, { today: TODAY, ...options })

describe('laws of the line-up', () => {
  it('ranks the same whatever the order of the offers', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(2, 8), (brief, offers) => {
        expect(run(brief, buildSheet(...[...offers].reverse()))).toEqual(run(brief, buildSheet(...offers)))
      }),
      { seed: 20_261_124, numRuns: cases(150) },
    )
  })

  it('leaves every other fit alone when a fish is added or taken from the pool', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(3, 8), (brief, offers) => {
        const fits = (all: typeof offers) =>
          new Map(
            must(run({ ...brief, allOffers: true }, buildSheet(...all), { shares: false })).ranked.map(({ offerId, fit, pointsLost }) => [
              offerId,
              { fit, pointsLost },
            ]),
          )
        const whole = fits(offers)
        for (const [id, row] of fits(offers.slice(1))) expect(whole.get(id)).toEqual(row)
      }),
      { seed: 20_261_125, numRuns: cases(150) },
    )
  })

  it('never sets a fish above one that is at least as desirable on every ask and better on one', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(2, 8), (brief, offers) => {
        const rows = must(run({ ...brief, allOffers: true }, buildSheet(...offers), { shares: false })).ranked
        const board = must(createBoard({ ...brief, allOffers: true }, buildSheet(...offers), TODAY))
        const readings = (id: string) => board.entries.find(({ candidate }) => candidate.offer.id === id)?.fit.readings ?? []
        rows.forEach((below, i) => {
          for (const above of rows.slice(0, i)) {
            const [a, b] = [readings(above.offerId), readings(below.offerId)]
            const dominated =
              a.every(({ desirability }, k) => desirability <= (b[k]?.desirability ?? 0)) &&
              a.some(({ desirability, pull }, k) => pull > 0 && desirability < (b[k]?.desirability ?? 0))
            expect(dominated).toBe(false)
          }
        })
      }),
      { seed: 20_261_126, numRuns: cases(150) },
    )
  })

  it('never lowers a fit when a band is widened', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 10 }),
        fc.integer({ min: 0, max: 5 }),
        fc.integer({ min: 0, max: 5 }),
        offersArbitrary(1, 6),
        (from, span, wider, offers) => {
          const ask = (low: number, high: number) =>
            buildBrief({ allOffers: true, asks: { firmness: { from: low, to: high, pull: 4, must: false } } })
          const fits = (brief: ReturnType<typeof ask>) =>
            new Map(
              must(createBoard(brief, buildSheet(...offers), TODAY)).entries.map((entry) => [entry.candidate.offer.id, entry.fit.fit]),
            )
          const narrow = fits(ask(Math.min(10, from), Math.min(10, from + span)))
          for (const [id, fit] of fits(ask(Math.max(0, from - wider), Math.min(10, from + span + wider))))
            expect(fit).toBeGreaterThanOrEqual((narrow.get(id) ?? 0) - 1e-9)
        },
      ),
      { seed: 20_261_127, numRuns: cases(200) },
    )
  })

  it('loses points that add up to 100 less the shown fit', () => {
    fc.assert(
      fc.property(briefArbitrary, (brief) => {
        for (const { fit, pointsLost } of must(run(brief, sheet, { shares: false })).ranked) {
          const tenths = pointsLost.reduce((sum, { points }) => sum + Math.round(points * 10), 0)
          expect(tenths).toBe(Math.round((100 - fit) * 10))
        }
      }),
      { seed: 20_261_128, numRuns: cases(30) },
    )
  })

  it('shares out every draw once: first places and nobody sum to 1', () => {
    fc.assert(
      fc.property(briefArbitrary, (brief) => {
        const { ranked, noneShare } = must(run(brief))
        const firsts = ranked.reduce((sum, { firstShare }) => sum + firstShare, 0)
        expect(firsts + noneShare).toBeCloseTo(1, 1)
        if (ranked.length === 0) expect(noneShare).toBe(1)
      }),
      { seed: 20_261_129, numRuns: cases(20) },
    )
  })

  it('cannot be bought past a gate: a fish that fails a must stays out however well it fits the rest', () => {
    fc.assert(
      fc.property(offersArbitrary(2, 8), (offers) => {
        const brief = buildBrief({ asks: { cohesion: { from: 7, pull: 0, must: true } } })
        const { ranked } = must(run(brief, buildSheet(...offers), { shares: false }))
        for (const { offerId } of ranked) expect(offers.find(({ id }) => id === offerId)?.traits.cohesion.typical).toBeGreaterThanOrEqual(7)
      }),
      { seed: 20_261_130, numRuns: cases(100) },
    )
  })

  it('never offers what the safety predicate closes, for any brief over the whole book', () => {
    const byId = new Map(sheet.offers.map((offer) => [offer.id, offer]))
    fc.assert(
      fc.property(briefArbitrary, (brief) => {
        const lineUp = must(run({ ...brief, allOffers: true }, sheet, { shares: false, leftOut: false }))
        for (const { offerId } of lineUp.ranked) {
          const offer = byId.get(offerId)
          expect(offer && findRawRefusal(offer, lineUp.brief)).toBeUndefined()
          expect(offer?.waxEster).toBe(false)
          expect(lineUp.brief.diners.allergies).not.toContain(offer?.allergen)
          expect(isServedRaw(lineUp.brief) && hasVulnerable(lineUp.brief)).toBe(false)
        }
      }),
      { seed: 20_261_131, numRuns: cases(160) },
    )
  })

  it('lets a fish in when what it says would open it is applied', () => {
    const harder = fc.record({
      brief: briefArbitrary,
      thicknessMm: fc.constantFrom(undefined, 20, 45),
      state: fc.constantFrom('any' as const, 'fresh' as const, 'frozen' as const),
      hours: fc.constantFrom(0, 48, 200),
    })
    let opened = 0
    fc.assert(
      fc.property(harder, ({ brief, thicknessMm, state, hours }) => {
        const full = { ...brief, state, keep: { hours, tempC: 4 }, ...(thicknessMm ? { thicknessMm } : {}) }
        for (const { species, opens, opensIf } of must(run(full, sheet, { shares: false })).leftOut.slice(0, 12)) {
          if (!opens) continue
          opened += 1
          const after = must(run(applyOpenings(full, opens), sheet, { shares: false, leftOut: false }))
          expect(
            after.ranked.map((row) => row.species),
            JSON.stringify(opensIf),
          ).toContain(species)
        }
      }),
      { seed: 20_261_132, numRuns: cases(40) },
    )
    expect(opened).toBeGreaterThan(40)
  })
})

describe('rankLineUp', () => {
  it('answers in the shape of the contract', () => {
    const answer = must(
      run(buildBrief({ method: 'grill', format: 'chunk', thicknessMm: 30, budget: { perPortion: 4, currency: 'EUR', must: true } })),
    )
    expect(parseLineUp(JSON.parse(JSON.stringify(told(answer))))).toMatchObject({ ok: true })
  })

  it('gives a fit of 100 and says so when nothing is asked', () => {
    const asks = Object.fromEntries(
      ['cohesion', 'firmness', 'tolerance', 'fat', 'skin', 'thickness', 'flavour', 'bones', 'offFlavour'].map((key) => [key, { pull: 0 }]),
    )
    const answer = must(run(buildBrief({ asks }), buildSheet(buildOffer('Piscis unus'))))
    expect(answer).toMatchObject({ nothingAsked: true, ranked: [{ fit: 100, pointsLost: [] }] })
  })

  it('drops cost from scoring and says so when no fish has a price', () => {
    const answer = must(run(buildBrief({ budget: { perPortion: 4, currency: 'EUR', must: true } }), buildSheet(buildOffer('Piscis unus'))))
    expect(answer.leftOutOfScoring).toEqual(['portionCost', 'stock'])
    expect(answer.ranked[0]?.cautions.map(({ kind }) => kind)).toContain('unchecked')
  })

  it('counts a fish without a price as middling once another has one, and leaves it out when the budget is a must', () => {
    const offers = buildSheet(buildOffer('Piscis unus'), buildOffer('Piscis duo'))
    const market = {
      prices: [{ species: 'Piscis unus', form: 'fillet-skin-on' as const, price: 10, currency: 'EUR', unit: 'kg' as const }],
    }
    const budget = { perPortion: 9, currency: 'EUR' }
    const wish = must(run(buildBrief({ market, budget }), offers))
    expect(wish.ranked.find(({ species }) => species === 'Piscis duo')?.unknown).toEqual(['portionCost'])
    const strict = must(run(buildBrief({ market, budget: { ...budget, must: true } }), offers))
    expect(strict.leftOut).toMatchObject([{ species: 'Piscis duo', gate: 'price-unknown' }])
  })

  it('costs a portion at price x 0.15 kg / (yield kept in form, trim and pan)', () => {
    const market = { prices: [{ species: 'Piscis unus', form: 'whole' as const, price: 10, currency: 'EUR', unit: 'kg' as const }] }
    const answer = must(run(buildBrief({ market, budget: { perPortion: 9, currency: 'EUR' } }), buildSheet(buildOffer('Piscis unus'))))
    expect(answer.ranked[0]?.portionCost?.typical).toBeCloseTo((10 * 0.15) / (0.48 * 0.95 * 0.82), 2)
  })

  it('names the place of an upside-down band after merging with the method', () => {
    expect(told(run(buildBrief({ asks: { fat: { from: 20 } } })))).toEqual({
      ok: false,
      error: [{ path: '/asks/fat/from', message: 'is 20, above the upper end 14' }],
    })
  })

  it('answers a synonym under the accepted name and says what was asked', () => {
    const answer = must(run(buildBrief({ pool: ['Theragra chalcogramma'] })))
    expect([...answer.ranked, ...answer.leftOut]).toMatchObject([{ species: 'Gadus chalcogrammus', askedAs: 'Theragra chalcogramma' }])
  })

  it('is the same for the same seed, and other for another', () => {
    const shares = (seed: number) => must(run(buildBrief({ seed }))).ranked.map(({ firstShare }) => firstShare)
    expect(shares(7)).toEqual(shares(7))
    expect(shares(7)).not.toEqual(shares(8))
  })

  it('refuses every mistake at its place at once', () => {
    const answer = run({
      ...buildBrief(),
      method: 'roast-whole',
      covers: 2,
      diners: { children: 3 },
      doneness: 'moist',
      pool: ['Piscis nullus'],
      unavailable: ['Nemo nemo'],
      offers: { 'Nix nix': {} },
    })
    expect(answer.ok ? [] : answer.error.map(({ path }) => path)).toEqual([
      '/diners',
      '/format',
      '/doneness',
      '/pool/0',
      '/unavailable/0',
      '/offers/Nix nix',
    ])
  })
})

describe('a line-up of which only the first rows are told', () => {
  it('is the same as the first rows of the whole, and says how many there are', () => {
    fc.assert(
      fc.property(briefArbitrary, fc.integer({ min: 0, max: 20 }), (brief, rows) => {
        const board = must(createBoard(brief, sheet, TODAY))
        const whole = rankBoard(board, sheet, { shares: false, leftOut: false })
        expect(rankBoard(board, sheet, { shares: false, leftOut: false, rows })).toEqual({ ...whole, ranked: whole.ranked.slice(0, rows) })
        expect(countRows(board)).toBe(whole.ranked.length)
      }),
      { seed: 41, numRuns: cases(20) },
    )
  })
})

describe('the part of a fish that stands for it', () => {
  const kind = (part: 'body' | 'tail' | 'belly', flesh = {}) => buildOffer('Piscis unus', { part, flesh })
  const partOf = (method: 'mince' | 'poach', offers: readonly ReturnType<typeof kind>[]) =>
    must(run({ dish: 'Parts', method, format: method === 'mince' ? 'mince' : 'portion' }, buildSheet(...offers), { shares: false }))
      .ranked[0]?.offerId.split('.')
      .pop()

  it('is the even middle where all do equally well, and the tail for mince, which asks nothing that a tail lacks', () => {
    for (const offers of [
      [kind('tail'), kind('body'), kind('belly')],
      [kind('belly'), kind('body'), kind('tail')],
    ]) {
      expect(partOf('poach', offers)).toBe('body')
      expect(partOf('mince', offers)).toBe('tail')
    }
  })

  it('is the better one where they are not equal, whatever the method prefers', () => {
    expect(partOf('mince', [kind('tail', { binding: 3 }), kind('body')])).toBe('body')
  })

  it('is no fillet with its skin on where none is sold so', () => {
    const shelled = buildOffer('Mollusca una', { forms: [{ form: 'whole', yieldOfWhole: { low: 1, typical: 1, high: 1 } }] })
    const { ranked, leftOut } = must(
      run({ dish: 'Skin', method: 'pan-sear', format: 'fillet-skin-on' }, buildSheet(shelled, kind('body')), { shares: false }),
    )
    expect(ranked.map(({ species }) => species)).toEqual(['Piscis unus'])
    expect(leftOut[0]).toMatchObject({ species: 'Mollusca una', gate: 'form' })
  })
})
