import type { FleshKey, ResolvedOffer, SourceSpecies, Triple } from '@tender-gill/contract'
import { FLESH_KEYS } from '@tender-gill/contract/vocabulary'

/** Traits of one offer that a house may set by hand. */
export type HandKey = FleshKey | 'bones' | 'weight' | 'thickness'
export const HAND_KEYS: readonly HandKey[] = [...FLESH_KEYS, 'bones', 'weight', 'thickness']
const isFlesh = (key: HandKey): key is FleshKey => key !== 'bones' && key !== 'weight' && key !== 'thickness'

type Kind = Pick<ResolvedOffer, 'origin' | 'part'>
export const findOfferIndex = (source: SourceSpecies, { origin, part }: Kind): number =>
  source.offers.findIndex((offer) => offer.origin === origin && (offer.part ?? 'body') === part)

/** Bones that are left in a fillet as it is eaten. */
const boneCut = ({ bones, pinBones }: SourceSpecies): 'pinned' | 'fillet' => (pinBones !== 'forked' && bones.pinned ? 'pinned' : 'fillet')

/** Whether an offer has bones of its own, apart from those of the species: a tail has no pins. */
const hasOwnBones = (source: SourceSpecies, kind: Kind): boolean =>
  source.offers[findOfferIndex(source, kind)]?.bones?.[boneCut(source)] !== undefined

/** Where a value of one offer is written, as a JSON Pointer. */
export function pointerOf(source: SourceSpecies, kind: Kind, key: HandKey): string {
  const at = findOfferIndex(source, kind)
  if (isFlesh(key)) return `/offers/${at}/flesh/${key}`
  if (key === 'bones') return `${hasOwnBones(source, kind) ? `/offers/${at}` : ''}/bones/${boneCut(source)}`
  return `/offers/${at}/${key === 'weight' ? 'weightG' : 'depthMm'}`
}

function setBones(source: SourceSpecies, kind: Kind, triple: Triple): SourceSpecies {
  const cut = boneCut(source)
  if (!hasOwnBones(source, kind)) return { ...source, bones: { ...source.bones, [cut]: triple } }
  const at = findOfferIndex(source, kind)
  return { ...source, offers: source.offers.map((offer, i) => (i === at ? { ...offer, bones: { ...offer.bones, [cut]: triple } } : offer)) }
}

/** The entry with one value of one offer set, or taken away so that the species' own value speaks again. */
export function setTrait(source: SourceSpecies, kind: Kind, key: HandKey, triple: Triple | undefined): SourceSpecies {
  if (key === 'bones') return triple ? setBones(source, kind, triple) : source
  const at = findOfferIndex(source, kind)
  const offers = source.offers.map((offer, i) => {
    if (i !== at) return offer
    const field = isFlesh(key) ? 'flesh' : key === 'weight' ? 'weightG' : 'depthMm'
    const { [field]: before, ...rest } = offer
    if (!isFlesh(key)) return triple ? { ...rest, [field]: triple } : rest
    const { [key]: _old, ...others } = (before ?? {}) as Partial<Record<FleshKey, Triple>>
    const flesh = triple ? { ...others, [key]: triple } : others
    return Object.keys(flesh).length > 0 ? { ...rest, flesh } : rest
  })
  return { ...source, offers }
}

/** What the shipped book has in the place a value is written; undefined where it says nothing there. */
export function findShippedTrait(shipped: SourceSpecies, kind: Kind, key: HandKey): Triple | undefined {
  const offer = shipped.offers[findOfferIndex(shipped, kind)]
  if (key === 'bones') return offer?.bones?.[boneCut(shipped)] ?? shipped.bones[boneCut(shipped)]
  if (isFlesh(key)) return offer?.flesh?.[key]
  return key === 'weight' ? offer?.weightG : offer?.depthMm
}

/** The entry with one value as the shipped book has it. */
export const revertTrait = (source: SourceSpecies, shipped: SourceSpecies, kind: Kind, key: HandKey): SourceSpecies =>
  setTrait(source, kind, key, findShippedTrait(shipped, kind, key))

export function addName(source: SourceSpecies, language: string, name: string): SourceSpecies {
  const before = source.names[language] ?? []
  return before.includes(name) ? source : { ...source, names: { ...source.names, [language]: [...before, name] } }
}

export function removeName(source: SourceSpecies, language: string, name: string): SourceSpecies {
  const left = (source.names[language] ?? []).filter((one) => one !== name)
  const { [language]: _gone, ...others } = source.names
  return { ...source, names: left.length > 0 ? { ...others, [language]: left } : others }
}
