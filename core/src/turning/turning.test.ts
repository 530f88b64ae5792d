import { createOfferSheet } from '@tender-gill/catalogue/book'
import type { BandKey, Brief, OfferSheet } from '@tender-gill/contract'
import type { TurningPoint } from '../facts/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fromAxis, toAxis } from '../axes/index.ts'
import { applyOpenings } from '../gates/index.ts'
import { createBoard, rankLineUp } from '../lineUp/index.ts'
import { cases } from '../testing/cases.ts'
import { briefArbitrary } from '../testing/arbitraries.ts'
import { TODAY, must } from '../testing/builders.ts'
import { findTurningPoints } from './index.ts'
import { findFirst } from './findFirst.ts'
import { createField } from './runners.ts'

const book = createOfferSheet(TODAY)
const price = (species: string, perKg: number, form = 'fillet-skinless' as const) => ({
  species,
  form,
  price: perKg,
  currency: 'EUR',
  unit: 'kg' as const,
})
const priced: Brief = {
  dish: 'Priced',
  method: 'stew',
  format: 'chunk',
  covers: 4,
  budget: { perPortion: 4, currency: 'EUR' },
  market: {
    prices: [
      price('Lophius piscatorius', 27),
      price('Conger conger', 22),
      price('Molva molva', 12),
      price('Anarhichas lupus', 17),
      price('Genypterus blacodes', 15),
      price('Gadus morhua', 18),
    ],
  },
}
const leaderOf = (brief: Brief, sheet: OfferSheet = book) =>
  must(rankLineUp(brief, sheet, { today: TODAY, shares: false, leftOut: false })).ranked[0]?.species
const turn = (brief: Brief, winner?: string) => must(findTurningPoints(brief, book, { today: TODAY, ...(winner ? { winner } : {}) }))

/** The brief with a point's change set to a place between where it was and beyond where it turns. */
function applyAt(brief: Brief, point: TurningPoint, value: number): Brief {
  return applyOpenings(
    brief,
    point.opens.map((opening, i) => (i === 0 ? { ...opening, value } : opening)),
  )
}
const keyOf = ({ opens }: TurningPoint) => (opens[0]?.path.split('/')[2] ?? 'fat') as BandKey
const scalePrices = (brief: Brief, species: string, factor: number): Brief => ({
  ...brief,
  market: {
    prices: (brief.market?.prices ?? []).map((quote) => (quote.species === species ? { ...quote, price: quote.price * factor } : quote)),
  },
})

/** A place short of the turning point and one beyond it, on the axis of the thing that is changed. */
function around(point: TurningPoint): readonly [short: number, beyond: number] {
  const from = point.from ?? 0
  const to = point.to ?? 0
  if (point.kind === 'pull') return [to + Math.sign(from - to) * 1e-6, to - Math.sign(from - to) * 1e-6]
  const key = keyOf(point)
  const [a, b] = [toAxis(key, from), toAxis(key, to)]
  // A leader may stand on the very edge: which way it moves is told by the change itself.
  const hair = Math.sign(a - toAxis(key, Number(point.opens[0]?.value))) * 1e-6
  return [fromAxis(key, b + hair), fromAxis(key, b - hair)]
}

function expectTurns(brief: Brief, winner?: string): void {
  const { leader, points } = turn(brief, winner)
  const others = (species: string | undefined) => (winner === undefined ? species !== leader : species === winner)
  for (const point of points) {
    if (point.kind === 'format') expect(leaderOf(applyOpenings(brief, point.opens))).toBe(point.species)
    if (point.kind !== 'pull' && point.kind !== 'edge') continue
    const [short, beyond] = around(point)
    expect(leaderOf(applyAt(brief, point, beyond)), point.sentence.code).toBe(point.species)
    expect(others(leaderOf(applyAt(brief, point, short))), point.sentence.code).toBe(false)
  }
}

