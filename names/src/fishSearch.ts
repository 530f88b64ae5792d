import type { ResolvedOffer } from '@tender-gill/contract'
import MiniSearch from 'minisearch'

export interface FishHit {
  readonly species: string
  readonly common: string
  /** The name that matched best, when it is not the common one. */
  readonly soldAs: string | null
  /** How many species of the book share that name. */
  readonly sharedBy: number
  /** Said beside the name where the fish behind it is closed: protected, or not safe to eat. */
  readonly warning: string | null
}
/** A market name that covers several species. */
export interface SharedName {
  readonly name: string
  readonly species: readonly string[]
}
export interface FishSearch {
  readonly find: (text: string) => readonly FishHit[]
  /** The one species a name is sold as and no other, word for word; undefined for a name that is shared, misspelt or unknown. */
  readonly findExact: (name: string) => string | undefined
  /** The shared name a text stands for, when it is one. */
  readonly findShared: (text: string) => SharedName | null
}

/** Case, accents, hyphens and a plural make no other name. */
const fold = (text: string) =>
  text
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '')
    .toLowerCase()
    .replaceAll(/[-’'`]/g, ' ')
    .replaceAll(/\s+/g, ' ')
    .trim()
const singular = (word: string) =>
  word.length > 4 && word.endsWith('ies')
    ? `${word.slice(0, -3)}y`
    : word.length > 3 && word.endsWith('s') && !word.endsWith('ss')
      ? word.slice(0, -1)
      : word
const foldTerm = (term: string) => singular(fold(term))
const foldName = (name: string) => fold(name).split(' ').map(singular).join(' ')
const MOST = 8

function warn({ listing, waxEster }: ResolvedOffer): string | null {
  if (listing?.status === 'prohibited') return 'protected: not for the kitchen'
  return waxEster ? 'wax ester: makes people ill' : null
}

interface Doc {
  readonly id: string
  readonly species: string
  readonly name: string
  readonly common: boolean
  readonly familiarity: number
}

/**
 * Finds fish by any name they are sold under: any case, with or without accents, plural, misspelt, words in any order. Each name is a
 * document of its own, so that a whole match on one name beats bits of several.
 */
export function createFishSearch(offers: readonly ResolvedOffer[]): FishSearch {
  const fish = new Map(offers.map((offer) => [offer.species, offer]))
  const owners = new Map<string, Set<string>>()
  /** The book's own name of a fish beats a market name that others share. */
  const own = new Map<string, Set<string>>()
  const docs: Doc[] = []
  for (const { species, common, synonyms, marketNames, familiarity } of fish.values())
    for (const [i, name] of [...new Set([common, species, ...synonyms, ...marketNames])].entries()) {
      if (name === common || name === species) own.set(fold(name), (own.get(fold(name)) ?? new Set()).add(species))
      docs.push({ id: `${species}|${i}`, species, name, common: i === 0, familiarity })
      const key = foldName(name)
      owners.set(key, (owners.get(key) ?? new Set()).add(species))
    }
  const index = new MiniSearch<Doc>({
    fields: ['name'],
    storeFields: ['species', 'name', 'common', 'familiarity'],
    processTerm: foldTerm,
    tokenize: (text) =>
      fold(text)
        .split(/[^\p{L}\p{N}]+/u)
        .filter(Boolean),
    searchOptions: {
      prefix: (term) => term.length > 1,
      fuzzy: (term) => (term.length > 8 ? 2 : term.length > 3 ? 1 : false),
      combineWith: 'AND',
      weights: { fuzzy: 0.35, prefix: 0.6 },
      boostDocument: (_id, _term, stored) => 1 + Number(stored?.familiarity ?? 0) / 10 + (stored?.common ? 0.1 : 0),
    },
  })
  index.addAll(docs)
  const sharedBy = (name: string) => owners.get(foldName(name))?.size ?? 1

  const find = (text: string): readonly FishHit[] => {
    const asked = foldName(text)
    const exact = (name: string) => (foldName(name) === asked ? 1 : 0)
    const found = index.search(text)
    const hits = found.length > 0 ? found : index.search(text, { combineWith: 'OR' })
    const best = new Map<string, { name: string; score: number }>()
    for (const { species, name, score } of hits as unknown as readonly { species: string; name: string; score: number }[]) {
      // A name of as many words as were typed is meant rather than a longer one that holds them.
      const words = foldName(name).split(' ').length
      const weighed = score * Math.min(1, asked.split(' ').length / words) ** 0.5 + exact(name) * 1000
      if (weighed > (best.get(species)?.score ?? -1)) best.set(species, { name, score: weighed })
    }
    return [...best]
      .sort(([a, x], [b, y]) => y.score - x.score || (a < b ? -1 : 1))
      .slice(0, MOST)
      .flatMap(([species, { name }]): FishHit[] => {
        const offer = fish.get(species)
        if (!offer) return []
        const plain = name === offer.common || name === species
        return [{ species, common: offer.common, soldAs: plain ? null : name, sharedBy: plain ? 1 : sharedBy(name), warning: warn(offer) }]
      })
  }
  return {
    find,
    findExact: (name) => {
      const named = own.get(fold(name)) ?? owners.get(foldName(name))
      return named?.size === 1 ? [...named][0] : undefined
    },
    findShared: (text) => {
      const species = [...(owners.get(foldName(text)) ?? [])]
      if (species.length < 2) return null
      const familiar = (name: string) => fish.get(name)?.familiarity ?? 0
      return { name: text.trim(), species: species.sort((a, b) => familiar(b) - familiar(a) || (a < b ? -1 : 1)) }
    },
  }
}
