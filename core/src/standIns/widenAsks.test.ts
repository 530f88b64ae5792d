import { createOfferSheet } from '@tender-gill/catalogue/book'
import type { Brief, ResolvedOffer, StandInsRequest } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createBoard } from '../lineUp/index.ts'
import { briefArbitrary, offersArbitrary } from '../testing/arbitraries.ts'
import { TODAY, buildBrief, buildOffer, buildSheet, must } from '../testing/builders.ts'
import { cases } from '../testing/cases.ts'
import { kindOf, readTrait } from '../traits/index.ts'
import { findStandIns } from './index.ts'
import { widenAsks } from './widenAsks.ts'

const book = createOfferSheet(TODAY)
const ask = (brief: StandInsRequest, ...offers: readonly ResolvedOffer[]) =>
  must(findStandIns(brief, offers.length > 0 ? buildSheet(...offers) : book, { today: TODAY }))

describe('the dish as it is served', () => {
  it('holds the missing fish on every ask that comes with it, and touches no must, no diner’s, house’s or brief’s ask', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(1, 4), (brief, offers) => {
        const board = must(createBoard(brief, buildSheet(...offers), TODAY))
        for (const { candidate } of board.entries) {
          const widened = widenAsks(board.brief, candidate)
          expect(Object.keys(widened)).toEqual(Object.keys(board.brief.asks))
          for (const [key, before] of Object.entries(board.brief.asks) as [
            keyof typeof widened,
            NonNullable<(typeof widened)[keyof typeof widened]>,
          ][]) {
            const after = widened[key]
            expect(after).toMatchObject({ pull: before.pull, must: before.must, because: before.because })
            const own = before.must === null && before.because.every((source) => source === 'method' || source === 'format')
            if (!own) expect(after).toEqual(before)
            if (!own || key === 'colour') continue
            const value = readTrait(key, candidate, board.brief)?.typical
            if (value === undefined) continue
            expect(after?.from ?? -Infinity).toBeLessThanOrEqual(value)
            expect(after?.to ?? Infinity).toBeGreaterThanOrEqual(value)
            expect(after?.from ?? -Infinity).toBeLessThanOrEqual(before.from ?? -Infinity)
            expect(after?.to ?? Infinity).toBeGreaterThanOrEqual(before.to ?? Infinity)
          }
        }
      }),
      { seed: 931, numRuns: cases(120) },
    )
  })

  it('never lets an animal of another allergen class stand in unasked', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(3, 12), ({ kinds: _kinds, ...brief }, offers) => {
        const [missing] = offers
        if (!missing) return
        const kinds = new Map(offers.map((offer) => [offer.species, kindOf(offer)]))
        const { order, ladder } = ask({ ...brief, missing: missing.species }, ...offers)
        for (const { species } of [...order, ...ladder]) expect(kinds.get(species)).toBe(kindOf(missing))
      }),
      { seed: 932, numRuns: cases(120) },
    )
  })

  it('says another allergen class before anything else where the brief lets one in', () => {
    const missing = buildOffer('Piscis absens')
    const squid = buildOffer('Loligo quaedam', { allergen: 'mollusc' })
    const { ladder } = ask({ ...buildBrief(), missing: missing.species, kinds: ['fish', 'cephalopod'] }, missing, squid)
    expect(ladder[0]?.changes[0]?.sentence).toMatchObject({ code: 'change.allergen' })
    expect(ask({ ...buildBrief(), missing: missing.species }, missing, squid).order).toEqual([])
  })

  it('counts what the flesh is, whatever the dish asks: the nearer of two fish that do it as well is more alike', () => {
    const missing = buildOffer('Piscis absens', { flesh: { flavour: 2, flake: 5 } })
    const near = buildOffer('Piscis propior', { flesh: { flavour: 2.5, flake: 5 } })
    const far = buildOffer('Piscis longior', { flesh: { flavour: 2.5, flake: 1 } })
    // Nothing in a steam asks for flakes.
    const { order } = ask({ ...buildBrief({ method: 'steam', format: 'portion' }), missing: missing.species }, missing, far, near)
    expect(order.map(({ species }) => species)).toEqual(['Piscis propior', 'Piscis longior'])
    expect((order[0]?.alike ?? 0) - (order[1]?.alike ?? 0)).toBeGreaterThan(4)
  })

  it('sees build and cooked colour, a whole fish more than a cut one, and a paste not at all', () => {
    const missing = buildOffer('Piscis absens')
    const flat = buildOffer('Piscis planus', { body: 'flat' })
    const dark = buildOffer('Piscis fuscus', { cookedColour: 'dark' })
    const alikeOf = (brief: Partial<Brief>, other: ResolvedOffer) =>
      ask({ ...buildBrief(brief), missing: missing.species }, missing, other).order[0]?.alike ?? 0
    expect(alikeOf({ method: 'steam', format: 'portion' }, flat)).toBeCloseTo(100 * Math.exp(-0.1), 0)
    expect(alikeOf({ method: 'steam-whole', format: 'whole' }, flat)).toBeCloseTo(100 * Math.exp(-0.2), 0)
    expect(alikeOf({ method: 'mince', format: 'mince' }, flat)).toBe(100)
    expect(alikeOf({ method: 'steam', format: 'portion' }, dark)).toBeCloseTo(100 * Math.exp(-0.095), 0)
  })

  it('too dear where no price is known goes by how dear each fish is in the trade, and says so', () => {
    const missing = buildOffer('Piscis carus', { market: 'premium' })
    const others = (['premium', 'everyday', 'under-used'] as const).map((market) => buildOffer(`Piscis ${market.slice(0, 3)}`, { market }))
    const { order, dropped } = ask({ ...buildBrief(), missing: missing.species, because: 'too-dear' }, missing, ...others)
    expect([...order.map(({ species }) => species)].sort()).toEqual(['Piscis eve', 'Piscis und'])
    expect(dropped.map(({ code }) => code)).toEqual(['stand-ins.unchecked.price'])
    const everyday = ask({ ...buildBrief(), missing: 'Piscis eve', because: 'too-dear' }, missing, ...others)
    expect(everyday.order.map(({ species }) => species)).toEqual(['Piscis und'])
  })
})
