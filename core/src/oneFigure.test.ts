import { createOfferSheet } from '@tender-gill/catalogue'
import type { Brief, Form, OfferSheet, Price } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createFindSpecies } from './brief/index.ts'
import { writeCoverCard } from './coverCard/index.ts'
import { answerFishFirst } from './fishFirst/index.ts'
import { findLeader } from './kept/index.ts'
import { createBoard, rankLineUp } from './lineUp/index.ts'
import { applyMarket, keepOffered } from './market/index.ts'
import { answerAmounts } from './purchase/index.ts'
import { stepSlab } from './slab/index.ts'
import { findStandIns } from './standIns/index.ts'
import { TODAY, buildBrief, mustTell } from './testing/builders.ts'
import { cases } from './testing/cases.ts'

const bare = createOfferSheet(TODAY)
const findSpecies = createFindSpecies(bare.offers)
const SPECIES = [...new Set(bare.offers.map(({ species }) => species))]

/** A day on which some fish have a price, and the stock of some is known, whoever sells them. */
const dayArbitrary = fc.record({
  sold: fc.uniqueArray(fc.constantFrom(...SPECIES), { minLength: 15, maxLength: 40 }),
  known: fc.uniqueArray(fc.constantFrom(...SPECIES), { minLength: 1, maxLength: 6 }),
  form: fc.constantFrom<Form>('whole', 'gutted', 'fillet-skin-on', 'fillet-skinless'),
  perKg: fc.integer({ min: 6, max: 40 }),
})
type Day = typeof dayArbitrary extends fc.Arbitrary<infer T> ? T : never
function laySheet({ sold, known, form, perKg }: Day): OfferSheet {
  const prices = sold.map((species, i): Price => ({
    ...{ species, form, price: perKg + i, currency: 'EUR', unit: 'kg', merchant: 'Quay' },
    date: TODAY,
  }))
  const offers = applyMarket(bare.offers, { prices }, { date: TODAY, waters: null, findSpecies })
  const stock = { low: 60, typical: 70, high: 80, weakest: 'pressure', confidence: 0.8, spent: false }
  return {
    ...bare,
    offers: offers.map((offer) => (known.includes(offer.species) && offer.origin === 'wild' ? { ...offer, stock } : offer)),
  }
}

const briefArbitrary = fc
  .record({
    way: fc.constantFrom<Pick<Brief, 'method' | 'format'>>(
      { method: 'pan-sear', format: 'portion' },
      { method: 'stew', format: 'chunk' },
      { method: 'deep-fry', format: 'fillet-skinless' },
      { method: 'roast-whole', format: 'whole' },
    ),
    asks: fc.constantFrom<Brief['asks']>({}, { stock: { from: 60, pull: 4 } }, { fat: { to: 4, pull: 3 }, stock: { from: 50, pull: 2 } }),
    budget: fc.constantFrom<Partial<Brief>>({}, { budget: { perPortion: 4, currency: 'EUR' } }),
  })
  .map(({ way, asks, budget }) => buildBrief({ ...way, ...(asks ? { asks } : {}), ...budget }))

const finish = <T>(steps: Generator<unknown, T>): T => {
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}

