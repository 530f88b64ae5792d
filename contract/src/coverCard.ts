import { Type, type Static } from '@sinclair/typebox'
import { closed, Fraction, IsoDate, nullable, oneOf, ScientificName, Text } from './schemaParts.ts'
import { SentenceText } from './facts.ts'
import { Change } from './standIns.ts'
import { FORMS } from './vocabulary.ts'

/** One rung as it is printed: what it is, how well it does, what changes. */
export const CoverRung = closed({
  species: ScientificName,
  common: Text(80),
  offer: Text(80),
  form: oneOf(FORMS),
  standIn: Type.Number(),
  buyG: Type.Number(),
  changes: Type.Array(Change),
  otherAllergen: Type.Boolean({ description: 'Of another allergen class than the fish it stands in for: then the first change tells it.' }),
})
export type CoverRung = Static<typeof CoverRung>

export const CoverRow = closed({
  servingId: Text(40),
  dish: Text(120),
  /** The day it is served; null where no day is set yet. */
  date: nullable(Type.String()),
  covers: Type.Integer({ minimum: 1 }),
  /** How many kinds of fish share the portions; of a pot of several each has a row of its own. */
  kinds: Type.Integer({ minimum: 1, maximum: 5 }),
  fish: nullable(
    closed({
      species: ScientificName,
      common: Text(80),
      offer: Text(80),
      form: oneOf(FORMS),
      buyG: Type.Number(),
      taken: Type.Boolean({ description: 'Chosen by the cook; else it only leads the line-up.' }),
      absentUntil: nullable(Type.String()),
    }),
  ),
  ladder: Type.Array(CoverRung, { maxItems: 4 }),
  atLeastOne: Fraction,
})
export type CoverRow = Static<typeof CoverRow>

/** What part of the covers hangs on one thing. */
export const CoverHang = closed({
  kind: oneOf(['weather', 'merchant', 'species', 'farm']),
  /** The water, the merchant or the fish. */
  subject: SentenceText(80),
  covers: Type.Integer({ minimum: 0 }),
  share: Fraction,
  dishes: Type.Array(Text(120)),
})
export type CoverHang = Static<typeof CoverHang>

/** One page for some days: each dish, its fish, its ladder, and what the covers hang on. */
export const CoverCard = closed(
  { from: IsoDate, to: IsoDate, covers: Type.Integer({ minimum: 0 }), rows: Type.Array(CoverRow), hangs: Type.Array(CoverHang) },
  { $id: 'CoverCard' },
)
export type CoverCard = Static<typeof CoverCard>
