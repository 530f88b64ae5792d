import type { Folded } from '../learn/index.ts'

type One<K extends keyof Folded> = Folded[K][number]

/** The names by which learnt values are set aside. */
export const LEARNT_KEYS = {
  trait: ({ offerId, trait }: Pick<One<'traits'>, 'offerId' | 'trait'>) => `trait:${offerId}:${trait}`,
  yield: ({ offerId, form }: Pick<One<'yields'>, 'offerId' | 'form'>) => `yield:${offerId}:${form}`,
  merchant: ({ merchant }: Pick<One<'merchants'>, 'merchant'>) => `merchant:${merchant}`,
  swap: ({ group, missing, standIn }: Pick<One<'swaps'>, 'group' | 'missing' | 'standIn'>) => `swap:${group}:${missing}:${standIn}`,
} as const

/** What is learnt without the values that the house has set aside. */
export const leaveOut = ({ traits, yields, merchants, swaps }: Folded, aside: ReadonlySet<string>): Folded => ({
  traits: traits.filter((one) => !aside.has(LEARNT_KEYS.trait(one))),
  yields: yields.filter((one) => !aside.has(LEARNT_KEYS.yield(one))),
  merchants: merchants.filter((one) => !aside.has(LEARNT_KEYS.merchant(one))),
  swaps: swaps.filter((one) => !aside.has(LEARNT_KEYS.swap(one))),
})
