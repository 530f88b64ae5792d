import { Type, type Static } from '@sinclair/typebox'
import { HouseLeanings } from './brief.ts'
import { LearntMerchant } from './learn.ts'
import { Season, Stock, StockStanding } from './market.ts'
import { closed, Currency, Fraction, nullable, oneOf, Range, ScientificName, Text } from './schemaParts.ts'
import {
  ALLERGENS,
  BASES,
  BODIES,
  BONE_CUTS,
  COOKED_COLOURS,
  FLESH_KEYS,
  FORMS,
  MARKET_PLACES,
  MERCURY_CLASSES,
  METHOD_GROUPS,
  MISSING_REASONS,
  OFF_FLAVOURS,
  ORIGINS,
  PARASITE_CLASSES,
  PARTS,
  RAW_COLOURS,
  REARING_WATERS,
  SCALES,
  STATES,
  STORAGE_CLASSES,
  type BoneCut,
  type FleshKey,
} from './vocabulary.ts'

export type Range = Static<typeof Range>

/** How many entries of the house book a value is learnt from, and what the book says. */
export const LearntFrom = closed({ n: Type.Integer({ minimum: 1 }), book: Range })
export type LearntFrom = Static<typeof LearntFrom>

/** A trait: what a buyer meets (5 %, median, 95 %) and what that knowledge rests on. */
export const BasedRange = closed({
  low: Type.Number(),
  typical: Type.Number(),
  high: Type.Number(),
  basis: oneOf(BASES),
  source: Type.Optional(Text(300)),
  learnt: Type.Optional(LearntFrom),
})
export type BasedRange = Static<typeof BasedRange>

export const Listing = closed({ status: oneOf(['prohibited', 'restricted']), year: Type.Integer(), sentence: Text(300) })
export type Listing = Static<typeof Listing>

/** A form an offer is sold in, with the share of the whole fish it keeps. */
export const OfferForm = closed({
  form: oneOf(FORMS),
  yieldOfWhole: Range,
  learnt: Type.Optional(LearntFrom),
  sold: Type.Optional(
    Type.Boolean({ description: 'False where only what can be bought answers and nobody has it so; it is still cut so.' }),
  ),
})
export type OfferForm = Static<typeof OfferForm>

/** What a kilogram of one form costs today, and what that rests on. */
export const ResolvedPrice = closed({
  form: oneOf(FORMS),
  perKg: Range,
  currency: Currency,
  quotes: Type.Integer({ minimum: 1 }),
  latestDate: nullable(Type.String()),
  quoteId: nullable(Text(80)),
  merchant: nullable(Text(80)),
  glaze: Type.Number({ minimum: 0, maximum: 0.5 }),
  fails: Type.Optional(
    closed(
      { chance: Fraction, n: Type.Integer({ minimum: 1 }) },
      { description: 'That a line of its merchant does not come as ordered, learnt from so many lines.' },
    ),
  ),
})
export type ResolvedPrice = Static<typeof ResolvedPrice>

/** Where the year stands for this offer on the day asked for. */
export const ResolvedSeason = closed({
  water: Text(80),
  landings: Fraction,
  condition: nullable(Type.Number({ minimum: 0, maximum: 10 })),
  closed: Type.Boolean(),
})
export type ResolvedSeason = Static<typeof ResolvedSeason>

const fleshProperties = Object.fromEntries(FLESH_KEYS.map((key) => [key, BasedRange]))
const FleshTraits = Type.Unsafe<Record<FleshKey, BasedRange>>(closed(fleshProperties))
const BonesByCut = Type.Unsafe<Record<BoneCut, BasedRange | null>>(
  closed(Object.fromEntries(BONE_CUTS.map((cut) => [cut, nullable(BasedRange)]))),
)

/** Swaps for one missing fish in ways of cooking that are alike: how many, and how many worked. */
export const HouseSwap = closed({
  group: oneOf(METHOD_GROUPS),
  missing: ScientificName,
  worked: Type.Integer({ minimum: 0 }),
  n: Type.Integer({ minimum: 1 }),
})
export type HouseSwap = Static<typeof HouseSwap>

/** One kind of flesh as it can be bought on one day: the only thing the engine is fed. */
export const ResolvedOffer = closed(
  {
    id: Text(120),
    species: ScientificName,
    common: Text(80),
    synonyms: Type.Array(ScientificName),
    marketNames: Type.Array(Text(80)),
    family: Text(60),
    origin: oneOf(ORIGINS),
    state: oneOf(STATES),
    part: oneOf(PARTS),
    label: Text(80),
    body: oneOf(BODIES),
    storage: oneOf(STORAGE_CLASSES),
    familiarity: Type.Number({ minimum: 0, maximum: 10 }),
    rawColour: oneOf(RAW_COLOURS),
    cookedColour: oneOf(COOKED_COLOURS),
    traits: FleshTraits,
    bones: BonesByCut,
    weightG: BasedRange,
    depthMm: BasedRange,
    /** Sizes of a whole fish that are asked for; offers kept by earlier versions do not say. */
    grades: Type.Optional(Type.Array(closed({ name: Text(40), fromG: Type.Number(), toG: Type.Number() }))),
    forms: Type.Array(OfferForm, { minItems: 1 }),
    allergen: oneOf(ALLERGENS),
    bivalve: Type.Boolean(),
    parasites: oneOf(PARASITE_CLASSES),
    water: oneOf(REARING_WATERS),
    frozenForRaw: Type.Boolean(),
    histamine: Type.Boolean(),
    ciguatera: Type.Boolean(),
    waxEster: Type.Boolean(),
    mercury: oneOf(MERCURY_CLASSES),
    spines: nullable(Text(160)),
    /** How dear it is in the trade; offers kept by earlier versions do not say. */
    market: Type.Optional(oneOf(MARKET_PLACES)),
    scales: Type.Optional(oneOf(SCALES)),
    offFlavours: Type.Optional(Type.Array(oneOf(OFF_FLAVOURS))),
    listing: nullable(Listing),
    hidden: Type.Optional(Type.Boolean({ description: 'The house does not want it suggested; it is judged only where a pool names it.' })),
    absent: Type.Optional(
      closed(
        { until: Type.String(), because: nullable(oneOf(MISSING_REASONS)) },
        { description: 'The kitchen marked it missing on this day.' },
      ),
    ),
    swapped: Type.Optional(
      Type.Array(HouseSwap, { description: 'How it went in this house where it stood in for another fish, by ways of cooking.' }),
    ),
    prices: Type.Array(ResolvedPrice),
    season: nullable(ResolvedSeason),
    stock: nullable(StockStanding),
  },
  { $id: 'ResolvedOffer' },
)
export type ResolvedOffer = Static<typeof ResolvedOffer>

/** The offers of one day with the hash that names exactly this set. */
export const OfferSheet = closed(
  {
    snapshot: Text(80),
    date: Type.String(),
    offers: Type.Array(ResolvedOffer),
    leanings: Type.Optional(HouseLeanings),
    /** The years of the kitchen's waters and its evidence on stocks, laid over the offers for the waters and the day of each brief. */
    seasons: Type.Optional(Type.Array(Season)),
    stocks: Type.Optional(Type.Array(Stock)),
    /** What the house has learnt of its merchants; what it has learnt of fish is in the offers. */
    merchants: Type.Optional(Type.Array(LearntMerchant)),
  },
  { $id: 'OfferSheet' },
)
export type OfferSheet = Static<typeof OfferSheet>
