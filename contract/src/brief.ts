import { Type, type Static } from '@sinclair/typebox'
import { Market } from './market.ts'
import { closed, Currency, IsoDate, nullable, oneOf, ScientificName, Text } from './schemaParts.ts'
import {
  ALLERGENS,
  ASKED_PARTS,
  ASK_KEYS,
  BOUGHT,
  COOKED_COLOURS,
  DONENESSES,
  FORMATS,
  HABITATS,
  KINDS,
  METHODS,
  MISSING_REASONS,
  ORIGINS,
  SPENDS,
  STATES,
  STYLE_NAMES,
  type BandKey,
} from './vocabulary.ts'

const head = (maximum = 5_000) => Type.Optional(Type.Integer({ minimum: 0, maximum }))
const pull = Type.Optional(Type.Number({ minimum: 0, maximum: 5, description: 'How much it matters, 0..5.' }))
const must = Type.Optional(Type.Boolean())

/** What the brief overrides of one ask; a field left out keeps what the method, format and diners set. null opens an end. */
export const AskInput = closed({
  from: Type.Optional(nullable(Type.Number())),
  to: Type.Optional(nullable(Type.Number())),
  pull,
  must,
  loosens: Type.Optional(
    Type.Boolean({ description: 'The cook lets go on purpose: without it a wish no stricter than what is asked already changes nothing.' }),
  ),
})
export type AskInput = Static<typeof AskInput>

export const Diners = closed({
  children: head(),
  pregnant: head(),
  elderly: head(),
  immunocompromised: head(),
  boneShy: Type.Optional(Type.Boolean()),
  newToWholeFish: Type.Optional(Type.Boolean()),
  dislikesStrongFish: Type.Optional(Type.Boolean()),
  finsAndScales: Type.Optional(Type.Boolean({ description: 'Only fish that have both.' })),
  portionsAWeek: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 21, description: 'How often they eat fish of this kind; 1.' })),
  allergies: Type.Optional(Type.Array(oneOf(ALLERGENS), { uniqueItems: true })),
})
export type Diners = Static<typeof Diners>

export const OfferChoice = closed({
  origin: Type.Optional(oneOf([...ORIGINS, 'any'])),
  state: Type.Optional(oneOf([...STATES, 'any'])),
  frozenForRaw: Type.Optional(Type.Boolean()),
})
export type OfferChoice = Static<typeof OfferChoice>

const bandKeys = ASK_KEYS.filter((key): key is BandKey => key !== 'colour')
const askProperties = Object.fromEntries(bandKeys.map((key) => [key, Type.Optional(AskInput)]))
/** Overrides by ask key. Colour has a field of its own in the brief. */
export const Asks = Type.Unsafe<Partial<Record<BandKey, AskInput>>>(closed(askProperties))

