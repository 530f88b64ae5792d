import type { Fact, ResolvedOffer } from '@tender-gill/contract'
import { figure, say, type Tempting } from '../facts/index.ts'
import { describeGate } from '../gates/index.ts'
import { explainPoints } from '../fit/index.ts'
import type { Board, Entry } from '../lineUp/index.ts'
import { TEMPTING, colourLikeness } from '../tables/constants.ts'

/** A fish that passed, with its score; or one that is gated, with none. */
export interface TemptingCandidate {
  readonly entry: Entry
  readonly standIn: number | null
}

const sharesName = (a: ResolvedOffer, b: ResolvedOffer): boolean => {
  const names = new Set(a.marketNames.map((name) => name.toLowerCase()))
  return b.marketNames.some((name) => names.has(name.toLowerCase()))
}

/** How much a fish tempts in place of another: how well it is known, and how like it looks and sounds. 0..2. */
export function computeLure(offer: ResolvedOffer, missing: ResolvedOffer): number {
  const likeness =
    colourLikeness(offer.cookedColour, missing.cookedColour) + Number(offer.family === missing.family) + Number(sharesName(offer, missing))
  return offer.familiarity / 10 + likeness / 3
}

function describeTempting({ entry, standIn }: TemptingCandidate, board: Board): Fact {
  const gate = entry.gates[0]
  if (gate) return describeGate(gate, entry.candidate, board.brief)
  const worst = explainPoints(entry.fit, board.brief)[0]
  return say('tempting.low', { score: figure(standIn ?? 0), worst: worst?.sentence ?? say('tempting.different') })
}

/** Up to three fish that come to mind first and would be wrong here: gated, or far below the best stand-in. */
export function findTempting(candidates: readonly TemptingCandidate[], missing: ResolvedOffer, board: Board): Tempting[] {
  const best = Math.max(0, ...candidates.map(({ standIn }) => standIn ?? 0))
  return (
    candidates
      .filter(({ standIn }) => standIn === null || standIn < TEMPTING.belowBest * best)
      // Another animal or another part is no temptation: nobody takes it for the fish that is missing.
      .filter(({ entry: { gates } }) => !gates.includes('kind') && !gates.includes('part'))
      .map((candidate) => ({ candidate, lure: computeLure(candidate.entry.candidate.offer, missing) }))
      .filter(({ lure }) => lure > TEMPTING.leastLure)
      .sort((a, b) => b.lure - a.lure || (a.candidate.entry.candidate.offer.id < b.candidate.entry.candidate.offer.id ? -1 : 1))
      .slice(0, TEMPTING.most)
      .map(({ candidate }) => {
        const { offer } = candidate.entry.candidate
        return { species: offer.species, common: offer.common, offerId: offer.id, sentence: describeTempting(candidate, board) }
      })
  )
}
