/** A closed word of the contract as people read it. */
export const plain = (word: string): string => word.replaceAll('-', ' ')
export const fishPath = (species: string): string => `/book/${encodeURIComponent(species)}`
export const comparePath = (species: readonly string[]): string =>
  `/book/compare?${species.map((name) => `fish=${encodeURIComponent(name)}`).join('&')}`
export const MOST_COMPARED = 4

/** Told to the book's page when a species of the house's own was taken away, so that it can be put back there. */
export interface TakenAway {
  readonly id: string
  readonly name: string
}
