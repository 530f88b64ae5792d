import type { Range, ResolvedOffer, StorageClass } from '@tender-gill/contract'
import { KEEPING_DAYS, THAWED_KEEPS_LESS_DAYS, UNKNOWN_AGE_DAYS } from '../tables/constants.ts'

/**
 * Relative spoilage rate against melting ice, (1 + 0.1 T)^2. Square-root type after Ratkowsky and Olley.
 * @param tempC -30..30; measured between -2 and 15 °C, 0 at -10 °C or colder, the same value outside its range in between
 */
export const computeSpoilageRate = (tempC: number): number => (tempC <= -10 ? 0 : (1 + 0.1 * tempC) ** 2)

/** Days on ice that a wait is worth: rate x hours / 24. */
export const computeIceDays = ({ hours, tempC }: { hours: number; tempC: number }): number => (computeSpoilageRate(tempC) * hours) / 24

export interface KeepingOptions {
  readonly servedRaw: boolean
}

const keepingDays = (storage: StorageClass, thawed: boolean, servedRaw: boolean): number => {
  const days = Math.max(0, KEEPING_DAYS[storage] - (thawed ? THAWED_KEEPS_LESS_DAYS : 0))
  return servedRaw ? days / 2 : days
}

/** Days on ice left in an offer when bought: keeping days less its unknown age. Frozen fish starts its clock at thawing. */
export function computeDaysLeft({ storage, state }: Pick<ResolvedOffer, 'storage' | 'state'>, { servedRaw }: KeepingOptions): Range {
  const days = keepingDays(storage, state !== 'fresh', servedRaw)
  const age = state === 'frozen' ? { low: 0, typical: 0, high: 0 } : UNKNOWN_AGE_DAYS
  return { low: Math.max(0, days - age.high), typical: Math.max(0, days - age.typical), high: Math.max(0, days - age.low) }
}