describe('one fish, one dish, one day', () => {
  it('has one fit and one cost, whichever face it is asked of', () => {
    fc.assert(
      fc.property(dayArbitrary, briefArbitrary, fc.nat(), (day, brief, pick) => {
        const sheet = laySheet(day)
        const ask = (from: OfferSheet) => mustTell(rankLineUp(brief, from, { today: TODAY, shares: false, leftOut: false })).ranked
        const whole = ask(sheet)
        const offered = ask(keepOffered(sheet))
        fc.pre(offered.length > 1)
        // In the line of what can be bought, where it is there in the same form.
        for (const row of offered) {
          const same = whole.find(({ offerId, form }) => offerId === row.offerId && form === row.form)
          if (same) expect([row.offerId, row.fit, row.portionCost]).toEqual([same.offerId, same.fit, same.portionCost])
        }
        const row = whole[pick % whole.length]
        if (!row) return
        // Fish first.
        const seen = [{ species: row.species }]
        const first = mustTell(answerFishFirst({ seen, dishes: [brief] }, sheet, { today: TODAY })).dishes[0]?.rows[0]
        expect([first?.offerId, first?.fit, first?.place]).toEqual([row.offerId, row.fit, whole.indexOf(row) + 1])
        if (first?.form === row.form) expect(first.portionCost).toEqual(row.portionCost)
        // Amounts, of the offer and in the form of the row.
        const bought = mustTell(answerAmounts({ ...brief, fish: row.species }, sheet, { today: TODAY }))
        expect([bought.offerId, bought.form]).toEqual([row.offerId, row.form])
        // The slab, for a fish that is on it.
        const kept = { id: 'dish', revision: 1, brief, choice: null }
        const context = { today: TODAY, dishes: [kept], sheetOf: () => sheet }
        const slab = finish(stepSlab({ ...context, date: TODAY, now: { date: TODAY, time: '09:00' }, merchants: [], usualOf: () => null }))
        for (const { offerId, dishes } of slab.fish) {
          const inLine = whole.find((one) => one.offerId === offerId)
          for (const { fit } of dishes) if (inLine) expect(fit).toBe(inLine.fit)
        }
        // Stand-ins for another fish of the line.
        const missing = whole.find(({ species }) => species !== row.species)
        const found = missing && findStandIns({ ...brief, missing: missing.species }, sheet, { today: TODAY })
        const standIn = found?.ok ? found.value.order.find(({ offerId }) => offerId === row.offerId) : undefined
        if (standIn && standIn.form === row.form) expect(standIn.portionCost).toEqual(row.portionCost)
        // Of what can be bought, whoever is missing: the same likeness, cost and fit where it is there in the same form.
        const among = missing && findStandIns({ ...brief, missing: missing.species }, keepOffered(sheet), { today: TODAY })
        if (found?.ok && among?.ok) {
          const sold = new Set(keepOffered(sheet).offers.map(({ id }) => id))
          for (const one of [...among.value.order, ...among.value.ladder]) expect(sold.has(one.offerId)).toBe(true)
          for (const one of among.value.order) {
            const other = found.value.order.find(({ offerId, form }) => offerId === one.offerId && form === one.form)
            if (other) expect([one.alike, one.fit, one.portionCost]).toEqual([other.alike, other.fit, other.portionCost])
          }
        }
        // The leader on the cover card leads what can be bought.
        const [led] = writeCoverCard({ from: TODAY, to: TODAY }, context).rows
        expect(led?.fish?.species).toBe(offered[0]?.species)
        for (const { species } of led?.ladder ?? []) expect(offered.map((one) => one.species)).toContain(species)
        const board = createBoard(brief, sheet, TODAY)
        expect(board.ok && findLeader(board.value)?.candidate.offer.id).toBe(whole[0]?.offerId)
      }),
      { seed: 71, numRuns: cases(25) },
    )
  })

  it('stands in fish first where it stands among what can be bought, when only that is asked', () => {
    fc.assert(
      fc.property(dayArbitrary, briefArbitrary, (day, brief) => {
        const sheet = laySheet(day)
        const offered = mustTell(rankLineUp(brief, keepOffered(sheet), { today: TODAY, shares: false, leftOut: false })).ranked
        const row = offered[Math.floor(offered.length / 2)]
        fc.pre(row !== undefined)
        const options = { today: TODAY, onlyOffered: true }
        const first = mustTell(answerFishFirst({ seen: [{ species: row?.species ?? '' }], dishes: [brief] }, sheet, options)).dishes[0]
          ?.rows[0]
        // The forms it is sold in may differ from the best; its place is then of that form.
        if (first?.form === row?.form) expect([first?.fit, first?.of]).toEqual([row?.fit, offered.length])
      }),
      { seed: 72, numRuns: cases(15) },
    )
  })
})
