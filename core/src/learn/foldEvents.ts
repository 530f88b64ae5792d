import type { Learnt, LearnEvent, ResolvedOffer } from '@tender-gill/contract'
import { groupBy } from '../lists/index.ts'
import { countSwaps, type CountedSwap } from '../swaps/index.ts'
import { learnMerchants } from './learnMerchants.ts'
import { learnTraits } from './learnTraits.ts'
import { learnYields } from './learnYields.ts'

type Of<K extends LearnEvent['kind']> = Extract<LearnEvent, { kind: K }>

/** What a house has learnt of its fish, its merchants and its swaps. */
export interface Folded extends Pick<Learnt, 'traits' | 'yields' | 'merchants'> {
  readonly swaps: readonly CountedSwap[]
}
export const NOTHING_LEARNT: Folded = { traits: [], yields: [], merchants: [], swaps: [] }

export const ofKind = <K extends LearnEvent['kind']>(events: readonly LearnEvent[], kind: K): readonly Of<K>[] =>
  events.filter((event): event is Of<K> => event.kind === kind)

function learnEach<T extends { readonly offerId: string }, R>(
  list: readonly T[],
  offers: ReadonlyMap<string, ResolvedOffer>,
  learn: (offer: ResolvedOffer, own: readonly T[]) => readonly R[],
): R[] {
  return [...groupBy(list, ({ offerId }) => offerId)]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([offerId, own]) => {
      const offer = offers.get(offerId)
      return offer ? learn(offer, own) : []
    })
}

/**
 * Events folded into posteriors. Events of fish that is not among the offers teach nothing. The order of events changes nothing; swaps are
 * counted, not yet weighed, since how alike two fish are is a matter of the dish.
 * @param offers the book, before anything learnt is laid over it
 */
export function foldEvents(events: readonly LearnEvent[], offers: readonly ResolvedOffer[]): Folded {
  const byId = new Map(offers.map((offer) => [offer.id, offer]))
  return {
    traits: learnEach(ofKind(events, 'cooked'), byId, learnTraits),
    yields: learnEach(ofKind(events, 'yield'), byId, learnYields),
    merchants: learnMerchants([...ofKind(events, 'delivered'), ...ofKind(events, 'arrived')]),
    swaps: countSwaps(ofKind(events, 'swap')),
  }
}
