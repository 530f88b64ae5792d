import type { Brief, Choice, OfferSheet, TakenFish } from '@tender-gill/contract'
import { findPrice } from '../amounts/index.ts'
import { byFit, pickForSpecies, pickStanding, type Board, type Entry } from '../lineUp/index.ts'

/** A serving of the kitchen as it is kept: a dish on a day for so many, with the fish taken for it. */
export interface KeptDish {
  readonly id: string
  readonly revision: number
  readonly brief: Brief
  readonly choice: Choice | null
}

/** Every fish taken for a dish: the one it is, or all that go into its pot. Each is bought for an even share of the portions. */
export const listTaken = ({ beside = [], ...first }: Choice): readonly TakenFish[] => [first, ...beside]

/** A choice with one of its fish changed for another. @param offerId the fish to change; where it is not in it, the choice becomes the other fish */
export function replaceTaken(choice: Choice, offerId: string, fish: TakenFish): Choice {
  const [first, ...beside] = listTaken(choice).map((taken) => (taken.offerId === offerId ? fish : taken))
  if (first === undefined || !listTaken(choice).some((taken) => taken.offerId === offerId)) return fish
  return beside.length > 0 ? { ...first, beside } : first
}

/** The dishes of a kitchen with what they are answered from. */
export interface KeptDishes {
  /** The kitchen's calendar day, ISO date. */
  readonly today: string
  readonly dishes: readonly KeptDish[]
  /** The sheet a dish is answered from: of its day, with the kitchen's prices, or its own market. */
  readonly sheetOf: (brief: Brief) => OfferSheet
}

/** Whether a dish is served between two days, both counted. One for which no day is set yet is shown with any days, so that it is not forgotten. */
export const isServedIn = ({ date }: Brief, { from, to }: { readonly from: string; readonly to: string }): boolean =>
  date === undefined || (date >= from && date <= to)

/** Whether it can be bought: it has a price in the form in which it is judged. */
export const isOffered = ({ candidate: { offer, form } }: Entry): boolean => findPrice(offer, form) !== undefined

/**
 * The fish that leads a dish, in the offer that stands for it; undefined where none can do it.
 * @param onlyOffered whether only what has a price may lead, where anything has one
 */
export function findLeader(board: Board, { onlyOffered = false }: { readonly onlyOffered?: boolean } = {}): Entry | undefined {
  const able = board.considered.filter(({ gates }) => gates.length === 0)
  const passing = onlyOffered && board.considered.some(isOffered) ? able.filter(isOffered) : able
  const standing = pickStanding(passing, board.brief, board.scoring)
  const first = [...standing].sort(byFit)[0]?.candidate.offer.species
  return first === undefined
    ? undefined
    : pickForSpecies(
        standing.filter(({ candidate }) => candidate.offer.species === first),
        board.brief,
      )[0]
}
