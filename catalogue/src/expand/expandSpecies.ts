import type { MeasuredRow, ResolvedOffer, SourceSpecies, SpeciesSheet } from '@tender-gill/contract'
import { toPatch } from '../house/houseHand.ts'
import { measureRange } from './basis.ts'
import { describeComposition } from './composition.ts'
import { expandOffer } from './expandOffer.ts'
import { computeLengths, listGrades } from './sizes.ts'

export interface ExpandOptions {
  /** Figures of the published tables for this species; empty when they have none. */
  readonly measured: readonly MeasuredRow[]
  /** The book's own entry, to tell what the house changed; undefined for a species of the house's own. */
  readonly shipped: SourceSpecies | undefined
  readonly hidden?: boolean
}

const isMeasured = (offer: ResolvedOffer, species: SourceSpecies): boolean => {
  const origins = species.offers.map(({ origin }) => origin)
  const origin = species.measuredOrigin ?? (origins.includes('wild') ? 'wild' : origins[0])
  return offer.origin === origin && (offer.part === 'body' || offer.part === 'loin')
}

const handOf = (species: SourceSpecies, shipped: SourceSpecies | undefined): SpeciesSheet['hand'] => {
  if (!shipped) return 'house-own'
  return toPatch(species, shipped) === null ? 'book' : 'house-changed'
}

/** Lays a species out as the book shows it: every offer with every trait, its range and what that rests on. */
export function expandSpecies(species: SourceSpecies, { measured, shipped, hidden = false }: ExpandOptions): SpeciesSheet {
  const figuresFor = (offer: ResolvedOffer) => (isMeasured(offer, species) ? measured : [])
  const offers = species.offers
    .flatMap((offer) => (offer.states ?? ['fresh', 'frozen']).map((state) => expandOffer({ species, shipped, offer, state })))
    .map((offer) => ({ ...measureFat(hidden ? { ...offer, hidden } : offer, figuresFor(offer)), grades: listGrades(species) }))
  const kinds = offers.filter(({ origin, part }, i) => offers.findIndex((one) => one.origin === origin && one.part === part) === i)
  return {
    species: species.scientific,
    common: species.common,
    synonyms: species.synonyms ?? [],
    names: species.names,
    family: species.family,
    body: species.body ?? 'round',
    storage: species.storage ?? 'lean',
    familiarity: species.familiarity,
    allergen: species.allergen ?? 'fish',
    pinBones: species.pinBones ?? 'drawn',
    regions: [...species.regions],
    market: species.market,
    scales: species.scales,
    venom: species.venom ?? false,
    offFlavours: [...(species.offFlavours ?? [])],
    spawning: species.spawning ?? null,
    lengthCm: computeLengths(species),
    grades: listGrades(species),
    composition: kinds.map((offer) => describeComposition(offer, species, { shipped, measured: figuresFor(offer) })),
    notes: [...species.notes],
    measured: [...measured],
    measuredDiffers: species.measuredDiffers ?? null,
    hand: handOf(species, shipped),
    hidden,
    offers,
  }
}

function measureFat(offer: ResolvedOffer, figures: readonly MeasuredRow[]): ResolvedOffer {
  const fat = measureRange(
    offer.traits.fat,
    figures.find(({ trait }) => trait === 'fatG'),
  )
  return fat === offer.traits.fat ? offer : { ...offer, traits: { ...offer.traits, fat } }
}
