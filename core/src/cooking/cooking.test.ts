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
