import { fold } from './fold.ts'
import type { ResolvedOffer } from '@tender-gill/contract'
import MiniSearch from 'minisearch'

export interface FishHit {
  readonly species: string
  readonly common: string
  /** The name that matched best. */
  readonly matched: string
  /** The name that matched best, when it is not the common one. */
  readonly soldAs: string | null
  /** Language and, where it is of one place, country of that name, as `en-AU`; null for the book's own and for scientific names. */
  readonly tongue: string | null
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
  /** @param language a tongue whose names come first, as `fr`   @param most hits at most, 8 where left out */
  readonly find: (
    text: string,
    options?: { readonly language?: string | undefined; readonly most?: number | undefined },
  ) => readonly FishHit[]
  /** The one species a name is sold as and no other, word for word; undefined for a name that is shared, misspelt or unknown. */
  readonly findExact: (name: string) => string | undefined
  /** The shared name a text stands for, when it is one. */
  readonly findShared: (text: string) => SharedName | null
}

/** A fish and what it goes by. */
export type NamedFish = Pick<ResolvedOffer, 'species' | 'common' | 'synonyms' | 'familiarity' | 'listing' | 'waxEster'> & {
  /** By language, `fr` or `en-AU`; under an empty one where that is not known. */
  readonly names: Readonly<Record<string, readonly string[]>>
}
/** The fish of a sheet, whose offers know their names and not in which tongue. */
export const namesOfOffers = (offers: readonly ResolvedOffer[]): readonly NamedFish[] =>
  [...new Map(offers.map((offer) => [offer.species, offer])).values()].map((offer) => ({ ...offer, names: { '': offer.marketNames } }))

const singular = (word: string) =>
  word.length > 4 && word.endsWith('ies')
    ? `${word.slice(0, -3)}y`
    : word.length > 3 && word.endsWith('s') && !word.endsWith('ss')
      ? word.slice(0, -1)
      : word
const foldTerm = (term: string) => singular(fold(term))
const foldName = (name: string) => fold(name).split(' ').map(singular).join(' ')
/** A name as one word. */
const joinName = (name: string) => foldName(name).replaceAll(' ', '')
/** Marks of other scripts belong to their letters. */
const splitWords = (text: string) =>
  fold(text)
    .split(/[^\p{L}\p{N}\p{M}]+/u)
    .filter(Boolean)
const MOST = 8

function warn({ listing, waxEster }: NamedFish): string | null {
  if (listing?.status === 'prohibited') return 'protected: not for the kitchen'
  return waxEster ? 'wax ester: makes people ill' : null
}

interface Doc {
  readonly id: string
  readonly species: string
  readonly name: string
  /** The name as one word: sea bass and seabass are one. */
  readonly joined: string
  readonly tongue: string | null
  readonly common: boolean
  readonly familiarity: number
}

function listDocs(all: readonly NamedFish[]): readonly Doc[] {
  return all.flatMap(({ species, common, synonyms, names, familiarity }) => {
    const own = [common, species, ...synonyms].map((name) => [name, null] as const)
    const sold = Object.entries(names).flatMap(([tongue, list]) => list.map((name) => [name, tongue === '' ? null : tongue] as const))
    const seen = new Set<string>()
    return [...own, ...sold].flatMap(([name, tongue], i): Doc[] => {
      const key = `${name}|${i < own.length ? '' : (tongue ?? '')}`
      if (seen.has(key) || (i >= own.length && own.some(([one]) => one === name))) return []
      seen.add(key)
      return [{ id: `${species}|${i}`, species, name, joined: joinName(name), tongue, common: i === 0, familiarity }]
    })
  })
}

/** Misspelt by so many letters, by how long a word is; swapped letters are two. */
const NEAR = (term: string): number | false => (term.length > 8 ? 2 : term.length > 3 ? 1 : false)
const FAR = (term: string): number | false => (term.length > 4 ? 2 : term.length > 3 ? 1 : false)
/** What a name in the tongue that is asked for is worth more. */
const OWN_TONGUE = 1.5

/**
 * Finds fish by any name they are sold under: any case and script, with or without accents, plural, joined or apart, misspelt, words in any
 * order. Each name is a document of its own, so that a whole match on one name beats bits of several.
 */
export function createFishSearch(offers: readonly ResolvedOffer[]): FishSearch {
  return createNameSearch(namesOfOffers(offers))
}

