import { createOfferSheet } from '@tender-gill/catalogue'
import { layRound, listCards, type Round } from '@tender-gill/core'
import { createWords, type Told } from '@tender-gill/words'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sayChoice, sayQuestion, sayReason, saySign } from './practiceWords.ts'

const TODAY = '2026-06-13'
const sheet = createOfferSheet(TODAY)
const cards = listCards(sheet)
const KINDS = [...new Set(cards.map(({ kind }) => kind))]

const round = (kind: string): fc.Arbitrary<Told<Round>> =>
  fc
    .record({ card: fc.constantFrom(...cards.filter((card) => card.kind === kind)), seed: fc.nat(99_999), round: fc.nat(400) })
    .map(({ card, ...at }) => layRound(card, sheet, { ...at, today: TODAY }))
    .filter((laid) => laid !== undefined)
    .map((laid) => createWords().tell(laid))

const isSaid = (text: string) => text.length > 0 && !/undefined|NaN|\bnull\b|Infinity/.test(text)

describe.each(KINDS)('a round of %s', (kind) => {
  it('is asked, chosen from and explained in words, no two choices alike and no reason twice', () => {
    fc.assert(
      fc.property(round(kind), (laid) => {
        expect(sayQuestion(laid)).toSatisfy(isSaid)
        const choices = laid.choices.map(({ key }) => sayChoice(laid, key))
        for (const choice of choices) expect(choice).toSatisfy(isSaid)
        expect(new Set(choices).size).toBe(choices.length)
        const reasons = sayReason(laid)
        expect(reasons.length).toBeGreaterThan(0)
        for (const reason of reasons) expect(reason).toSatisfy(isSaid)
        expect(new Set(reasons).size).toBe(reasons.length)
      }),
      { numRuns: 10 },
    )
  })

  it('gives nothing away: the answer is not named before it is asked for', () => {
    fc.assert(
      fc.property(round(kind), (laid) => {
        const right = laid.choices.find((choice) => choice.right)?.key ?? ''
        expect(sayQuestion(laid)).not.toContain(sayChoice(laid, right))
        if (laid.kind === 'freshness') for (const sign of laid.signs) expect(saySign(sign, laid.answer.table)).toMatch(/^[A-Z][^:]*: [a-z]/)
      }),
      { numRuns: 10 },
    )
  })
})
