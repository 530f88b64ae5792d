import type { LearnEvent, ResolvedOffer } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createOfferSheet } from '@tender-gill/catalogue'
import { createBoard } from '../lineUp/index.ts'
import { findCautions, findRawRefusal } from '../safety/index.ts'
import { findCauses, findStandIns } from '../standIns/index.ts'
import { TODAY, buildBrief, must } from '../testing/builders.ts'
import { arrivalPrior, foldEvents, layLearnt, layMerchants, NOTHING_LEARNT } from './index.ts'
import { cases } from '../testing/cases.ts'

const whole = createOfferSheet(TODAY)
const sheet = { ...whole, offers: whole.offers.filter((_, i) => i % 12 === 0) }
const ids = sheet.offers.map(({ id }) => id)
/** Gates that stand between somebody and harm. */
const SAFETY_GATES: ReadonlySet<string> = new Set(['allergy', 'raw-unsafe', 'vulnerable', 'wax-ester', 'mercury', 'protected'])
const note = fc.integer({ min: -2, max: 2 })
const event: fc.Arbitrary<LearnEvent> = fc.oneof(
  fc
    .record({ offerId: fc.constantFrom(...ids), firmness: note, fat: note, rawBite: note, tolerance: note })
    .map(({ offerId, ...notes }): LearnEvent => ({ kind: 'cooked', offerId, notes })),
  fc
    .record({ a: fc.constantFrom(...sheet.offers), b: fc.constantFrom(...sheet.offers), worked: fc.boolean() })
    .map(({ a, b, worked }): LearnEvent => ({ kind: 'swap', method: 'raw', missing: a.species, standIn: b.species, worked })),
)
const events = fc.array(event, { maxLength: 30 })
/** What is not safety: the rest of an offer must not change at all. */
const safetyOf = ({ traits: _traits, forms: _forms, swapped: _swapped, ...rest }: ResolvedOffer) => rest

