import type { Bought, Form } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { findPrice } from '../amounts/index.ts'
import type { Scoring } from '../fit/index.ts'
import type { Candidate } from '../traits/index.ts'

/** The forms that count as bought whole, and as cut by the merchant. */
const FORMS_BOUGHT: Record<Bought, ReadonlySet<Form>> = {
  whole: new Set<Form>(['whole', 'gutted']),
  cut: new Set<Form>(['fillet-skin-on', 'fillet-skinless', 'loin', 'steak']),
}

export const asksCost = ({ asks }: Scoring): boolean => asks.some(({ key }) => key === 'portionCost')

/**
 * Which of a species' passing candidates may stand for it: those of the highest precedence. First comes a known price, where cost is asked
 * (not knowing is no bargain); then the origin the house leans to; then the way it would rather buy. Between species it decides nothing.
 * @returns a whole number, higher first
 */
export function computePrecedence({ offer, form }: Candidate, { house }: NormalisedBrief, costIsAsked: boolean): number {
  const priced = costIsAsked && findPrice(offer, form) !== undefined
  const origin = house.origin !== null && offer.origin === house.origin
  const bought = house.bought !== null && FORMS_BOUGHT[house.bought].has(form)
  return (priced ? 4 : 0) + (origin ? 2 : 0) + (bought ? 1 : 0)
}

/** Keeps of each species what has the highest precedence in it. */
export function keepHighest<T>(items: readonly T[], speciesOf: (item: T) => string, precedenceOf: (item: T) => number): readonly T[] {
  const highest = new Map<string, number>()
  for (const item of items) {
    const precedence = precedenceOf(item)
    const species = speciesOf(item)
    if (precedence > (highest.get(species) ?? -1)) highest.set(species, precedence)
  }
  return items.filter((item) => precedenceOf(item) === highest.get(speciesOf(item)))
}
