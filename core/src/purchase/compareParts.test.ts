import { createOfferSheet } from '@tender-gill/catalogue'
import type { Brief, ResolvedOffer } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { computePortionCost } from '../amounts/index.ts'
import { createBoard } from '../lineUp/index.ts'
import { TODAY, buildBrief, mustTell } from '../testing/builders.ts'
import { cases } from '../testing/cases.ts'
import { compareParts } from './index.ts'

const book = createOfferSheet(TODAY)
const FISH = ['Salmo salar', 'Gadus morhua', 'Argyrosomus regius', 'Oncorhynchus tshawytscha'] as const
const price = (offer: ResolvedOffer, perKg: number): ResolvedOffer => ({
  ...offer,
  prices: [
    {
      ...{ form: 'fillet-skin-on', perKg: { low: perKg, typical: perKg, high: perKg }, currency: 'EUR', quotes: 1 },
      ...{ latestDate: null, quoteId: null, merchant: null, glaze: 0 },
    },
  ],
})
const bodyOf = (species: string) =>
  book.offers.find((offer) => offer.species === species && offer.part === 'body' && offer.state === 'fresh')
/** A day on which the body of a fish, and whatever else is named, has a price. */
function lay(species: string, perKg: number, also: Readonly<Record<string, number>> = {}) {
  const body = bodyOf(species)
  const dear = (offer: ResolvedOffer) => (offer.id === body?.id ? perKg : also[offer.id])
  return { ...book, offers: book.offers.map((offer) => (dear(offer) === undefined ? offer : price(offer, dear(offer) ?? 0))) }
}
const compare = (species: string, perKg: number, patch: Partial<Brief> = {}) =>
  mustTell(
    compareParts({ ...buildBrief(patch), fish: species, offer: bodyOf(species)?.id ?? '', form: 'fillet-skin-on' }, lay(species, perKg), {
      today: TODAY,
    }),
  )

describe('the parts of one fish', () => {
  it('are worth the price at which each does the dish as well as the part it is held against', () => {
    const ways = fc.constantFrom<Pick<Brief, 'method' | 'format'>>(
      { method: 'stew', format: 'chunk' },
      { method: 'grill', format: 'fillet-skin-on' },
      { method: 'pan-sear', format: 'portion' },
      { method: 'mince', format: 'mince' },
    )
    fc.assert(
      fc.property(fc.constantFrom(...FISH), fc.integer({ min: 6, max: 40 }), ways, (species, perKg, way) => {
        const brief = buildBrief(way)
        const compared = compare(species, perKg, way)
        for (const { offerId, worthPerKg, form } of compared?.parts ?? []) {
          if (worthPerKg === null || worthPerKg === 0 || worthPerKg >= 5 * perKg) continue
          // The dish with that cost asked for, and the part at that price: level with the reference, a cent more and it is not.
          const cost = { asks: { ...brief.asks, portionCost: { from: 0, to: costOf(species, perKg, way), pull: 3 } } }
          const fitAt = (worth: number) => {
            const sheet = lay(species, perKg, { [offerId]: worth })
            const board = createBoard({ ...brief, ...cost, pool: [species] }, sheet, TODAY)
            return board.ok ? board.value.entries.find(({ candidate }) => candidate.offer.id === offerId)?.fit.fit : undefined
          }
          if (form !== 'fillet-skin-on') continue
          expect(fitAt(worthPerKg) ?? NaN).toBeGreaterThanOrEqual((compared?.fit ?? NaN) - 1e-6)
          expect(fitAt(worthPerKg * 1.01) ?? NaN).toBeLessThan(compared?.fit ?? NaN)
        }
      }),
      { seed: 141, numRuns: cases(20) },
    )
  })

  it('are worth nothing beside it where no price makes up for what they are, and more where they do the dish better', () => {
    const tail = (patch: Partial<Brief>) => compare('Salmo salar', 20, patch)?.parts.find(({ part }) => part === 'tail')
    expect(tail({ method: 'mince', format: 'mince' })?.worthPerKg ?? 0).toBeGreaterThan(20)
    const stew = compare('Gadus morhua', 20, { method: 'stew', format: 'chunk' })
    for (const { fit, worthPerKg } of stew?.parts ?? []) if (fit !== null && fit < (stew?.fit ?? 0) - 1) expect(worthPerKg).toBeLessThan(20)
  })

  it('scale with the price they are held against', () => {
    const [low, high] = [compare('Salmo salar', 10), compare('Salmo salar', 20)]
    for (const { offerId, worthPerKg } of low?.parts ?? []) {
      const other = high?.parts.find((part) => part.offerId === offerId)?.worthPerKg
      if (worthPerKg !== null && other !== null && other !== undefined) expect(other).toBeCloseTo(2 * worthPerKg, 3)
    }
  })

  it('say why one cannot do the dish, and nothing where there is no price', () => {
    const steaks = compare('Gadus morhua', 20, { method: 'roast', format: 'steak', thicknessMm: 40 })
    expect(steaks?.parts.some(({ because, worthPerKg }) => because !== null && worthPerKg === null)).toBe(true)
    const bare = compareParts(
      { ...buildBrief(), fish: 'Gadus morhua', offer: bodyOf('Gadus morhua')?.id ?? '', form: 'fillet-skin-on' },
      book,
      { today: TODAY },
    )
    expect(bare).toEqual({ ok: true, value: null })
  })
})

/** What a portion of the body costs, as the comparison asks for it where the dish asks for none. */
function costOf(species: string, perKg: number, way: Partial<Brief>): number {
  const board = createBoard({ ...buildBrief(way), pool: [species] }, lay(species, perKg), TODAY)
  const entry = board.ok ? board.value.entries.find(({ candidate }) => candidate.offer.id === bodyOf(species)?.id) : undefined
  const cost = entry && board.ok ? computePortionCost(entry.candidate.offer, 'fillet-skin-on', board.value.brief)?.typical : null
  return cost ?? 0
}
