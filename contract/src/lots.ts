import { Type, type Static } from '@sinclair/typebox'
import { Journey } from './cold.ts'
import { closed, Instant, madeBefore, nullable, oneOf, Range, ScientificName, stored, Text } from './schemaParts.ts'
import { FORMS, USES } from './vocabulary.ts'

const Warmth = Type.Number({ minimum: -60, maximum: 60 })

/** Where fish is kept. */
export const PLACE_KINDS = ['fridge', 'ice', 'freezer', 'shelf'] as const
export type PlaceKind = (typeof PLACE_KINDS)[number]

/** A place where fish is kept, and how warm it usually is. */
export const ColdPlace = closed({
  name: Text(80),
  kind: oneOf(PLACE_KINDS),
  usualC: Warmth,
  /** The name under which its thermometer sends readings; null where somebody looks. */
  thermometer: nullable(Text(40)),
})
export type ColdPlace = Static<typeof ColdPlace>
export const ColdPlaceInput = closed({ ...madeBefore, place: ColdPlace }, { $id: 'ColdPlaceInput' })
export type ColdPlaceInput = Static<typeof ColdPlaceInput>
export const ColdPlaceRecord = closed({ ...stored, place: ColdPlace }, { $id: 'ColdPlaceRecord' })
export type ColdPlaceRecord = Static<typeof ColdPlaceRecord>

/** From a moment on: in a place, in ice or not, or at a warmth that somebody says; with neither, nobody knows. */
export const Stay = closed({
  from: Instant,
  place: nullable(Text(40)),
  celsius: nullable(Warmth),
  iced: Type.Boolean({ description: 'In fresh ice from this moment on, drained.' }),
})
export type Stay = Static<typeof Stay>

/** How it stands with a lot. */
export const LOT_STATES = ['here', 'used', 'thrown'] as const
export type LotState = (typeof LOT_STATES)[number]

/** Freezing against parasites, as commonly published: a task with its warmth and its hours, done or not, by whom. */
export const Freezing = closed({
  celsius: Warmth,
  hours: Type.Number({ exclusiveMinimum: 0, maximum: 8760 }),
  since: Instant,
  done: nullable(closed({ at: Instant, by: Text(80) })),
})
export type Freezing = Static<typeof Freezing>

/** One kind of fish that came in at one time, and how it has been kept since. */
export const Lot = closed({
  species: ScientificName,
  offerId: Text(120),
  form: oneOf(FORMS),
  g: Type.Number({ exclusiveMinimum: 0, maximum: 10_000_000 }),
  merchant: nullable(Text(80)),
  boughtAt: Instant,
  use: oneOf(USES),
  /** Days on ice behind it when it was bought, by its looks; null where nobody looked. */
  ageIceDays: nullable(Range),
  /** What it is for. */
  servings: Type.Array(Text(40), { maxItems: 200 }),
  /** The purchase it came of. */
  line: nullable(Type.String({ minLength: 1, maxLength: 300 })),
  journey: nullable(Journey),
  stays: Type.Array(Stay, { minItems: 1, maxItems: 500 }),
  state: oneOf(LOT_STATES),
  freezing: nullable(Freezing),
  note: Type.Optional(Text(400)),
})
export type Lot = Static<typeof Lot>
export const LotInput = closed({ ...madeBefore, lot: Lot }, { $id: 'LotInput' })
export type LotInput = Static<typeof LotInput>
export const LotRecord = closed({ ...stored, lot: Lot }, { $id: 'LotRecord' })
export type LotRecord = Static<typeof LotRecord>

/** How warm it was in a place at a moment. */
export const ColdReading = closed({ place: Text(40), at: Instant, celsius: Warmth }, { $id: 'ColdReading' })
export type ColdReading = Static<typeof ColdReading>
/** What a thermometer, or somebody who looked, says of one place. */
export const ReadingsInput = closed(
  { readings: Type.Array(closed({ at: Instant, celsius: Warmth }), { minItems: 1, maxItems: 2000 }) },
  { $id: 'ReadingsInput' },
)
export type ReadingsInput = Static<typeof ReadingsInput>
