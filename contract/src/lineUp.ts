import { Type, type Static } from '@sinclair/typebox'
import { AskInput, Diners, OfferChoice, PortionPrice, TrimWorth } from './brief.ts'
import { closed, Currency, Fraction, IsoDate, nullable, oneOf, ScientificName, Text } from './schemaParts.ts'
import {
  ASKED_PARTS,
  ASK_KEYS,
  ASK_SOURCES,
  BAND_KEYS,
  BOUGHT,
  COOKED_COLOURS,
  DONENESSES,
  FORMATS,
  FORMS,
  GATES,
  HABITATS,
  HOUSE_LEANS,
  KINDS,
  METHODS,
  ORIGINS,
  SPENDS,
  STYLE_NAMES,
  type AskKey,
} from './vocabulary.ts'
import { SentenceText } from './facts.ts'

export type { AskInput }

const Bound = closed({ from: nullable(Type.Number()), to: nullable(Type.Number()) })

/** One ask after merging: a wanted band, how hard it pulls, the bound no score buys back, and where each came from. */
export const NormalisedAsk = closed({
  from: nullable(Type.Number()),
  to: nullable(Type.Number()),
  wanted: Type.Optional(Type.Array(oneOf(COOKED_COLOURS))),
  pull: Type.Number({ minimum: 0, maximum: 5 }),
  must: nullable(Bound),
  because: Type.Array(oneOf(ASK_SOURCES)),
  reason: SentenceText(300),
})
export type NormalisedAsk = Static<typeof NormalisedAsk>
export type NormalisedAsks = Partial<Record<AskKey, NormalisedAsk>>

const asksSchema = Type.Unsafe<NormalisedAsks>(closed(Object.fromEntries(ASK_KEYS.map((key) => [key, Type.Optional(NormalisedAsk)]))))

export const NormalisedBrief = closed(
  {
    dish: Text(120),
    method: oneOf(METHODS),
    format: oneOf(FORMATS),
    thicknessMm: nullable(Type.Number()),
    covers: Type.Integer(),
    portionG: Type.Number(),
    portionBasis: oneOf(['raw', 'cooked']),
    diners: Type.Required(Diners),
    style: nullable(oneOf(STYLE_NAMES)),
    servedAs: oneOf(['raw', 'cooked']),
    doneness: oneOf(DONENESSES),
    skin: oneOf(['crisp', 'off', 'any']),
    seasoning: oneOf(['gentle', 'balanced', 'bold']),
    longCooking: Type.Boolean(),
    smokeHeat: oneOf(['hot', 'cold']),
    wholeServes: nullable(Type.Number()),
    wholeWeightG: nullable(closed({ from: Type.Number(), to: Type.Number() })),
    origin: oneOf([...ORIGINS, 'any']),
    habitat: oneOf([...HABITATS, 'any']),
    kinds: Type.Array(oneOf(KINDS)),
    part: oneOf([...ASKED_PARTS, 'any']),
    state: oneOf(['fresh', 'frozen', 'any']),
    offers: Type.Record(Type.String(), OfferChoice),
    rawTreatment: oneOf(['none', 'frozen']),
    keep: nullable(closed({ hours: Type.Number(), tempC: Type.Number() })),
    date: IsoDate,
    waters: nullable(Type.Array(Text(80))),
    budget: nullable(closed({ perPortion: Type.Number(), currency: Currency, must: Type.Boolean() })),
    spend: oneOf(SPENDS),
    spendMust: Type.Boolean(),
    house: closed({
      usualPortionCost: nullable(PortionPrice),
      origin: nullable(oneOf(ORIGINS)),
      bought: nullable(oneOf(BOUGHT)),
      trim: nullable(TrimWorth),
      stockFloor: nullable(Type.Number()),
    }),
    asks: asksSchema,
    openedByHand: Type.Array(oneOf(BAND_KEYS)),
    pool: nullable(Type.Array(ScientificName)),
    askedAs: Type.Record(Type.String(), Type.String(), { description: 'Accepted name by the name that was asked for.' }),
    unavailable: Type.Array(ScientificName),
    allOffers: Type.Boolean(),
    draws: Type.Integer(),
    seed: Type.Integer(),
    oddCut: nullable(SentenceText(200)),
  },
  { $id: 'NormalisedBrief' },
)
export type NormalisedBrief = Static<typeof NormalisedBrief>

