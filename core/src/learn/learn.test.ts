import type { LearnEvent } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { AXES } from '../tables/constants.ts'
import { TODAY, buildBrief, buildOffer, buildSheet, must } from '../testing/builders.ts'
import { answerLearn } from './index.ts'
import { learnAlike } from '../swaps/index.ts'
import { layPrior, learnRange } from './posterior.ts'
import { cases } from '../testing/cases.ts'

const plain = buildOffer('Piscis unus')
const range = (low: number, typical: number, high: number) => ({ low, typical, high, basis: 'compiled' as const })
const offer = {
  ...plain,
  traits: { ...plain.traits, firmness: range(3, 5, 6), fat: range(1, 4, 9), flake: range(5, 5, 5) },
  forms: plain.forms.map((form) => ({ ...form, yieldOfWhole: range(0.4, 0.45, 0.5) })),
}
const sheet = buildSheet(offer, buildOffer('Piscis alter'))
const learn = (events: readonly LearnEvent[]) => must(answerLearn({ events: [...events] }, sheet, { today: TODAY }))
const cooked = (notes: object): LearnEvent => ({ kind: 'cooked', offerId: offer.id, notes })
const note = fc.integer({ min: -2, max: 2 })
const event: fc.Arbitrary<LearnEvent> = fc.oneof(
  note.map((firmness) => cooked({ firmness })),
  fc.record({ fat: note }).map(cooked),
  fc.integer({ min: 250, max: 600 }).map((edibleG): LearnEvent => ({
    ...{ kind: 'yield', offerId: offer.id, form: 'fillet-skinless', boughtG: 1000, edibleG },
  })),
  fc.boolean().map((asOrdered): LearnEvent => ({ kind: 'delivered', merchant: 'Quay', asOrdered })),
  fc.double({ min: 0, max: 12, noNaN: true }).map((iceDays): LearnEvent => ({ kind: 'arrived', merchant: 'Quay', iceDays })),
  fc
    .boolean()
    .map((worked): LearnEvent => ({ ...{ kind: 'swap', method: 'grill', missing: 'Piscis unus', standIn: 'Piscis alter' }, worked })),
)

