import { createOfferSheet } from '@tender-gill/catalogue'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { TODAY } from '../testing/builders.ts'
import { cardKey, layRound, listCards, NO_PROGRESS, pickCard, scoreAnswer, type Card, type Progress } from './index.ts'
import { cases } from '../testing/cases.ts'

const sheet = createOfferSheet(TODAY)
const cards = listCards(sheet)
const few = cards.slice(0, 6)
const seed = fc.integer({ min: 0, max: 100_000 })
const answers = fc.array(fc.boolean(), { maxLength: 60 })

/** Practises some rounds, each answered as told. */
const practise = (told: readonly boolean[], from: readonly Card[], at: number): readonly { card: Card; progress: Progress }[] => {
  let progress = NO_PROGRESS
  return told.flatMap((right) => {
    const card = pickCard(from, progress, at)
    if (!card) return []
    progress = scoreAnswer(progress, card, right)
    return [{ card, progress }]
  })
}

describe('a round', () => {
  it('has one right answer among several that differ, and is the same for the same seed', () => {
    fc.assert(
      fc.property(fc.constantFrom(...cards), seed, fc.nat(500), (card, at, round) => {
        const laid = layRound(card, sheet, { seed: at, round, today: TODAY })
        expect(layRound(card, sheet, { seed: at, round, today: TODAY })).toEqual(laid)
        if (!laid) return
        expect(laid.choices.filter(({ right }) => right)).toHaveLength(1)
        expect(new Set(laid.choices.map(({ key }) => key)).size).toBe(laid.choices.length)
        expect(laid.choices.length).toBeGreaterThanOrEqual(3)
      }),
      { numRuns: cases(40) },
    )
  })

  it('is answered by the engine: the stand-in that scores most, the outcome that it tells', () => {
    fc.assert(
      fc.property(fc.constantFrom(...cards), seed, (card, at) => {
        const laid = layRound(card, sheet, { seed: at, round: 1, today: TODAY })
        const right = laid?.choices.find((one) => one.right)?.key
        if (laid?.kind === 'stand-in') {
          const best = [...laid.rows].sort((a, b) => b.standIn - a.standIn)[0]
          expect(right).toBe(best?.species)
          expect(laid.rows.map(({ species }) => species)).not.toContain(card.species)
        }
        if (laid?.kind === 'freshness') expect(right).toBe(laid.answer.outcome)
        if (laid?.kind === 'weight') expect(right).toBe(String(laid.answer.buy.g))
        if (laid?.kind === 'name') expect(right).toBe(card.species)
      }),
      { numRuns: cases(40) },
    )
  })
})

describe('what is asked next', () => {
  it('is a new card as long as none is due, each once', () => {
    const asked = practise(
      few.map(() => true),
      few,
      7,
    ).map(({ card }) => cardKey(card))
    expect(new Set(asked.slice(0, 4)).size).toBe(4)
  })

  it('brings a missed card back after three rounds, and one that is known ever later', () => {
    const card = cards[0] as Card
    const missed = scoreAnswer(NO_PROGRESS, card, false)
    expect(missed.asked[cardKey(card)]).toMatchObject({ box: 0, due: 4, missed: 1 })
    let known = NO_PROGRESS
    const gaps = Array.from({ length: 5 }, () => {
      const before = known.round
      known = scoreAnswer(known, card, true)
      return (known.asked[cardKey(card)]?.due ?? 0) - before
    })
    expect(gaps).toEqual([...gaps].sort((a, b) => a - b))
    expect(gaps[4]).toBeGreaterThan((gaps[0] ?? 0) * 8)
  })

  it('counts every round once, and never has more right than rounds', () => {
    fc.assert(
      fc.property(answers, seed, (told, at) => {
        const last = practise(told, few, at).at(-1)?.progress ?? NO_PROGRESS
        expect(last.round).toBe(told.length)
        expect(last.right).toBe(told.filter(Boolean).length)
        expect(Object.values(last.asked).reduce((sum, { seen }) => sum + seen, 0)).toBe(told.length)
      }),
      { numRuns: cases(60) },
    )
  })

  it('asks what is missed more often than what is known', () => {
    const hard = cardKey(few[0] as Card)
    let progress = NO_PROGRESS
    for (let i = 0; i < 80; i += 1) {
      const card = pickCard(few, progress, 3)
      if (!card) break
      progress = scoreAnswer(progress, card, cardKey(card) !== hard)
    }
    const seen = (key: string) => progress.asked[key]?.seen ?? 0
    for (const card of few.slice(1)) expect(seen(hard)).toBeGreaterThan(seen(cardKey(card)))
  })
})