describe('what would change the answer', () => {
  it('starts from the same leader as the line-up, for any brief', () => {
    fc.assert(
      fc.property(briefArbitrary, (brief) => {
        expect(findFirst(createField(must(createBoard(brief, book, TODAY))))?.species).toBe(leaderOf(brief))
      }),
      { seed: 31, numRuns: cases(60) },
    )
  })

  /** Who leads stands on the very edge of the fat that is wanted, found by a long run: it falls by the least move. */
  const onTheEdge: Brief = { dish: 'Any', method: 'pan-sear', format: 'whole', wholeServes: null, longCooking: true }

  it('flips the leader when applied a hair beyond, and not a hair before, for any brief', () => {
    fc.assert(
      fc.property(briefArbitrary, (brief) => expectTurns(brief)),
      { seed: 32, numRuns: cases(25), examples: [[onTheEdge]] },
    )
  }, 120_000)

  it('says of a leader on the very edge that the least move unseats it, and which way', () => {
    const { leader, points } = turn(onTheEdge)
    const point = points.find(({ kind }) => kind === 'edge')
    expect(point?.sentence.code).toBe('turn.edge.any.to.less')
    expect(point).toMatchObject({ steps: 0, from: 14, to: 14 })
    expect(point && leaderOf(applyAt(onTheEdge, point, 14.001))).toBe(leader)
  })

  it('makes any other fish win when applied', () => {
    for (const winner of ['Gadus morhua', 'Molva molva', 'Lophius piscatorius'])
      expectTurns({ ...priced, asks: { flavour: { to: 4 } } }, winner)
  }, 60_000)

  it('finds nothing nearer on a fine grid than the point it names', () => {
    const { leader, points } = turn(priced)
    for (const point of points.filter(({ kind }) => kind === 'pull' || kind === 'edge')) {
      const [short] = around(point)
      for (let i = 1; i < 40; i += 1) {
        const value = (point.from ?? 0) + ((short - (point.from ?? 0)) * i) / 40
        expect(leaderOf(applyAt(priced, point, value)), `${point.sentence} at ${value}`).toBe(leader)
      }
    }
  })

  it('solves a price exactly: a thousandth before it the leader still stands, a thousandth beyond it has fallen', () => {
    const point = turn(priced).points.find(({ kind }) => kind === 'price')
    expect(point).toBeDefined()
    const { leader } = turn(priced)
    const factor = (point?.to ?? 0) / (point?.from ?? 1)
    const movers = (priced.market?.prices ?? []).map(({ species }) => species)
    const beyond = movers.filter(
      (species) => leaderOf(scalePrices(priced, species, factor * (factor > 1 ? 1.000001 : 0.999999))) !== leader,
    )
    const short = movers.filter((species) => leaderOf(scalePrices(priced, species, factor * (factor > 1 ? 0.999 : 1.001))) !== leader)
    expect(beyond.length).toBeGreaterThan(0)
    expect(short).toEqual([])
  })

  it('finds the least price at which first place passes, for any brief of a market: beyond it another leads, short of it none does', () => {
    const perKg = fc.array(fc.integer({ min: 5, max: 40 }), { minLength: 6, maxLength: 6 })
    const SOLD = ['Lophius piscatorius', 'Conger conger', 'Molva molva', 'Anarhichas lupus', 'Genypterus blacodes', 'Gadus morhua']
    let turned = 0
    fc.assert(
      fc.property(briefArbitrary, perKg, (any, prices) => {
        const brief: Brief = {
          ...any,
          ...{ kinds: ['fish'], part: 'any', habitat: 'any', doneness: 'set' },
          pool: SOLD,
          budget: { perPortion: 4, currency: 'EUR' },
          market: { prices: SOLD.map((species, i) => price(species, prices[i] ?? 10)) },
        }
        const { leader, points } = turn(brief)
        const point = points.find(({ kind }) => kind === 'price')
        if (!point || point.from === null || point.to === null) return
        turned += 1
        const factor = point.to / point.from
        const at = (by: number) => SOLD.map((species) => leaderOf(scalePrices(brief, species, by)))
        const hair = factor > 1 ? 1.00001 : 0.99999
        expect(at(factor * hair), point.sentence.code).toContain(point.species)
        // A tenth short of it, in steps either way, no single price unseats the leader.
        const short = 1 + (factor - 1) * 0.9
        expect(
          at(short).every((species) => species === leader),
          point.sentence.code,
        ).toBe(true)
      }),
      { seed: 33, numRuns: cases(120) },
    )
    expect(turned).toBeGreaterThan(5)
  }, 240_000)

  it('sees a budget that is a must close on the leader', () => {
    const brief: Brief = { ...priced, budget: { perPortion: 6, currency: 'EUR', must: true }, asks: { portionCost: { pull: 0 } } }
    const point = turn(brief).points.find(({ kind }) => kind === 'price')
    const cost = must(rankLineUp(brief, book, { today: TODAY, shares: false })).ranked[0]?.portionCost?.typical ?? 0
    expect(point?.to).toBeCloseTo(6, 6)
    expect(point?.from).toBeCloseTo(cost, 1)
  })

  it('says what it could not look at, and what holds nothing in range', () => {
    const plain: Brief = { dish: 'One fish', method: 'poach', format: 'portion', pool: ['Gadus morhua'] }
    expect(turn(plain)).toMatchObject({
      leader: 'Gadus morhua',
      points: [],
      nothingInRange: ['pull', 'edge', 'format'],
      notLookedAt: ['price', 'month'],
    })
  })

  it('finds the month in which another leads, where seasons are known', () => {
    const year = (best: number) =>
      Array.from({ length: 12 }, (_, i) => (Math.min(Math.abs(i - best), 12 - Math.abs(i - best)) < 2 ? 100 : 0))
    const brief: Brief = {
      dish: 'By the month',
      method: 'poach',
      format: 'portion',
      state: 'fresh',
      origin: 'wild',
      date: '2026-06-15',
      waters: 'sound',
      pool: ['Gadus morhua', 'Melanogrammus aeglefinus'],
      market: {
        seasons: [
          { species: 'Gadus morhua', water: 'sound', landings: year(5) },
          { species: 'Melanogrammus aeglefinus', water: 'sound', landings: year(11) },
        ],
      },
    }
    const point = turn(brief).points.find(({ kind }) => kind === 'month')
    expect(point).toMatchObject({ species: 'Melanogrammus aeglefinus' })
    expect(leaderOf(applyOpenings(brief, point?.opens ?? []))).toBe('Melanogrammus aeglefinus')
  })

  it('refuses a winner that is no fish of the book', () => {
    expect(findTurningPoints(priced, book, { today: TODAY, winner: 'Nemo nemo' })).toMatchObject({
      ok: false,
      error: [{ path: '/winner' }],
    })
  })
})