describe('what a house learns', () => {
  it('of a trait is the hand calculation: prior and notes weighed by how sure they are', () => {
    const [learnt] = learn([cooked({ firmness: 2 }), cooked({ firmness: 1 })]).traits
    const half = ((6 - 3) / 3.29) ** 2 / 2
    const step = AXES.firmness.shoulder / 3
    const each = half + step * step
    const posterior = 1 / (1 / half + 2 / each)
    const mean = posterior * (5 / half + (5 + 2 * step + 5 + step) / each)
    const reach = 1.645 * Math.sqrt(half + posterior)
    expect(learnt?.typical).toBeCloseTo(mean, 9)
    // The book is longer below than above, and stays so.
    expect(learnt?.low).toBeCloseTo(mean - reach * (2 / 1.5), 9)
    expect(learnt?.high).toBeCloseTo(mean + reach * (1 / 1.5), 9)
    expect(learnt?.n).toBe(2)
  })

  it('does not hang on the order of entries, to the last digit', () => {
    fc.assert(
      fc.property(fc.array(event, { maxLength: 14 }), (events) => void expect(learn([...events].reverse())).toEqual(learn(events))),
      { numRuns: cases(120) },
    )
  })

  it('moves towards what is noted, less than all of the way, and grows surer with every entry', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 2 }), fc.integer({ min: 1, max: 12 }), (firmness, n) => {
        const of = (times: number) => learn(Array.from({ length: times }, () => cooked({ firmness }))).traits[0]
        const [one, more] = [of(n), of(n + 1)]
        const told = 5 + (firmness * AXES.firmness.shoulder) / 3
        expect(one?.typical).toBeGreaterThan(5)
        expect(one?.typical).toBeLessThan(told)
        expect(more?.typical).toBeGreaterThan(one?.typical ?? Infinity)
        expect((more?.high ?? 0) - (more?.low ?? 0)).toBeLessThanOrEqual((one?.high ?? 0) - (one?.low ?? 0) + 1e-9)
      }),
    )
  })

  it('is nothing of what the book knows without a range, and nothing from nothing', () => {
    expect(learn([cooked({ flake: 2 })]).traits).toEqual([])
    expect(learn([])).toMatchObject({ traits: [], yields: [], merchants: [], swaps: [], pulls: [] })
  })

  it('of a yield follows what was weighed, through the form it was bought as', () => {
    const weighed = (boughtAs: 'whole' | 'gutted', edibleG: number): LearnEvent => ({
      ...{ kind: 'yield', offerId: offer.id, form: 'fillet-skinless', boughtAs, boughtG: 1000, edibleG },
    })
    const [whole] = learn([weighed('whole', 480)]).yields
    expect(whole?.typical).toBeGreaterThan(0.45)
    expect(whole?.typical).toBeLessThan(0.48)
    // Bought gutted it is a share of less.
    const [gutted] = learn([weighed('gutted', 480)]).yields
    expect(gutted?.typical).toBeLessThan(whole?.typical ?? 0)
  })

  it('of a merchant begins at one line in twenty and three days on ice', () => {
    const [came] = learn([{ kind: 'delivered', merchant: 'Quay', asOrdered: true }]).merchants
    expect(came?.failChance).toBeCloseTo(1 / 21, 12)
    const [old] = learn(Array.from({ length: 40 }, (): LearnEvent => ({ kind: 'arrived', merchant: 'Quay', iceDays: 6 }))).merchants
    expect(old?.iceDays.typical).toBeGreaterThan(5.5)
    expect(old?.iceDays.typical).toBeLessThan(6)
    expect(old).toMatchObject({ n: 0, arrivals: 40, failChance: 1 / 20 })
  })

  it('of swaps counts those of ways of cooking that are alike together, and weighs the book as six', () => {
    expect(learnAlike(50, 3, 4)).toBeCloseTo(60, 9)
    const swap = (method: 'grill' | 'broil' | 'poach', worked: boolean): LearnEvent => ({
      ...{ kind: 'swap', method, missing: 'Piscis unus', standIn: 'Piscis alter', worked },
    })
    const { swaps } = learn([swap('grill', true), swap('broil', false), swap('poach', true)])
    expect(swaps.map(({ group, n }) => [group, n])).toEqual([
      ['fierce', 2],
      ['moist', 1],
    ])
    for (const { alike, alikeWas, n } of swaps) expect(alike).toBeCloseTo(learnAlike(alikeWas, 1, n), 9)
  })

  it('offers no leaning from fewer than eight choices', () => {
    const chose: LearnEvent = { kind: 'chose', brief: buildBrief({ method: 'grill' }), offerId: offer.id }
    expect(learn(Array.from({ length: 7 }, () => chose)).pulls).toEqual([])
  })

  it.each([
    [cooked({ firmness: 1 }), { offerId: 'nobody' }, '/events/0/offerId'],
    [{ kind: 'yield', offerId: offer.id, form: 'fillet-skinless', boughtG: 100, edibleG: 120 }, {}, '/events/0/edibleG'],
    [{ kind: 'swap', method: 'grill', missing: 'Nemo', standIn: 'Piscis alter', worked: true }, {}, '/events/0/missing'],
    [{ kind: 'chose', brief: buildBrief(), offerId: 'nobody' }, {}, '/events/0/offerId'],
  ] as const)('refuses %j%j at %s', (wrong, patch, path) => {
    const answer = answerLearn({ events: [{ ...wrong, ...patch } as LearnEvent] }, sheet, { today: TODAY })
    expect(answer.ok ? [] : answer.error.map((problem) => problem.path)).toContain(path)
  })
})

describe('a posterior', () => {
  it('without observations is the book as far as it is known of this house, with its skew', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 4, noNaN: true }), fc.double({ min: 0.1, max: 4, noNaN: true }), (below, above) => {
        const prior = layPrior({ low: 5 - below, typical: 5, high: 5 + above }, { to: (x) => x, from: (g) => g })
        if (!prior) throw new Error('no prior')
        const { low, typical, high } = learnRange(prior, [], 1)
        expect(typical).toBeCloseTo(5, 9)
        expect((typical - low) / (high - typical)).toBeCloseTo(below / above, 6)
        // Both halves of the variance together are the book's own width.
        expect(high - low).toBeCloseTo(below + above, 2)
      }),
    )
  })
})
