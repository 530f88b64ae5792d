import { createOfferSheet } from '@tender-gill/catalogue'
import { parseSwapMap } from '@tender-gill/contract/validators'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createPlainBrief } from '../tables/cuts.ts'
import { cases } from '../testing/cases.ts'
import { briefArbitrary, offersArbitrary } from '../testing/arbitraries.ts'
import { TODAY, buildBrief, buildSheet, mustTell as must } from '../testing/builders.ts'
import { findStandIns, mapSwaps } from './index.ts'

const book = createOfferSheet(TODAY)
const map = (brief = buildBrief(), sheet = book) => must(mapSwaps(brief, sheet, { today: TODAY }))

describe('the map of swaps', () => {
  it('scores every pair as the stand-ins of that fish do', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(3, 8), (brief, offers) => {
        const sheet = buildSheet(...offers)
        const { fish } = map(brief, sheet)
        for (const { species, neighbours } of fish) {
          const { order } = must(findStandIns({ ...brief, missing: species }, sheet, { today: TODAY }))
          const expected = new Map(order.map((row) => [row.species, [row.alike, row.standIn]]))
          for (const { to, alike, standIn } of neighbours) expect([alike, standIn]).toEqual(expected.get(fish[to]?.species ?? ''))
          expect(neighbours.length).toBe(Math.min(8, order.length))
        }
      }),
      { seed: 61, numRuns: cases(60) },
    )
  })

  it('keeps the eight best of every pair, over the whole book', () => {
    for (const method of ['grill', 'poach'] as const) {
      const brief = createPlainBrief(method, 'portion')
      const { fish } = map(brief)
      const standing = new Set(fish.map(({ offerId }) => offerId))
      for (const { species, neighbours } of fish.filter((_fish, i) => i % 23 === 0)) {
        const { order } = must(findStandIns({ ...brief, missing: species }, book, { today: TODAY }))
        // One offer stands for each species of the map: none of those that do better than the last one kept was passed over.
        const least = neighbours.at(-1)?.standIn ?? 0
        const better = order.filter(({ offerId, standIn }) => standing.has(offerId) && standIn > least)
        const kept = new Map(neighbours.map(({ to, standIn }) => [fish[to]?.offerId, standIn]))
        expect(better.length).toBeGreaterThan(0)
        for (const { offerId, standIn } of better) expect(kept.get(offerId)).toBe(standIn)
        expect(neighbours).toHaveLength(8)
      }
    }
  })

  it('round one fish is a piece of the whole: that fish, or the fittest, and each of its neighbours with theirs', () => {
    const whole = map().fish
    const fittest = whole.filter(({ sentence }) => sentence === null).reduce((best, one) => (one.fit > best.fit ? one : best))
    for (const around of [null, 'Gadus morhua', 'Salmo salar']) {
      const { fish } = must(mapSwaps(buildBrief(), book, { today: TODAY, around }))
      const centre = fish.findIndex(({ species }) => species === (around ?? fittest.species))
      const near = [centre, ...(fish[centre]?.neighbours ?? []).map(({ to }) => to)]
      expect(near).toHaveLength(9)
      expect(fish).toEqual(whole.map((one, i) => (near.includes(i) ? one : { ...one, neighbours: [] })))
    }
  })

  it('is the same whatever the order of the offers', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(3, 8), (brief, offers) => {
        expect(map(brief, buildSheet(...[...offers].reverse()))).toEqual(map(brief, buildSheet(...offers)))
      }),
      { seed: 62, numRuns: cases(60) },
    )
  })

  it('makes no fish its own neighbour, nor one that cannot do the dish anybody’s, over the whole book', () => {
    for (const [method, format] of [
      ['grill', 'chunk'],
      ['raw', 'slice'],
      ['braise', 'steak'],
    ] as const) {
      const { fish } = map(createPlainBrief(method, format))
      expect(fish.length).toBeGreaterThan(200)
      for (const [i, { neighbours, species }] of fish.entries()) {
        expect(neighbours.length).toBeLessThanOrEqual(8)
        for (const { to, standIn } of neighbours) {
          expect(to).not.toBe(i)
          expect(fish[to]?.sentence, `${species} -> ${fish[to]?.species ?? ''}`).toBeNull()
          expect(standIn).toBeLessThanOrEqual(neighbours[0]?.standIn ?? 0)
        }
      }
    }
  })

  it('answers in the shape of the contract', () => {
    expect(parseSwapMap(JSON.parse(JSON.stringify(map())))).toMatchObject({ ok: true })
  })

  it('says to which side a neighbour parts, on traits the dish pulls on', () => {
    const { fish, brief } = map(createPlainBrief('grill', 'chunk'))
    const found = fish.flatMap(({ neighbours }) => neighbours.flatMap(({ differs }) => differs))
    expect(found.length).toBeGreaterThan(100)
    for (const { trait } of found) expect(brief.asks[trait]?.pull).toBeGreaterThan(0)
  })
})
