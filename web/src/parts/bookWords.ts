/** A closed word of the contract as people read it. */
export const plain = (word: string): string => word.replaceAll('-', ' ')
export const fishPath = (species: string): string => `/book/${encodeURIComponent(species)}`
export const comparePath = (species: readonly string[]): string =>
  `/book/compare?${species.map((name) => `fish=${encodeURIComponent(name)}`).join('&')}`
export const MOST_COMPARED = 4