describe('what is learnt, laid over a day', () => {
  it('opens no gate of safety, whatever was noted', () => {
    const brief = buildBrief({ method: 'raw', format: 'slice', diners: { pregnant: 1 } })
    const gates = (offers: readonly ResolvedOffer[]) =>
      must(createBoard(brief, { ...sheet, offers: [...offers] }, TODAY)).entries.map(({ candidate, gates: own }) => [
        candidate.offer.id,
        own.filter((gate) => SAFETY_GATES.has(gate)),
      ])
    const before = gates(sheet.offers)
    fc.assert(
      fc.property(events, (list) => {
        const laid = layLearnt(sheet, foldEvents(list, sheet.offers))
        expect(laid.offers.map(safetyOf)).toEqual(sheet.offers.map(safetyOf))
        expect(gates(laid.offers)).toEqual(before)
        const { brief: plain } = must(createBoard(brief, sheet, TODAY))
        for (const [i, offer] of laid.offers.entries()) {
          const book = sheet.offers[i] as ResolvedOffer
          expect(findRawRefusal(offer, plain)).toEqual(findRawRefusal(book, plain))
          expect(findCautions(offer, plain)).toEqual(findCautions(book, plain))
        }
      }),
      { numRuns: cases(12) },
    )
  })

  it('says of every value from how many entries, with the book’s beside it, and changes nothing else', () => {
    fc.assert(
      fc.property(events, (list) => {
        const folded = foldEvents(list, sheet.offers)
        const laid = layLearnt(sheet, folded)
        const told = laid.offers.flatMap(({ traits }) => Object.values(traits).filter(({ learnt }) => learnt))
        expect(told).toHaveLength(folded.traits.length)
        for (const [i, { id, traits }] of laid.offers.entries())
          for (const [trait, { learnt, basis, ...range }] of Object.entries(traits)) {
            const book = (sheet.offers[i] as ResolvedOffer).traits[trait as 'fat']
            const own = folded.traits.find((one) => one.offerId === id && one.trait === trait)
            if (!own) expect({ ...range, basis }).toEqual(book)
            else expect({ basis, n: learnt?.n, book: learnt?.book.typical }).toEqual({ basis: 'house', n: own.n, book: book.typical })
          }
      }),
      { numRuns: cases(30) },
    )
  })

  it('leaves what somebody set by hand as it was set', () => {
    const [first] = sheet.offers
    if (!first) throw new Error('no offer')
    const hand = { ...first, traits: { ...first.traits, firmness: { low: 1, typical: 2, high: 3, basis: 'house' as const } } }
    const folded = foldEvents([{ kind: 'cooked', offerId: hand.id, notes: { firmness: 2 } }], [hand])
    expect(layLearnt({ ...sheet, offers: [hand] }, folded).offers[0]?.traits.firmness).toEqual(hand.traits.firmness)
  })

  it('is the sheet itself where nothing is learnt', () => {
    expect(layLearnt(sheet, NOTHING_LEARNT)).toEqual(sheet)
    expect(layMerchants(sheet, [])).toEqual(sheet)
  })

  it('puts what is known of a merchant in the place of the compiled chance', () => {
    const [first] = sheet.offers
    if (!first) throw new Error('no offer')
    const price = {
      form: 'whole',
      perKg: { low: 1, typical: 2, high: 3 },
      currency: 'EUR',
      quotes: 1,
      latestDate: null,
      quoteId: null,
    } as const
    const sold = { ...first, prices: [{ ...price, merchant: 'Quay', glaze: 0 }] }
    const { merchants } = foldEvents(
      Array.from({ length: 20 }, (_, i): LearnEvent => ({ kind: 'delivered', merchant: 'Quay', asOrdered: i % 2 === 0 })),
      [sold],
    )
    const laid = layMerchants({ ...sheet, offers: [sold] }, merchants).offers[0]
    const chance = (offer: ResolvedOffer | undefined) =>
      offer && findCauses({ offer, form: 'whole' }).find(({ kind }) => kind === 'merchant')?.chance
    expect(chance(sold)).toBe(0.05)
    expect(chance(laid)).toBeCloseTo(11 / 40, 12)
  })

  it('weighs a swap in its own group of methods alone, and never beyond what the book and the tries allow', () => {
    const swaps: readonly LearnEvent[] = Array.from({ length: 4 }, () => ({
      ...{ kind: 'swap', method: 'grill', missing: 'Gadus morhua', standIn: 'Molva molva', worked: false },
    }))
    const laid = layLearnt(whole, foldEvents(swaps, whole.offers))
    const ling = (of: typeof whole, method: 'grill' | 'poach') =>
      must(findStandIns({ ...buildBrief({ method, format: 'chunk' }), missing: 'Gadus morhua' }, of, { today: TODAY })).order.find(
        ({ species }) => species === 'Molva molva',
      )
    expect(ling(laid, 'poach')).toEqual(ling(whole, 'poach'))
    const before = ling(whole, 'grill')?.alike ?? 0
    expect(ling(laid, 'grill')?.alike).toBeCloseTo((6 * before) / 10, 0)
    expect(ling(laid, 'grill')?.learnt).toEqual({ alikeWas: before, worked: 0, n: 4 })
  })
})

describe('what is usual of a merchant before anything is seen', () => {
  it('is the spread of what was seen of its fish before, and nothing where nobody looked', () => {
    const arrived = (days: readonly number[]) =>
      foldEvents(
        days.map((iceDays): LearnEvent => ({ kind: 'arrived', merchant: 'Quay', iceDays })),
        [],
      ).merchants[0]
    expect(arrivalPrior(arrived([]))).toBeUndefined()
    expect(
      arrivalPrior({ merchant: 'Quay', failChance: 0.05, n: 2, arrivals: 0, iceDays: { low: 1, typical: 3, high: 9 } }),
    ).toBeUndefined()
    const learnt = arrived([6, 6, 6, 6])
    const prior = arrivalPrior(learnt)
    // Half of .49 between fish, and what is left of the other half after four looks.
    expect(prior?.lnSd).toBeCloseTo(Math.sqrt(0.245 + 0.245 / 5), 9)
    expect(prior?.medianIceDays).toBeCloseTo(Math.exp((Math.log(3) + 4 * Math.log(6)) / 5), 9)
  })
})
