import { Type, type Static } from '@sinclair/typebox'
import { Brief } from './brief.ts'
import { Caution, Opening, PointsLost, PortionCost } from './lineUp.ts'
import { closed, Currency, IsoDate, nullable, oneOf, ScientificName, Text } from './schemaParts.ts'
import { FORMATS, FORMS, GATES, METHODS, ORIGINS, PARTS, PRICE_UNITS, STATES, TURNING_KINDS } from './vocabulary.ts'
import { SentenceText } from './facts.ts'

/** A brief, and the fish that should win; left out, the question is what dethrones the leader. */
export const TurningRequest = closed({ ...Brief.properties, winner: Type.Optional(ScientificName) }, { $id: 'TurningRequest' })
export type TurningRequest = Static<typeof TurningRequest>

/** The smallest change of one kind by which first place passes to another. */
export const TurningPoint = closed({
  kind: oneOf(TURNING_KINDS),
  /** Who stands first after it. */
  species: ScientificName,
  common: Text(80),
  steps: Type.Number({ minimum: 0, description: 'Size in steps of its kind: price 10 %, pull 1, edge half a shoulder, month 1, cut 1.' }),
  from: nullable(Type.Number({ description: 'Where it begins, in the unit of the thing changed; null where there is no number.' })),
  to: nullable(Type.Number({ description: 'Where first place passes.' })),
  opens: Type.Array(Opening, { description: 'The change written into the brief, a hair beyond; empty for prices.' }),
  sentence: SentenceText(400),
})
export type TurningPoint = Static<typeof TurningPoint>

export const TurningPoints = closed(
  {
    leader: nullable(ScientificName),
    points: Type.Array(TurningPoint, { description: 'Smallest first.' }),
    nothingInRange: Type.Array(oneOf(TURNING_KINDS), { description: 'Kinds that were looked at and hold nothing within their range.' }),
    notLookedAt: Type.Array(oneOf(TURNING_KINDS), { description: 'Kinds of which nothing is known that could change.' }),
  },
  { $id: 'TurningPoints' },
)
export type TurningPoints = Static<typeof TurningPoints>

/** A brief, and how many fish go into the pot, the fry or onto the board. */
export const PotRequest = closed(
  { ...Brief.properties, places: Type.Optional(Type.Integer({ minimum: 2, maximum: 5, description: 'Default 3.' })) },
  { $id: 'PotRequest' },
)
export type PotRequest = Static<typeof PotRequest>

/** One fish in a pot of several. */
export const PotPlace = closed({
  role: SentenceText(60),
  /** In plain words, what it gives the pot. */
  why: SentenceText(200),
  species: ScientificName,
  common: Text(80),
  offerId: Text(120),
  offer: Text(80),
  form: oneOf(FORMS),
  fit: Type.Number({ minimum: 0, maximum: 100, description: 'Fit in its role.' }),
  pointsLost: Type.Array(PointsLost),
  minutes: Type.Number({
    minimum: 0,
    description: 'Minutes until it is done, to order by; within a fifth. 0 where nothing is cooked or no medium tells them.',
  }),
  buyG: Type.Number({ minimum: 0 }),
  portionCost: Type.Union([PortionCost, Type.Null()], { description: 'Of its share of a portion; null where its price is not known.' }),
  cautions: Type.Array(Caution),
  or: Type.Array(Text(80), { description: 'Near kin that fill the place as well, by common name.' }),
})
export type PotPlace = Static<typeof PotPlace>

export const Pot = closed({
  places: Type.Array(PotPlace, { description: 'In the order in which they go in, longest first.' }),
  portionCost: Type.Union([PortionCost, Type.Null()], {
    description: 'Of a portion of all of them; null where a price is not known or in another currency.',
  }),
  score: Type.Number({ description: 'What the fits and the differences come to, 0..100.' }),
  apart: Type.Number({ description: 'Smallest texture distance between two of them, in shoulders, 0..1.' }),
})
export type Pot = Static<typeof Pot>

export const PotPlan = closed(
  {
    pots: Type.Array(Pot, { description: 'Best first.' }),
    considered: Type.Integer({ description: 'Fish that pass the gates of the dish.' }),
    emptyBecause: nullable(SentenceText(300)),
  },
  { $id: 'PotPlan' },
)
export type PotPlan = Static<typeof PotPlan>

