import { Type, type Static } from '@sinclair/typebox'
import { BasedRange, ResolvedOffer } from './offer.ts'
import { closed, nullable, oneOf, Range, ScientificName, Text } from './schemaParts.ts'
import {
  ALLERGENS,
  BODIES,
  MARKET_PLACES,
  OFF_FLAVOURS,
  ORIGINS,
  PARTS,
  PIN_BONES,
  REGIONS,
  SCALES,
  STORAGE_CLASSES,
} from './vocabulary.ts'

/** What 100 g of raw edible flesh holds. Water is what is left when the rest is taken away, unless it was measured. */
export const Composition = closed({
  origin: oneOf(ORIGINS),
  part: oneOf(PARTS),
  waterG: BasedRange,
  proteinG: BasedRange,
  fatG: BasedRange,
  ashG: BasedRange,
  carbohydrateG: nullable(BasedRange),
})
export type Composition = Static<typeof Composition>

/** One figure of a published table, as it stands there. */
export const MeasuredRow = closed({
  trait: oneOf(['fatG', 'waterG', 'proteinG', 'ashG']),
  per100G: Type.Number(),
  spread: nullable(Type.Number()),
  source: Text(300),
})
export type MeasuredRow = Static<typeof MeasuredRow>

/** One species of the book with every offer of it, traits as ranges with their basis. */
export const SpeciesSheet = closed(
  {
    species: ScientificName,
    common: Text(80),
    synonyms: Type.Array(ScientificName),
    names: Type.Record(Type.String(), Type.Array(Text(80)), { description: 'Market names by language code.' }),
    family: Text(60),
    body: oneOf(BODIES),
    storage: oneOf(STORAGE_CLASSES),
    familiarity: Type.Number(),
    allergen: oneOf(ALLERGENS),
    pinBones: oneOf(PIN_BONES),
    regions: Type.Array(oneOf(REGIONS)),
    market: oneOf(MARKET_PLACES),
    scales: oneOf(SCALES),
    venom: Type.Boolean(),
    offFlavours: Type.Array(oneOf(OFF_FLAVOURS)),
    spawning: nullable(closed({ where: Text(80), months: Type.Array(Type.Integer()) })),
    lengthCm: Range,
    grades: Type.Array(closed({ name: Text(40), fromG: Type.Number(), toG: Type.Number() })),
    composition: Type.Array(Composition),
    notes: Type.Array(Text(300)),
    measured: Type.Array(MeasuredRow),
    measuredDiffers: nullable(Text(300)),
    /** Whose entry it is: the book's, the book's with the house's hand on it, or the house's own. */
    hand: oneOf(['book', 'house-changed', 'house-own']),
    hidden: Type.Boolean(),
    offers: Type.Array(ResolvedOffer),
  },
  { $id: 'SpeciesSheet' },
)
export type SpeciesSheet = Static<typeof SpeciesSheet>
