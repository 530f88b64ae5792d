import { Type, type Static } from '@sinclair/typebox'
import { AskStanding, Caution, LeftOutFish, NormalisedBrief, PortionCost } from './lineUp.ts'
import { closed, Fraction, nullable, oneOf, Range, ScientificName, Text } from './schemaParts.ts'
import { CAUSE_KINDS, CHANGE_KINDS, FORMS, MISSING_REASONS, TEXTURE_KEYS, type TextureKey } from './vocabulary.ts'
import { SentenceText } from './facts.ts'

export const Change = closed({
  kind: oneOf(CHANGE_KINDS),
  sentence: SentenceText(300),
  delta: nullable(Type.Number()),
  unit: nullable(Text(20)),
})
export type Change = Static<typeof Change>

const standInProperties = {
  species: ScientificName,
  common: Text(80),
  askedAs: Type.Optional(Text(80)),
  offerId: Text(120),
  offer: Text(80),
  form: oneOf(FORMS),
  alike: Type.Number({ minimum: 0, maximum: 100 }),
  learnt: Type.Optional(
    closed(
      { alikeWas: Type.Number({ minimum: 0, maximum: 100 }), worked: Type.Integer({ minimum: 0 }), n: Type.Integer({ minimum: 1 }) },
      { description: 'How often this swap worked in the house, and how alike they are by the book.' },
    ),
  ),
  fit: Type.Number({ minimum: 0, maximum: 100 }),
  standIn: Type.Number({ minimum: 0, maximum: 100 }),
  portionCost: nullable(PortionCost),
  buyG: Type.Number(),
  failsWith: Type.Array(oneOf(CAUSE_KINDS)),
  cautions: Type.Array(Caution),
}
export const StandIn = closed(standInProperties)
export type StandIn = Static<typeof StandIn>
export const SharedCauses = closed({
  rung: Type.Integer({ minimum: 1, maximum: 3, description: 'The rung above with which it fails, counted from 1.' }),
  common: Text(80),
  kinds: Type.Array(oneOf(CAUSE_KINDS), { minItems: 1 }),
})
export type SharedCauses = Static<typeof SharedCauses>

export const Rung = closed({
  ...standInProperties,
  changes: Type.Array(Change),
  thereShare: Fraction,
  shares: Type.Array(SharedCauses, { description: 'What it hangs on together with the rungs above it.' }),
  standings: Type.Array(AskStanding, { description: 'Where each ask of the dish finds it.' }),
  differs: Type.Array(oneOf(TEXTURE_KEYS), {
    description: 'Traits in which it differs from the missing fish in this dish, what weighs most first.',
  }),
})
export type Rung = Static<typeof Rung>

export const Tempting = closed({ species: ScientificName, common: Text(80), offerId: Text(120), sentence: SentenceText(400) })
export type Tempting = Static<typeof Tempting>

const textureRanges = Object.fromEntries(TEXTURE_KEYS.map((key) => [key, Type.Optional(nullable(Range))]))

export const MissingFish = closed({
  species: ScientificName,
  common: Text(80),
  askedAs: Type.Optional(Text(80)),
  offerId: Text(120),
  offer: Text(80),
  form: oneOf(FORMS),
  fit: Type.Number(),
  portionCost: nullable(PortionCost),
  buyG: Type.Number(),
  traits: Type.Unsafe<Partial<Record<TextureKey, Static<typeof Range> | null>>>(closed(textureRanges)),
  standings: Type.Array(AskStanding),
})
export type MissingFish = Static<typeof MissingFish>

export const StandIns = closed(
  {
    brief: NormalisedBrief,
    missing: MissingFish,
    because: nullable(oneOf(MISSING_REASONS)),
    ladder: Type.Array(Rung, { maxItems: 4 }),
    emptyBecause: nullable(SentenceText(300)),
    dropped: Type.Array(SentenceText(300), { description: 'Conditions that could not be checked, in words.' }),
    atLeastOne: Fraction,
    expectedStandIn: Type.Number({
      minimum: 0,
      maximum: 100,
      description: 'What the dish may count on: the stand-in score of the first rung that is there, over everything that can fail.',
    }),
    order: Type.Array(StandIn),
    tempting: Type.Array(Tempting, { maxItems: 3 }),
    leftOut: Type.Array(LeftOutFish),
    snapshot: Type.String(),
    engineVersion: Type.String(),
  },
  { $id: 'StandIns' },
)
export type StandIns = Static<typeof StandIns>

export const SwapLink = closed({
  to: Type.Integer({ minimum: 0, description: 'Place of the stand-in in the list of fish, from 0.' }),
  alike: Type.Number({ minimum: 0, maximum: 100 }),
  standIn: Type.Number({ minimum: 0, maximum: 100 }),
  differs: Type.Array(closed({ trait: oneOf(TEXTURE_KEYS), step: Type.Number() }), {
    description: 'Where it parts from the fish it stands in for, what weighs most first; weighted shoulders, above 0 where it has more.',
  }),
})
export type SwapLink = Static<typeof SwapLink>

export const SwapFish = closed({
  species: ScientificName,
  common: Text(80),
  offerId: Text(120),
  offer: Text(80),
  fit: Type.Number({ minimum: 0, maximum: 100 }),
  sentence: nullable(SentenceText(400)),
  neighbours: Type.Array(SwapLink),
})
export type SwapFish = Static<typeof SwapFish>

/** Which species stand in for which in one dish, over the whole book. */
export const SwapMap = closed(
  { brief: NormalisedBrief, fish: Type.Array(SwapFish), snapshot: Type.String(), engineVersion: Type.String() },
  { $id: 'SwapMap' },
)
export type SwapMap = Static<typeof SwapMap>
