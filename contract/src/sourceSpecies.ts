import { Type, type Static } from '@sinclair/typebox'
import { Listing } from './offer.ts'
import { closed, oneOf, Text } from './schemaParts.ts'
import {
  ALLERGENS,
  BODIES,
  COOKED_COLOURS,
  FLESH_KEYS,
  FORMS,
  MARKET_PLACES,
  MERCURY_CLASSES,
  OFF_FLAVOURS,
  ORIGINS,
  PARASITE_CLASSES,
  PARTS,
  PIN_BONES,
  RAW_COLOURS,
  REARING_WATERS,
  REGIONS,
  SCALES,
  STORAGE_CLASSES,
  type FleshKey,
  type Form,
} from './vocabulary.ts'

/** 5th percentile, median and 95th percentile of what a buyer meets. */
export type Triple = [low: number, typical: number, high: number]

const triple = (minimum: number, maximum: number) =>
  Type.Unsafe<Triple>({ type: 'array', items: { type: 'number', minimum, maximum }, minItems: 3, maxItems: 3 })
const scale = triple(0, 10)

const fleshProperties = Object.fromEntries(FLESH_KEYS.map((key) => [key, key === 'fat' ? triple(0, 40) : scale]))
const Flesh = Type.Unsafe<Record<FleshKey, Triple>>({ ...closed(fleshProperties), required: [...FLESH_KEYS] })
const FleshPatch = Type.Unsafe<Partial<Record<FleshKey, Triple>>>({
  type: 'object',
  properties: fleshProperties,
  additionalProperties: false,
})
const Yields = Type.Unsafe<Partial<Record<Form, number>>>({
  type: 'object',
  properties: Object.fromEntries(FORMS.map((form) => [form, { type: 'number', minimum: 0.05, maximum: 1 }])),
  additionalProperties: false,
})
const BoneTriples = closed({
  whole: Type.Optional(scale),
  steak: Type.Optional(scale),
  fillet: Type.Optional(scale),
  pinned: Type.Optional(scale),
  mince: Type.Optional(scale),
})
const Colour = closed({ raw: oneOf(RAW_COLOURS), cooked: oneOf(COOKED_COLOURS) })

/** One offer as a cook writes it: what differs from the species. */
export const SourceOffer = closed({
  origin: oneOf(ORIGINS),
  part: Type.Optional(oneOf(PARTS)),
  label: Type.Optional(Text(40)),
  states: Type.Optional(Type.Array(oneOf(['fresh', 'frozen']), { minItems: 1 })),
  water: Type.Optional(oneOf(REARING_WATERS)),
  parasites: oneOf(PARASITE_CLASSES),
  flesh: Type.Optional(FleshPatch),
  bones: Type.Optional(BoneTriples),
  weightG: Type.Optional(triple(1, 600_000)),
  depthMm: Type.Optional(triple(2, 150)),
  forms: Type.Optional(Type.Array(oneOf(FORMS))),
  colour: Type.Optional(Colour),
})
export type SourceOffer = Static<typeof SourceOffer>

/** Market names by language, or by language and country where one country has its own: `en`, `en-AU`. */
const Names = Type.Record(Type.String({ pattern: '^[a-z]{2}(-[A-Z]{2})?$' }), Type.Array(Text(80), { minItems: 1, maxItems: 20 }), {
  additionalProperties: false,
})
const Spawning = closed({ where: Text(80), months: Type.Array(Type.Integer({ minimum: 1, maximum: 12 }), { minItems: 1, maxItems: 12 }) })
const Grade = closed({ name: Text(40), fromG: Type.Number({ minimum: 1 }), toG: Type.Number({ minimum: 1 }) })

/** One species as a cook writes it: in the book's own files, in a house's hand, in a file that is brought in. */
export const SourceSpecies = closed(
  {
    scientific: Type.String({ pattern: '^[A-Z][a-z]+ [a-z]+$', maxLength: 80 }),
    family: Text(60),
    common: Text(80),
    synonyms: Type.Optional(Type.Array(Type.String({ pattern: '^[A-Z][a-z]+ [a-z]+$', maxLength: 80 }), { maxItems: 20 })),
    names: Names,
    familiarity: Type.Number({ minimum: 0, maximum: 10 }),
    regions: Type.Array(oneOf(REGIONS), { minItems: 1 }),
    market: oneOf(MARKET_PLACES),
    scales: oneOf(SCALES),
    protein: triple(1, 35),
    ash: Type.Optional(triple(0, 5)),
    carbohydrate: Type.Optional(triple(0, 15)),
    spawning: Type.Optional(Spawning),
    ifct: Type.Optional(Type.String({ pattern: '^[A-Z][0-9]{3}$', description: 'Code of its row in the Indian Food Composition Tables.' })),
    measuredOrigin: Type.Optional(oneOf([...ORIGINS, 'unknown'])),
    measuredDiffers: Type.Optional(Text(300)),
    mercury: oneOf(MERCURY_CLASSES),
    allergen: Type.Optional(oneOf(ALLERGENS)),
    bivalve: Type.Optional(Type.Boolean()),
    storage: Type.Optional(oneOf(STORAGE_CLASSES)),
    body: Type.Optional(oneOf(BODIES)),
    lengthAt1KgCm: Type.Optional(Type.Number({ minimum: 10, maximum: 200 })),
    histamine: Type.Optional(Type.Boolean()),
    ciguatera: Type.Optional(Type.Boolean()),
    waxEster: Type.Optional(Type.Boolean()),
    venom: Type.Optional(Type.Boolean()),
    spines: Type.Optional(Text(160)),
    listing: Type.Optional(Listing),
    offFlavours: Type.Optional(Type.Array(oneOf(OFF_FLAVOURS))),
    pinBones: Type.Optional(oneOf(PIN_BONES)),
    colour: Colour,
    flesh: Flesh,
    bones: closed({
      whole: scale,
      steak: Type.Optional(scale),
      fillet: scale,
      pinned: Type.Optional(scale),
      mince: Type.Optional(scale),
    }),
    weightG: triple(1, 600_000),
    depthMm: Type.Optional(triple(2, 150)),
    grades: Type.Optional(Type.Array(Grade, { minItems: 1, maxItems: 12 })),
    yields: Type.Optional(Yields),
    forms: Type.Optional(Type.Array(oneOf(FORMS), { minItems: 1 })),
    notes: Type.Array(Text(300), { minItems: 1, maxItems: 6 }),
    gaps: Type.Optional(
      Type.Record(Type.String(), Text(160), { description: 'Why something that is usually known is not given here, by field.' }),
    ),
    offers: Type.Array(SourceOffer, { minItems: 1, maxItems: 12 }),
  },
  { $id: 'SourceSpecies' },
)
export type SourceSpecies = Static<typeof SourceSpecies>
