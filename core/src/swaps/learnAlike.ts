import type { HouseSwap, Method, ResolvedOffer } from '@tender-gill/contract'
import { SWAP_WEIGHT } from '../tables/learning.ts'
import { groupOfMethod } from './countSwaps.ts'

/** A likeness after some swaps, as a share of successes would be: the book's weighs as much as six. @param alikeWas 0..100 */
export const learnAlike = (alikeWas: number, worked: number, n: number): number =>
  (100 * ((SWAP_WEIGHT * alikeWas) / 100 + worked)) / (SWAP_WEIGHT + n)

/** How it went in this house where an offer stood in for a fish in such a dish; undefined where nobody tried. */
export const findSwap = ({ swapped }: Pick<ResolvedOffer, 'swapped'>, missing: string, method: Method): HouseSwap | undefined =>
  swapped?.find((swap) => swap.missing === missing && swap.group === groupOfMethod(method))
