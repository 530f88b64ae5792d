import type { HouseSwap, LearnEvent, Method, MethodGroup } from '@tender-gill/contract'
import { groupBy } from '../lists/index.ts'
import { METHODS_OF_GROUP } from '../tables/learning.ts'

type Swap = Extract<LearnEvent, { kind: 'swap' }>
/** Swaps of one fish for another in ways of cooking that are alike. */
export interface CountedSwap extends HouseSwap {
  readonly standIn: string
}

const GROUPS = Object.keys(METHODS_OF_GROUP) as MethodGroup[]
/** The ways of cooking among which a swap that worked in one works in the others. */
export const groupOfMethod = (method: Method): MethodGroup => GROUPS.find((group) => METHODS_OF_GROUP[group].includes(method)) ?? 'mince'

/** How often swaps were made and how often they worked. */
export function countSwaps(events: readonly Swap[]): readonly CountedSwap[] {
  const keyed = groupBy(events, ({ method, missing, standIn }) => `${groupOfMethod(method)}|${missing}|${standIn}`)
  return [...keyed]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([, own]) => {
      const [first] = own
      if (!first) return []
      const { method, missing, standIn } = first
      return [{ group: groupOfMethod(method), missing, standIn, worked: own.filter(({ worked }) => worked).length, n: own.length }]
    })
}
