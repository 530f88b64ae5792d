import type { BandKey } from '@tender-gill/contract'
import type { NormalisedAsk, NormalisedAsks, NormalisedBrief } from '../facts/index.ts'
import { rejudge, type Board, type Entry } from '../lineUp/index.ts'
import { readTrait, type Candidate } from '../traits/index.ts'

/** Asks that nobody at the table, in the brief or in the house made: they come with the way of cooking or the cut, and hold no must. */
const comesWithTheDish = ({ because, must }: NormalisedAsk): boolean =>
  must === null && because.length > 0 && because.every((source) => source === 'method' || source === 'format')

function widen(key: BandKey, ask: NormalisedAsk, missing: Candidate, brief: NormalisedBrief): NormalisedAsk {
  const value = readTrait(key, missing, brief)?.typical
  if (value === undefined) return ask
  return {
    ...ask,
    from: ask.from === null ? null : Math.min(ask.from, value),
    to: ask.to === null ? null : Math.max(ask.to, value),
  }
}

/**
 * The dish as it is served works with the missing fish: each ask that comes from the method or the cut alone is widened until it holds that
 * fish. What diners, house or brief ask, and every must, stays as it is.
 * @returns the same asks where none is wider
 */
export function widenAsks(brief: NormalisedBrief, missing: Candidate): NormalisedAsks {
  const widened: NormalisedAsks = { ...brief.asks }
  for (const [key, ask] of Object.entries(brief.asks) as [keyof NormalisedAsks, NormalisedAsk][]) {
    if (!comesWithTheDish(ask)) continue
    if (key === 'colour') widened.colour = { ...ask, wanted: [...new Set([...(ask.wanted ?? []), missing.offer.cookedColour])] }
    else widened[key] = widen(key, ask, missing, brief)
  }
  return widened
}

/** A board on which the dish works with the missing fish. */
export const boardForMissing = (board: Board, { candidate }: Entry): Board =>
  rejudge(board, { ...board.brief, asks: widenAsks(board.brief, candidate) })
