import type { Range, ResolvedOffer } from '@tender-gill/contract'
import { HISTAMINE_LIMITS, KEEPING_DAYS, THAWED_KEEPS_LESS_DAYS, UNKNOWN_AGE_DAYS } from '../tables/constants.ts'

/**
 * Relative spoilage rate against melting ice, (1 + 0.1 T)^2. Square-root type after Ratkowsky and Olley.
 * @param tempC -60..60; measured between -2 and 15 °C, 0 at -10 °C or colder, the same formula outside its range in between and above
 */
export const computeSpoilageRate = (tempC: number): number => (tempC <= -10 ? 0 : (1 + 0.1 * tempC) ** 2)

/** Days on ice that a wait is worth: rate x hours / 24. */
export const computeIceDays = ({ hours, tempC }: { hours: number; tempC: number }): number => (computeSpoilageRate(tempC) * hours) / 24

export interface KeepingOptions {
  readonly servedRaw: boolean
}

/** Days on ice a fish keeps from when it was landed, or thawed: by its class, three less once frozen, half of it to be eaten raw. */
export function computeKeepingDays({ storage, state }: Pick<ResolvedOffer, 'storage' | 'state'>, { servedRaw }: KeepingOptions): number {
  const days = Math.max(0, KEEPING_DAYS[storage] - (state === 'fresh' ? 0 : THAWED_KEEPS_LESS_DAYS))
  return servedRaw ? days / 2 : days
}

/** Days on ice behind a fish of which nobody says how old it is; the clock of a frozen one starts at thawing. */
export const unknownAge = ({ state }: Pick<ResolvedOffer, 'state'>): Range =>
  state === 'frozen' ? { low: 0, typical: 0, high: 0 } : UNKNOWN_AGE_DAYS

/** Days on ice left in an offer when bought: keeping days less its unknown age, none where it is past them. */
export function computeDaysLeft(offer: Pick<ResolvedOffer, 'storage' | 'state'>, options: KeepingOptions): Range {
  const days = computeKeepingDays(offer, options)
  const age = unknownAge(offer)
  return { low: Math.max(0, days - age.high), typical: Math.max(0, days - age.typical), high: Math.max(0, days - age.low) }
}

/**
 * Whether a histamine former was too warm for too long, each limit over all of its time together; after commonly published guidance, on
 * its strict side. What formed stays, raw or cooked.
 */
export const passesHistamineLimit = (stretches: readonly { readonly hours: number; readonly tempC: number }[]): boolean =>
  HISTAMINE_LIMITS.some(({ aboveC, hours }) => sumHoursAbove(stretches, aboveC) > hours)

/** Hours above a warmth, all stretches together. */
export const sumHoursAbove = (stretches: readonly { readonly hours: number; readonly tempC: number }[], aboveC: number): number =>
  stretches.reduce((sum, { hours, tempC }) => (tempC > aboveC ? sum + hours : sum), 0)
