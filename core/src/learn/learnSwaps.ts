import type { Learnt, LearnEvent, MethodGroup, OfferSheet } from '@tender-gill/contract'
import { findAlike } from '../standIns/index.ts'
import { createPlainBrief, usualFormats } from '../tables/cuts.ts'
import { METHODS_OF_GROUP, SWAP_WEIGHT } from '../tables/learning.ts'

type Swap = Extract<LearnEvent, { kind: 'swap' }>
type LearntSwap = Learnt['swaps'][number]

const GROUPS = Object.keys(METHODS_OF_GROUP) as MethodGroup[]
const groupOf = ({ method }: Swap): MethodGroup => GROUPS.find((group) => METHODS_OF_GROUP[group].includes(method)) ?? 'mince'

/** A likeness after some swaps, as a share of successes would be: the book's weighs as much as six. @param alikeWas 0..100 */
export const learnAlike = (alikeWas: number, worked: number, n: number): number =>
  (100 * ((SWAP_WEIGHT * alikeWas) / 100 + worked)) / (SWAP_WEIGHT + n)

/** How swaps of one fish for another went, in ways of cooking that are alike. */
export function learnSwaps(events: readonly Swap[], sheet: OfferSheet, today: string): Learnt['swaps'] {
  const keyOf = (event: Swap) => `${groupOf(event)}|${event.missing}|${event.standIn}`
  const keys = [...new Set(events.map(keyOf))].sort()
  return keys.flatMap((key): LearntSwap[] => {
    const own = events.filter((event) => keyOf(event) === key)
    const [first] = own
    if (!first) return []
    const group = groupOf(first)
    const [method = first.method] = METHODS_OF_GROUP[group]
    const { missing, standIn } = first
    const alikeWas = findAlike(createPlainBrief(method, usualFormats(method)[0] ?? 'portion'), { missing, standIn }, sheet, today)
    if (alikeWas === undefined) return []
    const worked = own.filter((event) => event.worked).length
    return [{ group, missing, standIn, alikeWas, alike: learnAlike(alikeWas, worked, own.length), n: own.length }]
  })
}
