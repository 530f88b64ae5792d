import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createFindSpecies, normaliseBrief } from '../brief/index.ts'
import { planPot } from '../pot/index.ts'
import { findStandIns } from '../standIns/index.ts'
import { COOK_PLANS } from '../tables/cookPlans.ts'
import { TODAY, buildBrief, buildOffer, buildSheet, must, mustTell } from '../testing/builders.ts'
import { cookFish } from './index.ts'
import { cases } from '../testing/cases.ts'

const deep = (mm: number) => ({ low: 0.9 * mm, typical: mm, high: 1.1 * mm, basis: 'compiled' as const })
const normalise = (patch: object) => must(normaliseBrief(buildBrief(patch), { findSpecies: createFindSpecies([]), today: TODAY }))
const candidate = (mm: number, fat = 2) => {
  const offer = buildOffer('Piscis unus', { depthMm: deep(mm) })
  return {
    offer: { ...offer, traits: { ...offer.traits, fat: { ...offer.traits.fat, low: fat, typical: fat, high: fat } } },
    form: 'fillet-skinless' as const,
  }
}
const methods = (Object.keys(COOK_PLANS) as (keyof typeof COOK_PLANS)[]).filter((method) => !method.endsWith('-whole'))

describe('the one model of minutes', () => {
  it('has thicker pieces take longer, and a cut thinner than the fish cook as it is cut', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...methods),
        fc.double({ min: 8, max: 45, noNaN: true }),
        fc.double({ min: 1.05, max: 1.6, noNaN: true }),
        (method, mm, by) => {
          const brief = normalise({ method, format: 'portion' })
          const [thin, thick] = [cookFish(candidate(mm), brief), cookFish(candidate(mm * by), brief)]
          if (!thin || !thick) return
          expect(thick.minutes).toBeGreaterThan(thin.minutes)
          const cut = normalise({ method, format: 'portion', thicknessMm: Math.round(mm) })
          expect(cookFish(candidate(60), cut)?.minutes).toBeCloseTo(cookFish(candidate(Math.round(mm)), brief)?.minutes ?? Number.NaN, 1)
        },
      ),
      { seed: 801, numRuns: cases(40) },
    )
  })

  it('is remembered for a fish without ever being another dish’s: asked among many dishes or alone, it says the same', () => {
    const dish = fc.record({
      method: fc.constantFrom(...methods),
      format: fc.constantFrom('portion', 'chunk', 'whole', 'fillet-skin-on', 'slice'),
      thicknessMm: fc.option(fc.integer({ min: 8, max: 40 }), { nil: undefined }),
      portionG: fc.constantFrom(120, 150, 220),
      skin: fc.constantFrom('any', 'on', 'off'),
      who: fc.constantFrom({ doneness: 'moist' }, { doneness: 'set' }, { diners: { children: 2 } }),
    })
    let told = 0
    fc.assert(
      fc.property(dish, dish, (one, other) => {
        const { offer, form } = candidate(26, 7)
        // Dishes that are apart in one thing alone.
        const who = [{ doneness: 'moist' }, { doneness: 'set' }, { diners: { children: 2 } }]
        const near = [
          one,
          ...who.map((eaters) => ({ ...one, who: eaters })),
          ...Object.entries(other).map(([key, value]) => ({ ...one, [key]: value })),
          other,
        ]
        const patches = near.map(({ thicknessMm, who, ...patch }) => ({
          ...patch,
          ...who,
          ...(thicknessMm === undefined ? {} : { thicknessMm }),
        }))
        for (const patch of [...patches, ...patches]) {
          const brief = normalise(patch)
          const among = cookFish({ offer, form }, brief)
          expect(among).toEqual(cookFish({ offer: { ...offer }, form }, brief))
          told += among ? 1 : 0
        }
      }),
      { seed: 802, numRuns: cases(24) },
    )
    expect(told).toBeGreaterThan(0)
  })

  it('says the same to a pot and to a swap', () => {
    const sheet = buildSheet(...[15, 22, 34].map((mm, i) => buildOffer(`Piscis p${i}`, { depthMm: deep(mm) })))
    const [pot] = must(planPot(buildBrief({ method: 'stew', format: 'chunk' }), sheet, { today: TODAY, k: 2 })).pots
    const brief = buildBrief({ method: 'stew', format: 'chunk' })
    for (const { species, minutes } of pot?.places ?? []) {
      const other = sheet.offers.find((offer) => offer.species !== species)?.species ?? ''
      const { order, ladder } = mustTell(findStandIns({ ...brief, missing: other }, sheet, { today: TODAY }))
      expect(order.length).toBeGreaterThan(0)
      const told = ladder.find((rung) => rung.species === species)?.changes.find(({ kind }) => kind === 'cook-time')?.sentence
      const [, now] = /about ([\d.]+) min/.exec(told ?? '') ?? []
      if (now !== undefined) expect(Math.round(Number(now))).toBe(minutes)
    }
    expect(pot?.places.map(({ minutes }) => minutes).every((minutes) => minutes > 0)).toBe(true)
  })

  it('tells no minutes where nothing is cooked', () => {
    expect(cookFish(candidate(20), normalise({ method: 'raw', format: 'slice' }))).toBeUndefined()
  })
})
