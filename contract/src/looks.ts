import { Type, type Static } from '@sinclair/typebox'
import { SeenSigns } from './freshness.ts'
import { closed, Currency, Instant, madeBefore, nullable, oneOf, Range, ScientificName, stored, Text } from './schemaParts.ts'
import { CIRCUMSTANCES, FORMS, LOOK_OUTCOMES, LOOK_VIEWS } from './vocabulary.ts'

/** A fish that was looked at, what was seen of it, and what came of that. */
export const Look = closed({
  at: Instant,
  /** The line of the buy sheet it was for, and the servings that waited for it. */
  line: nullable(Type.String({ minLength: 1, maxLength: 300 })),
  servings: Type.Array(Text(40), { maxItems: 200 }),
  merchant: nullable(Text(80)),
  species: ScientificName,
  offerId: Text(120),
  form: oneOf(FORMS),
  view: oneOf(LOOK_VIEWS),
  signs: SeenSigns,
  circumstances: Type.Array(oneOf(CIRCUMSTANCES), { maxItems: 20 }),
  refused: Type.Boolean(),
  outcome: oneOf(LOOK_OUTCOMES),
  /** Its age on ice by its looks; null where nothing was seen. */
  iceDays: nullable(Range),
  /** What was asked for a kilogram. */
  asked: nullable(closed({ perKg: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }), currency: Currency })),
  note: Type.Optional(Text(400)),
})
export type Look = Static<typeof Look>

export const LookInput = closed({ ...madeBefore, look: Look }, { $id: 'LookInput' })
export type LookInput = Static<typeof LookInput>
export const LookRecord = closed({ ...stored, look: Look }, { $id: 'LookRecord' })
export type LookRecord = Static<typeof LookRecord>