/** The same over fish whose names are known by tongue. */
export function createNameSearch(all: readonly NamedFish[]): FishSearch {
  const fish = new Map(all.map((one) => [one.species, one]))
  const owners = new Map<string, Set<string>>()
  /** The book's own name of a fish beats a market name that others share. */
  const own = new Map<string, Set<string>>()
  const docs = listDocs(all)
  for (const { species, name } of docs) {
    const { common } = fish.get(species) ?? { common: '' }
    if (name === common || name === species) own.set(fold(name), (own.get(fold(name)) ?? new Set()).add(species))
    owners.set(joinName(name), (owners.get(joinName(name)) ?? new Set()).add(species))
  }
  const index = new MiniSearch<Doc>({
    fields: ['name', 'joined'],
    storeFields: ['species', 'name', 'tongue', 'common', 'familiarity'],
    processTerm: foldTerm,
    tokenize: (text, field) => (field === 'joined' ? [text] : splitWords(text)),
    searchOptions: {
      fields: ['name'],
      tokenize: splitWords,
      prefix: (term) => term.length > 1,
      fuzzy: NEAR,
      combineWith: 'AND',
      weights: { fuzzy: 0.35, prefix: 0.6 },
      boostDocument: (_id, _term, stored) => 1 + Number(stored?.familiarity ?? 0) / 10 + (stored?.common ? 0.1 : 0),
    },
  })
  index.addAll(docs)
  const sharedBy = (name: string) => owners.get(joinName(name))?.size ?? 1

  type Found = Pick<Doc, 'species' | 'name' | 'tongue'> & { readonly score: number }
  /** As it is typed, and as one word; then more misspelt; then any of its words. */
  const look = (text: string): readonly Found[] => {
    const joined = { fields: ['joined'], tokenize: (one: string) => [joinName(one)] }
    const tries = [
      () => [...index.search(text), ...index.search(text, joined)],
      () => [...index.search(text, { fuzzy: FAR }), ...index.search(text, { ...joined, fuzzy: FAR })],
      () => index.search(text, { combineWith: 'OR' }),
      () => index.search(text, { combineWith: 'OR', fuzzy: FAR }),
    ]
    for (const attempt of tries) {
      const found = attempt() as unknown as readonly Found[]
      if (found.length > 0) return found
    }
    return []
  }

  const find: FishSearch['find'] = (text, { language, most = MOST } = {}) => {
    const asked = foldName(text)
    const askedJoined = joinName(text)
    const exact = (name: string) => (foldName(name) === asked ? 1 : joinName(name) === askedJoined ? 0.9 : 0)
    const best = new Map<string, { name: string; tongue: string | null; score: number }>()
    for (const { species, name, tongue, score } of look(text)) {
      // A name of as many words as were typed is meant rather than a longer one that holds them.
      const words = foldName(name).split(' ').length
      const ofTongue = language !== undefined && tongue?.slice(0, 2) === language ? OWN_TONGUE : 1
      const weighed = (score * Math.min(1, asked.split(' ').length / words) ** 0.5 + exact(name) * 1000) * ofTongue
      if (weighed > (best.get(species)?.score ?? -1)) best.set(species, { name, tongue, score: weighed })
    }
    return [...best]
      .sort(([a, x], [b, y]) => y.score - x.score || (a < b ? -1 : 1))
      .slice(0, most)
      .flatMap(([species, { name, tongue }]): FishHit[] => {
        const one = fish.get(species)
        if (!one) return []
        const plain = name === one.common || name === species
        const names = { species, common: one.common, matched: name, soldAs: plain ? null : name, tongue }
        return [{ ...names, sharedBy: plain ? 1 : sharedBy(name), warning: warn(one) }]
      })
  }
  return {
    find,
    findExact: (name) => {
      const named = own.get(fold(name)) ?? owners.get(joinName(name))
      return named?.size === 1 ? [...named][0] : undefined
    },
    findShared: (text) => {
      const species = [...(owners.get(joinName(text)) ?? [])]
      if (species.length < 2) return null
      const familiar = (name: string) => fish.get(name)?.familiarity ?? 0
      return { name: text.trim(), species: species.sort((a, b) => familiar(b) - familiar(a) || (a < b ? -1 : 1)) }
    },
  }
}
