import { hashDraw } from '../draws/index.ts'

/** What is practised. */
export const PRACTICE_KINDS = ['stand-in', 'freshness', 'name', 'weight'] as const
export type PracticeKind = (typeof PRACTICE_KINDS)[number]
/** One thing to be asked: of one kind, about one fish. */
export interface Card {
  readonly kind: PracticeKind
  readonly species: string
}
/** How it stands with a card that was asked. */
export interface Asked {
  /** 0 after a miss; each right answer puts it one box on. */
  readonly box: number
  /** The round from which on it is due again. */
  readonly due: number
  readonly missed: number
  readonly seen: number
}
/** Everything practised so far, by the key of a card, and how many rounds that was. */
export interface Progress {
  readonly round: number
  readonly right: number
  readonly asked: Readonly<Record<string, Asked>>
}
export const NO_PROGRESS: Progress = { round: 0, right: 0, asked: {} }

export const cardKey = ({ kind, species }: Card): string => `${kind}|${species}`

/** A missed card comes back after so many rounds; each right answer doubles that. */
const FIRST_GAP = 3
const MOST_BOX = 6

/** Progress after an answer: a card that was missed soon comes again, one that is known ever later. */
export function scoreAnswer({ round, right, asked }: Progress, card: Card, wasRight: boolean): Progress {
  const before = asked[cardKey(card)] ?? { box: 0, due: 0, missed: 0, seen: 0 }
  const box = wasRight ? Math.min(MOST_BOX, before.box + 1) : 0
  const now: Asked = { box, due: round + 1 + FIRST_GAP * 2 ** box, missed: before.missed + (wasRight ? 0 : 1), seen: before.seen + 1 }
  return { round: round + 1, right: right + (wasRight ? 1 : 0), asked: { ...asked, [cardKey(card)]: now } }
}

/** The order in which cards are met for the first time hangs on the seed alone. */
const orderOf = (seed: number, i: number): number => hashDraw(seed, i, 11)

/**
 * The card to ask next: of those that are due the one missed most, then the longest due; where none is due, a new one; where all were met, the
 * one due soonest.
 */
export function pickCard(cards: readonly Card[], { round, asked }: Progress, seed: number): Card | undefined {
  const met = cards.flatMap((card) => {
    const state = asked[cardKey(card)]
    return state ? [{ card, state }] : []
  })
  const due = met.filter(({ state }) => state.due <= round).sort((a, b) => b.state.missed - a.state.missed || a.state.due - b.state.due)
  if (due[0]) return due[0].card
  const fresh = cards
    .map((card, i) => ({ card, order: orderOf(seed, i) }))
    .filter(({ card }) => !asked[cardKey(card)])
    .sort((a, b) => a.order - b.order)
  if (fresh[0]) return fresh[0].card
  return [...met].sort((a, b) => a.state.due - b.state.due)[0]?.card
}
