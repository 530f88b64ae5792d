import type { Learnt, OfferSheet } from '@tender-gill/contract'
import { findAlike } from '../standIns/index.ts'
import { createPlainBrief, usualFormats } from '../tables/cuts.ts'
import { METHODS_OF_GROUP } from '../tables/learning.ts'
import type { CountedSwap } from '../swaps/index.ts'
import { learnAlike } from '../swaps/index.ts'

/** How swaps of one fish for another went, with how alike the two are in the first way of cooking of the group. */
export const learnSwaps = (counted: readonly CountedSwap[], sheet: OfferSheet, today: string): Learnt['swaps'] =>
  counted.flatMap(({ group, missing, standIn, worked, n }) => {
    const [method] = METHODS_OF_GROUP[group]
    if (!method) return []
    const alikeWas = findAlike(createPlainBrief(method, usualFormats(method)[0] ?? 'portion'), { missing, standIn }, sheet, today)
    return alikeWas === undefined ? [] : [{ group, missing, standIn, alikeWas, alike: learnAlike(alikeWas, worked, n), n }]
  })