const briefProperties = {
  dish: Text(120),
  method: oneOf(METHODS),
  format: oneOf(FORMATS),
  thicknessMm: Type.Optional(Type.Number({ minimum: 3, maximum: 120 })),
  covers: Type.Optional(Type.Integer({ minimum: 1, maximum: 5_000 })),
  portionG: Type.Optional(Type.Number({ minimum: 5, maximum: 2_000 })),
  portionBasis: Type.Optional(oneOf(['raw', 'cooked'])),
  diners: Type.Optional(Diners),
  style: Type.Optional(nullable(oneOf(STYLE_NAMES))),
  servedAs: Type.Optional(nullable(oneOf(['raw', 'cooked']))),
  doneness: Type.Optional(oneOf(DONENESSES)),
  skin: Type.Optional(oneOf(['crisp', 'off', 'any'])),
  seasoning: Type.Optional(oneOf(['gentle', 'balanced', 'bold'])),
  longCooking: Type.Optional(Type.Boolean()),
  smokeHeat: Type.Optional(oneOf(['hot', 'cold'])),
  wholeServes: Type.Optional(nullable(Type.Number({ minimum: 0.02, maximum: 20 }))),
  wholeWeightG: Type.Optional(
    closed({ from: Type.Number({ minimum: 0, maximum: 1_000_000 }), to: Type.Number({ exclusiveMinimum: 0, maximum: 1_000_000 }) }),
  ),
  origin: Type.Optional(oneOf([...ORIGINS, 'any'])),
  habitat: Type.Optional(oneOf([...HABITATS, 'any'])),
  kinds: Type.Optional(Type.Array(oneOf(KINDS), { minItems: 1, uniqueItems: true })),
  part: Type.Optional(oneOf([...ASKED_PARTS, 'any'])),
  state: Type.Optional(oneOf(['fresh', 'frozen', 'any'])),
  offers: Type.Optional(Type.Record(Type.String(), OfferChoice)),
  rawTreatment: Type.Optional(oneOf(['none', 'frozen'])),
  keep: Type.Optional(closed({ hours: Type.Number({ minimum: 0, maximum: 720 }), tempC: Type.Number({ minimum: -30, maximum: 30 }) })),
  date: Type.Optional(IsoDate),
  waters: Type.Optional(Type.Union([Type.Null(), Text(80), Type.Array(Text(80), { maxItems: 40 })])),
  budget: Type.Optional(closed({ perPortion: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }), currency: Currency, must })),
  /** What a portion is sold for, so that the fish can be told as a share of it; it asks nothing of the fish. */
  menuPrice: Type.Optional(closed({ perPortion: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }), currency: Currency })),
  spend: Type.Optional(oneOf(SPENDS)),
  spendMust: must,
  colour: Type.Optional(closed({ wanted: Type.Array(oneOf(COOKED_COLOURS), { minItems: 1, uniqueItems: true }), pull, must })),
  asks: Type.Optional(Asks),
  pool: Type.Optional(Type.Array(ScientificName, { minItems: 1, maxItems: 1_000 })),
  unavailable: Type.Optional(Type.Array(ScientificName, { maxItems: 1_000 })),
  market: Type.Optional(Market),
  allOffers: Type.Optional(Type.Boolean()),
  draws: Type.Optional(Type.Integer({ minimum: 100, maximum: 20_000 })),
  seed: Type.Optional(Type.Integer({ minimum: 0, maximum: 4_294_967_295 })),
}

/** What a dish asks of a fish. Only the dish, the method and the format must be given. */
export const Brief = closed(briefProperties, { $id: 'Brief' })
export type Brief = Static<typeof Brief>

const { covers: _covers, diners: _diners, date: _date, ...recipeProperties } = briefProperties

/** What is cooked, whenever and for whomever: a brief without its day, its covers and its diners. */
export const Recipe = closed(recipeProperties, { $id: 'Recipe' })
export type Recipe = Static<typeof Recipe>

/** A brief and the fish that is missing from it. */
export const StandInsRequest = closed(
  { ...briefProperties, missing: ScientificName, missingOffer: Type.Optional(Text(120)), because: Type.Optional(oneOf(MISSING_REASONS)) },
  { $id: 'StandInsRequest' },
)
export type StandInsRequest = Static<typeof StandInsRequest>

/** What a portion usually costs in a house: asked of fish where the brief sets no budget. */
export const PortionPrice = closed({ perPortion: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }), currency: Currency })
export type PortionPrice = Static<typeof PortionPrice>

/** What a kilogram of heads, frames and trim is worth to a house that uses them. */
export const TrimWorth = closed({ perKg: Type.Number({ minimum: 0, maximum: 1_000 }), currency: Currency })
export type TrimWorth = Static<typeof TrimWorth>

/** How a house leans, for every dish that does not say otherwise. */
export const HouseLeanings = closed(
  {
    asks: Type.Optional(Asks),
    doneness: Type.Optional(oneOf(['set', 'moist'])),
    usualPortionCost: Type.Optional(PortionPrice),
    /** Where a species is to be had both ways, the one that stands for it. */
    origin: Type.Optional(oneOf(ORIGINS)),
    bought: Type.Optional(oneOf(BOUGHT)),
    trim: Type.Optional(TrimWorth),
    /** What an hour of work at the board costs; not counted where it is not said. */
    labour: Type.Optional(closed({ perHour: Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }), currency: Currency })),
    /** Chance of falling short that is taken when fish is bought. */
    shortChance: Type.Optional(Type.Number({ minimum: 0.001, maximum: 0.5 })),
    /** What the fish may take of the menu price, 0..1, as the house aims at. */
    foodCostShare: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 1 })),
    /** Stock standing, 0..100: what the house wishes for, and below what it buys nothing. */
    stock: Type.Optional(
      closed({
        wish: Type.Optional(Type.Number({ minimum: 0, maximum: 100 })),
        floor: Type.Optional(Type.Number({ minimum: 0, maximum: 100 })),
      }),
    ),
  },
  { $id: 'HouseLeanings' },
)
export type HouseLeanings = Static<typeof HouseLeanings>
