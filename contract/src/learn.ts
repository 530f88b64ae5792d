import { Type, type Static } from '@sinclair/typebox'
import { Brief } from './brief.ts'
import { closed, Fraction, oneOf, Range, ScientificName, Text } from './schemaParts.ts'
import { ASK_KEYS, FLESH_KEYS, FORMS, METHODS, METHOD_GROUPS } from './vocabulary.ts'

export const Grams = Type.Number({ exclusiveMinimum: 0, maximum: 10_000_000 })
const Note = Type.Integer({ minimum: -2, maximum: 2, description: 'Against the book: much less, less, as it says, more, much more.' })
export const Notes = Type.Partial(Type.Object(Object.fromEntries(FLESH_KEYS.map((key) => [key, Note]))), {
  additionalProperties: false,
  minProperties: 1,
})

/** Something that happened in a kitchen, from which it learns. */
export const LearnEvent = Type.Union([
  closed({
    kind: Type.Literal('cooked'),
    offerId: Text(120),
    notes: Type.Unsafe<Partial<Record<(typeof FLESH_KEYS)[number], number>>>(Notes),
  }),
  closed({
    kind: Type.Literal('yield'),
    offerId: Text(120),
    form: oneOf(FORMS),
    boughtAs: Type.Optional(oneOf(FORMS)),
    boughtG: Grams,
    edibleG: Grams,
  }),
  closed({ kind: Type.Literal('delivered'), merchant: Text(80), asOrdered: Type.Boolean() }),
  closed({ kind: Type.Literal('arrived'), merchant: Text(80), iceDays: Type.Number({ minimum: 0, maximum: 60 }) }),
  closed({ kind: Type.Literal('swap'), method: oneOf(METHODS), missing: Text(120), standIn: Text(120), worked: Type.Boolean() }),
  closed({ kind: Type.Literal('chose'), brief: closed(Brief.properties), offerId: Text(120) }),
])
export type LearnEvent = Static<typeof LearnEvent>

export const LearnRequest = closed({ events: Type.Array(LearnEvent, { maxItems: 50_000 }) }, { $id: 'LearnRequest' })
export type LearnRequest = Static<typeof LearnRequest>

const Count = Type.Integer({ minimum: 0 })
/** How a merchant delivers. */
export const LearntMerchant = closed({
  merchant: Text(80),
  failChance: Type.Union([Fraction], { description: 'That a line does not come as ordered.' }),
  n: Type.Integer({ minimum: 0, description: 'Lines delivered.' }),
  arrivals: Count,
  iceDays: Type.Union([Range], { description: 'On arrival.' }),
})
export type LearntMerchant = Static<typeof LearntMerchant>

/** What a house learns from what happened, each with how many entries it rests on. */
export const Learnt = closed(
  {
    traits: Type.Array(closed({ offerId: Text(120), trait: oneOf(FLESH_KEYS), ...Range.properties, n: Count })),
    yields: Type.Array(closed({ offerId: Text(120), form: oneOf(FORMS), ...Range.properties, n: Count })),
    merchants: Type.Array(LearntMerchant),
    swaps: Type.Array(
      closed({
        group: oneOf(METHOD_GROUPS),
        missing: ScientificName,
        standIn: ScientificName,
        alikeWas: Type.Number(),
        alike: Type.Number(),
        n: Count,
      }),
    ),
    pulls: Type.Array(
      closed({
        method: oneOf(METHODS),
        trait: oneOf(ASK_KEYS),
        was: Type.Number(),
        is: Type.Number(),
        choices: Count,
        gainNats: Type.Number(),
      }),
      { description: 'What this kitchen seems to care about: offered, never laid on by itself.' },
    ),
    engineVersion: Text(20),
  },
  { $id: 'Learnt' },
)
export type Learnt = Static<typeof Learnt>
