import { createOfferSheet } from '@tender-gill/catalogue'
import type { Brief } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { simulateRanks, type Entrant } from '../draws/index.ts'
import { createBoard, type Board } from '../lineUp/index.ts'
import { cases } from '../testing/cases.ts'
import { briefArbitrary, offersArbitrary } from '../testing/arbitraries.ts'
import { TODAY, buildSheet, must } from '../testing/builders.ts'
import { referenceFit, referenceRanks } from './index.ts'

const book = createOfferSheet(TODAY)
const passing = ({ considered }: Board): readonly Entrant[] => considered.filter(({ gates }) => gates.length === 0)

function expectSameRanks(board: Board, draws: number): void {
  const entrants = passing(board)
  const leader = entrants[0]?.candidate.offer.species
  const options = { draws, seed: board.brief.seed, scoring: board.scoring, leader }
  const fast = simulateRanks(entrants, board.brief, options)
  const slow = referenceRanks(entrants, board.brief, options)
  expect(fast.noneShare).toBeCloseTo(slow.noneShare, 9)
  for (const [species, shares] of slow.bySpecies) expect(fast.bySpecies.get(species)).toEqual(shares)
}

describe('the engine against the straightforward reference', () => {
  it('has the same fit to 1e-9 for every offer of the book and any brief', () => {
    fc.assert(
      fc.property(briefArbitrary, (brief) => {
        const board = must(createBoard(brief, book, TODAY))
        for (const { candidate, fit } of board.entries) expect(fit.fit).toBeCloseTo(referenceFit(candidate, board.brief, board.scoring), 9)
      }),
      { seed: 1, numRuns: cases(60) },
    )
  })

  it('has the same rank shares draw for draw on invented fish', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(2, 7), (brief, offers) =>
        expectSameRanks(must(createBoard(brief, buildSheet(...offers), TODAY)), 60),
      ),
      { seed: 2, numRuns: cases(60) },
    )
  })

  it('has the same rank shares with prices, unknown prices, a budget that is a must, and tables of penalties', () => {
    const price = (species: string, perKg: number) => ({
      species,
      form: 'fillet-skinless' as const,
      price: perKg,
      currency: 'EUR',
      unit: 'kg' as const,
    })
    const brief: Brief = {
      dish: 'Priced',
      method: 'stew',
      format: 'chunk',
      covers: 4,
      budget: { perPortion: 6, currency: 'EUR', must: true },
      asks: { cohesion: { from: 6, must: true } },
      market: {
        prices: [price('Lophius piscatorius', 27), price('Conger conger', 12), price('Molva molva', 16), price('Anarhichas lupus', 19)],
      },
    }
    expectSameRanks(must(createBoard(brief, book, TODAY)), 1500)
    expectSameRanks(must(createBoard({ ...brief, budget: { perPortion: 6, currency: 'EUR' } }, book, TODAY)), 1500)
  })
})
