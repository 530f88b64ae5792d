import { Type, type Static } from '@sinclair/typebox'
import { SentenceText } from './facts.ts'
import { closed, Fraction, nullable, oneOf, Range, ScientificName, Text } from './schemaParts.ts'
import { CIRCUMSTANCES, LOOK_OUTCOMES, LOOK_VIEWS, SIGNS, USES, type Sign } from './vocabulary.ts'

/** A level for each sign that was looked at. */
export const SeenSigns = Type.Unsafe<{ readonly [S in Sign]?: number }>(
  closed(Object.fromEntries(SIGNS.map((sign) => [sign, Type.Optional(Type.Integer({ minimum: 0, maximum: 3 }))])), {
    description: 'Level of each sign that was looked at, 0 just landed.',
  }),
)
export type SeenSigns = Static<typeof SeenSigns>

/** What was seen of a fish, and what it is for. */
export const FreshnessRequest = closed(
  {
    fish: Text(120),
    offer: Type.Optional(Text(120)),
    view: oneOf(LOOK_VIEWS),
    signs: SeenSigns,
    circumstances: Type.Optional(Type.Array(oneOf(CIRCUMSTANCES), { maxItems: 20 })),
    refused: Type.Optional(Type.Boolean({ description: 'They will not show it.' })),
    use: Type.Optional(oneOf(USES)),
    vulnerable: Type.Optional(Type.Boolean({ description: 'Somebody is pregnant, a small child, old or ill.' })),
    keep: Type.Optional(
      closed(
        { hours: Type.Number({ minimum: 0, maximum: 8760 }), tempC: Type.Number({ minimum: -60, maximum: 60 }) },
        { description: 'How long and how warm until it is eaten; none where it is eaten at once.' },
      ),
    ),
    prior: Type.Optional(
      closed(
        {
          medianIceDays: Type.Number({ minimum: 0.05, maximum: 30 }),
          lnSd: Type.Number({ minimum: 0.05, maximum: 3 }),
        },
        { description: 'Age on ice before anything is seen, log-normal; median 3, spread 0.7 where none is said.' },
      ),
    ),
  },
  { $id: 'FreshnessRequest' },
)
export type FreshnessRequest = Static<typeof FreshnessRequest>

/** A sign as it was weighed: enough to reckon the answer again. */
export const SignRow = closed({
  sign: oneOf(SIGNS),
  levels: Type.Array(SentenceText(80), { description: 'In words, just landed first.' }),
  spanDays: Type.Number({ exclusiveMinimum: 0, description: 'Days on ice until the last level.' }),
  trust: Type.Union([Fraction], { description: 'As used, after the circumstances.' }),
  vetoFrom: nullable(Type.Integer({ description: 'From this level on it is left, whatever the rest says.' })),
  falseAlarms: Type.Array(oneOf(CIRCUMSTANCES)),
})
export type SignRow = Static<typeof SignRow>

/** How old a fish is by its looks, how long it will keep, and what to do. */
export const Freshness = closed(
  {
    species: ScientificName,
    offerId: Text(120),
    iceDays: Range,
    left: Range,
    keepingDays: Type.Number(),
    neededIceDays: Type.Number({ minimum: 0 }),
    chanceEnough: Type.Union([Fraction], { description: 'That it lasts until it is eaten.' }),
    chanceToday: Type.Union([Fraction], { description: 'That it lasts half a day on ice.' }),
    outcome: oneOf(LOOK_OUTCOMES),
    vetoes: Type.Array(Text(40), { description: 'Signs for which it is left, or why it may not be eaten so.' }),
    next: Type.Array(oneOf(SIGNS), { description: 'Not looked at yet, the most telling first.' }),
    table: Type.Array(SignRow),
    sentence: SentenceText(400),
    engineVersion: Text(20),
  },
  { $id: 'Freshness' },
)
export type Freshness = Static<typeof Freshness>
