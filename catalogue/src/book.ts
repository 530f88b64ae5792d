import type { OfferSheet, ResolvedOffer, SpeciesSheet } from '@tender-gill/contract'
import book from '../dist/book.json' with { type: 'json' }

interface Book {
  readonly snapshot: string
  readonly species: readonly SpeciesSheet[]
}
const shipped = book as unknown as Book

/** Every species of the shipped book, by scientific name. */
export const listSpecies = (): readonly SpeciesSheet[] => shipped.species
/** Every offer of the shipped book, no prices, seasons or stocks laid over it. */
export const listOffers = (): readonly ResolvedOffer[] => shipped.species.flatMap(({ offers }) => offers)
/** Hash of the shipped book. */
export const catalogueSnapshot: string = shipped.snapshot
/** The shipped offers as the engine is fed them. */
export const createOfferSheet = (date: string): OfferSheet => ({ snapshot: shipped.snapshot, date, offers: [...listOffers()] })