/** A fish somebody has seen: what it is, how it lies there, what is asked for it and what it weighs. What is left out is as the book has it. */
export const SeenFish = closed({
  species: ScientificName,
  origin: Type.Optional(oneOf(ORIGINS)),
  state: Type.Optional(oneOf(STATES)),
  part: Type.Optional(oneOf(PARTS)),
  form: Type.Optional(oneOf(FORMS)),
  price: Type.Optional(
    closed({ amount: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }), currency: Currency, unit: oneOf(PRICE_UNITS) }),
  ),
  eachG: Type.Optional(Type.Number({ minimum: 1, maximum: 500_000, description: 'Weight of one fish or one piece, g.' })),
  pieces: Type.Optional(Type.Integer({ minimum: 1, maximum: 5_000 })),
})
export type SeenFish = Static<typeof SeenFish>

/** Fish that were seen, and the dishes that might be cooked of them. */
export const FishFirstRequest = closed(
  {
    seen: Type.Array(SeenFish, { minItems: 1, maxItems: 12 }),
    dishes: Type.Optional(Type.Array(Brief, { maxItems: 200 })),
    date: Type.Optional(IsoDate),
  },
  { $id: 'FishFirstRequest' },
)
export type FishFirstRequest = Static<typeof FishFirstRequest>

/** How one fish that was seen does a dish. */
export const SeenRow = closed({
  seen: Type.Integer({ minimum: 0, description: 'Which of the fish that were seen, from 0.' }),
  species: ScientificName,
  common: Text(80),
  offerId: Text(120),
  offer: Text(80),
  form: oneOf(FORMS),
  fit: nullable(Type.Number({ minimum: 0, maximum: 100 })),
  place: nullable(Type.Integer({ minimum: 1, description: 'Where it would stand among all that can do the dish.' })),
  of: Type.Integer({ minimum: 0 }),
  pointsLost: Type.Array(PointsLost),
  gate: nullable(oneOf(GATES)),
  sentence: SentenceText(400),
  cautions: Type.Array(Caution),
  portionCost: nullable(PortionCost),
  buyG: Type.Number({ minimum: 0, description: 'What the dish needs in this form, g.' }),
  share: nullable(
    Type.Number({
      minimum: 0,
      description: 'Share of the portions of the dish that what lies there gives; null where its weight is not known.',
    }),
  ),
})
export type SeenRow = Static<typeof SeenRow>

export const DishForSeen = closed({
  dish: Type.Integer({ minimum: 0, description: 'Which of the dishes, from 0.' }),
  name: Text(120),
  rows: Type.Array(SeenRow, { description: 'Every fish that was seen, the best first.' }),
})
export type DishForSeen = Static<typeof DishForSeen>

export const MethodForSeen = closed({
  method: oneOf(METHODS),
  label: SentenceText(60),
  format: oneOf(FORMATS),
  seen: Type.Integer({ minimum: 0 }),
  common: Text(80),
  fit: nullable(Type.Number({ minimum: 0, maximum: 100 })),
  sentence: SentenceText(400),
})
export type MethodForSeen = Static<typeof MethodForSeen>

export const FishFirst = closed(
  {
    seen: Type.Array(closed({ species: ScientificName, common: Text(80), totalG: nullable(Type.Number()) })),
    dishes: Type.Array(DishForSeen, { description: 'The dish that the fish do best first; those none can do last.' }),
    methods: Type.Array(MethodForSeen, { description: 'Every way of cooking, in the cut and with the fish that suit it best.' }),
    snapshot: Type.String(),
    engineVersion: Type.String(),
  },
  { $id: 'FishFirst' },
)
export type FishFirst = Static<typeof FishFirst>

/** A name that a fish is sold under, in any tongue, script or spelling. */
export const FindRequest = closed(
  {
    name: Text(120),
    language: Type.Optional(Type.String({ pattern: '^[a-z]{2}$', description: 'A tongue whose names come first.' })),
    most: Type.Optional(Type.Integer({ minimum: 1, maximum: 50, description: 'Default 8.' })),
  },
  { $id: 'FindRequest' },
)
export type FindRequest = Static<typeof FindRequest>

/** Which fish a name may mean. */
export const FoundNames = closed(
  {
    hits: Type.Array(
      closed({
        species: ScientificName,
        common: Text(80),
        matched: Text(80),
        language: nullable(Type.String({ description: 'Of the name that matched; null for the book’s own and scientific names.' })),
        place: Type.Optional(Type.String({ description: 'Country whose name it is, where it is of one.' })),
      }),
      { description: 'Best first.' },
    ),
    shared: Type.Boolean({ description: 'Whether several species are sold under it.' }),
    sentence: nullable(Type.String()),
  },
  { $id: 'FoundNames' },
)
export type FoundNames = Static<typeof FoundNames>
