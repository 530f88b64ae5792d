import { createOfferSheet } from '@tender-gill/catalogue'
import type { Brief, OfferSheet, Season, Stock } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applyOpenings } from '../gates/index.ts'
import { cases } from '../testing/cases.ts'
import { briefArbitrary } from '../testing/arbitraries.ts'
import { TODAY, buildBrief, buildOffer, buildSheet, mustTell as must } from '../testing/builders.ts'
import { findTurningPoints } from '../turning/index.ts'
import { rankLineUp } from './index.ts'

const book = createOfferSheet(TODAY)
const run = (brief: Brief, sheet: OfferSheet) => must(rankLineUp(brief, sheet, { today: TODAY, shares: false }))
const NAMES = ['Gadus morhua', 'Scomber scombrus', 'Merluccius merluccius', 'Clupea harengus']
const monthsArbitrary = (max: number) => fc.array(fc.integer({ min: 0, max }), { minLength: 12, maxLength: 12 })
const seasonsArbitrary: fc.Arbitrary<Season[]> = fc.array(
  fc.record({
    species: fc.constantFrom(...NAMES),
    water: fc.constantFrom('sound', 'banks'),
    landings: monthsArbitrary(10),
    condition: monthsArbitrary(10),
  }),
  { maxLength: 6 },
)
const stocksArbitrary: fc.Arbitrary<Stock[]> = fc.array(
  fc.record({
    species: fc.constantFrom(...NAMES),
    biomassRatio: fc.double({ min: 0, max: 2, noNaN: true }).map((value) => ({ value, year: 2025 })),
    managementScore: fc.integer({ min: 0, max: 100 }).map((value) => ({ value, year: 2024 })),
  }),
  { maxLength: 4 },
)
/** January to March alone, in best condition in February. */
const winterFish: Season = {
  species: 'Piscis unus',
  water: 'sound',
  landings: [8, 10, 8, 0, 0, 0, 0, 0, 0, 0, 0, 0],
  condition: [8, 9, 8, 5, 4, 4, 4, 4, 4, 5, 6, 7],
}
const steadyFish: Season = { ...winterFish, species: 'Piscis duo', landings: [5, 5, 5, 5, 5, 5, 5, 5, 5, 5, 5, 5] }
const pair = buildSheet(buildOffer('Piscis unus'), buildOffer('Piscis duo'))

describe('the kitchen’s own years and stocks', () => {
  it('answer as the same rows do when a brief brings them, for any brief', () => {
    fc.assert(
      fc.property(
        briefArbitrary,
        seasonsArbitrary,
        stocksArbitrary,
        fc.constantFrom('sound', 'banks', null),
        (brief, seasons, stocks, waters) => {
          const own: Brief = { ...brief, waters, pool: NAMES }
          const kept = run(own, { ...book, seasons, stocks })
          const brought = run({ ...own, market: { seasons, stocks } }, book)
          expect({ ...kept, brief: null }).toEqual({ ...brought, brief: null })
        },
      ),
      { seed: 95, numRuns: cases(40) },
    )
  })

  it('change the line-up with the day', () => {
    const sheet = { ...pair, seasons: [winterFish, steadyFish] }
    const on = (date: string) => run(buildBrief({ waters: 'sound', date }), sheet)
    expect(on('2026-02-15').ranked.map(({ species }) => species)).toContain('Piscis unus')
    expect(on('2026-07-15').leftOut).toMatchObject([
      { species: 'Piscis unus', gate: 'not-landed', opensIf: 'Comes in if it is bought in March.' },
    ])
    const later = run(applyOpenings(buildBrief({ waters: 'sound', date: '2026-07-15' }), on('2026-07-15').leftOut[0]?.opens ?? []), sheet)
    expect(later.ranked.map(({ species }) => species)).toContain('Piscis unus')
  })

  it('are counted only where a brief names the waters', () => {
    const plain = run(buildBrief({ date: '2026-07-15' }), { ...pair, seasons: [winterFish, steadyFish] })
    expect(plain.leftOut).toEqual([])
    expect(plain.brief.asks.landings).toBeUndefined()
  })

  it('tell the month in which another goes first', () => {
    const soft = buildOffer('Piscis duo', { flesh: { firmness: 4 } })
    const sheet = { ...buildSheet(buildOffer('Piscis unus'), soft), seasons: [winterFish, steadyFish] }
    const { points } = must(findTurningPoints(buildBrief({ waters: 'sound', date: '2026-02-15' }), sheet, { today: TODAY }))
    expect(points.find(({ kind }) => kind === 'month')).toMatchObject({ species: 'Piscis duo' })
  })

  it('close by the house’s floor, which no dish opens, and leave a fish of which nothing is kept alone', () => {
    const stocks: Stock[] = [
      { species: 'Piscis unus', biomassRatio: { value: 0.6, year: 2025 }, managementScore: { value: 30, year: 2025 } },
    ]
    const lined = run(buildBrief(), { ...pair, stocks, leanings: { stock: { floor: 60 } } })
    expect(lined.ranked.map(({ species }) => species)).toEqual(['Piscis duo'])
    expect(lined.leftOut).toMatchObject([
      { gate: 'stock', sentence: expect.stringMatching(/below the 60 this house buys from; weakest: /) },
    ])
    expect(lined.leftOut[0]?.opens).toBeUndefined()
    expect(run(buildBrief(), { ...pair, stocks, leanings: { stock: { floor: 20 } } }).leftOut).toEqual([])
  })

  it('wish for stocks that stand well: the better one goes first among equals', () => {
    const stock = (species: string, value: number): Stock => ({
      species,
      biomassRatio: { value, year: 2025 },
      pressureRatio: { value: 0.8, year: 2025 },
      gearScore: { value: 70, year: 2025 },
      managementScore: { value: 70, year: 2025 },
    })
    const { ranked } = run(buildBrief(), { ...pair, stocks: [stock('Piscis unus', 0.5), stock('Piscis duo', 1)] })
    expect(ranked.map(({ species }) => species)).toEqual(['Piscis duo', 'Piscis unus'])
    expect(ranked[1]?.pointsLost.map(({ trait }) => trait)).toContain('stock')
  })
})
