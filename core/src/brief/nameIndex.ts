import type { ResolvedOffer } from '@tender-gill/contract'

const fold = (name: string) => name.trim().toLowerCase().replaceAll(/\s+/g, ' ')

/** Finds the accepted scientific name for an accepted name or a synonym; undefined when the book has no such fish. */
export type FindSpecies = (name: string) => string | undefined

/** Look-ups by the set of offers they were built over: a sheet is asked many times. */
const built = new WeakMap<readonly ResolvedOffer[], FindSpecies>()

/** The look-up of scientific names and their synonyms over a set of offers. An accepted name beats a synonym. */
export function createFindSpecies(offers: readonly ResolvedOffer[]): FindSpecies {
  const ready = built.get(offers) ?? buildFindSpecies(offers)
  built.set(offers, ready)
  return ready
}

function buildFindSpecies(offers: readonly ResolvedOffer[]): FindSpecies {
  const index = new Map<string, string>()
  for (const { species, synonyms } of offers) for (const synonym of synonyms) index.set(fold(synonym), species)
  for (const { species } of offers) index.set(fold(species), species)
  return (name) => index.get(fold(name))
}