export const Caution = closed({ kind: Text(40), sentence: SentenceText(600) })
export type Caution = Static<typeof Caution>
export const PointsLost = closed({ trait: oneOf(ASK_KEYS), points: Type.Number(), sentence: SentenceText(300) })
export type PointsLost = Static<typeof PointsLost>
export const PortionCost = closed({ low: Type.Number(), typical: Type.Number(), high: Type.Number(), currency: Currency })
export type PortionCost = Static<typeof PortionCost>

/** Where one ask finds this fish, for the strips: what it wants and what it gets. */
export const AskStanding = closed({
  trait: oneOf(ASK_KEYS),
  low: nullable(Type.Number()),
  typical: nullable(Type.Number()),
  high: nullable(Type.Number()),
  desirability: Type.Number({ minimum: 0, maximum: 1 }),
})
export type AskStanding = Static<typeof AskStanding>

export const RankedFish = closed({
  species: ScientificName,
  common: Text(80),
  askedAs: Type.Optional(Text(80)),
  offerId: Text(120),
  offer: Text(80),
  form: oneOf(FORMS),
  quoteId: nullable(Text(80)),
  fit: Type.Number({ minimum: 0, maximum: 100 }),
  pointsLost: Type.Array(PointsLost),
  firstShare: Fraction,
  rankShares: Type.Array(Fraction, { minItems: 3, maxItems: 3 }),
  passShare: Fraction,
  tossUp: Type.Boolean(),
  portionCost: nullable(PortionCost),
  buyG: Type.Number({ description: 'Weight to buy in this form for all covers, g.' }),
  standings: Type.Array(AskStanding),
  unknown: Type.Array(oneOf(ASK_KEYS)),
  cautions: Type.Array(Caution),
})
export type RankedFish = Static<typeof RankedFish>

export const Opening = closed({ path: Type.String(), value: Type.Unknown() })
export type Opening = Static<typeof Opening>

export const LeftOutFish = closed({
  species: ScientificName,
  common: Text(80),
  askedAs: Type.Optional(Text(80)),
  offerId: Text(120),
  offer: Text(80),
  gate: oneOf(GATES),
  gates: Type.Array(oneOf(GATES)),
  sentence: SentenceText(400),
  opensIf: Type.Optional(SentenceText(400)),
  opens: Type.Optional(Type.Array(Opening)),
})
export type LeftOutFish = Static<typeof LeftOutFish>

export const LineUp = closed(
  {
    brief: NormalisedBrief,
    ranked: Type.Array(RankedFish),
    leftOut: Type.Array(LeftOutFish),
    leftOutOfScoring: Type.Array(oneOf(ASK_KEYS)),
    nothingAsked: Type.Boolean(),
    noneShare: Fraction,
    /** What the house's leanings did to this order; null where it has none. */
    houseLeaning: nullable(
      closed({
        changed: Type.Boolean({
          description: 'Without them the first three are other fish, other offers or forms of them, or in another order.',
        }),
        leaderWithout: nullable(Text(80)),
        traits: Type.Array(oneOf(ASK_KEYS)),
        leans: Type.Array(oneOf(HOUSE_LEANS), { description: 'Leanings that are not asks of a trait.' }),
      }),
    ),
    snapshot: Type.String(),
    engineVersion: Type.String(),
    seed: Type.Integer(),
    draws: Type.Integer(),
  },
  { $id: 'LineUp' },
)
export type LineUp = Static<typeof LineUp>
