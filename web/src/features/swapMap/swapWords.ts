import type { SwapLink } from '@tender-gill/contract'
import { DIFFERENCE_WORDS } from '../../reader/index.ts'

const DIFFERENCES_TOLD = 3

/** How a neighbour parts from the fish in the middle, in words. */
export function describeParting({ differs }: SwapLink): string {
  if (differs.length === 0) return 'no difference this way of cooking would notice'
  return differs
    .slice(0, DIFFERENCES_TOLD)
    .map(({ trait, step }) => DIFFERENCE_WORDS[trait][step > 0 ? 1 : 0])
    .join(', ')
}
