import { Type, type Static } from '@sinclair/typebox'
import { closed, Currency, Fraction, IsoDate, oneOf, ScientificName, Text } from './schemaParts.ts'
import { FORMS, ORIGINS, PARTS, PRICE_UNITS, STATES } from './vocabulary.ts'

/** One price on one day. Fields left out match every offer of the species. */
export const Price = closed({
  id: Type.Optional(Text(80)),
  merchant: Type.Optional(Text(80)),
  date: Type.Optional(IsoDate),
  species: ScientificName,
  origin: Type.Optional(oneOf(ORIGINS)),
  state: Type.Optional(oneOf(STATES)),
  part: Type.Optional(oneOf(PARTS)),
  form: oneOf(FORMS),
  grade: Type.Optional(Text(40)),
  price: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }),
  currency: Currency,
  unit: oneOf(PRICE_UNITS),
  eachG: Type.Optional(
    Type.Number({ minimum: 1, maximum: 500_000, description: 'Weight of one piece or one box, g; needed when the unit is each or box.' }),
  ),
  minimumKg: Type.Optional(Type.Number({ minimum: 0, maximum: 100_000, description: 'Least that is sold, kg.' })),
  glaze: Type.Optional(Type.Number({ minimum: 0, maximum: 0.5, description: 'Share of the weight that is ice.' })),
})
export type Price = Static<typeof Price>

const MonthDay = Type.String({ pattern: '^(0[1-9]|1[0-2])-(0[1-9]|[12][0-9]|3[01])$' })
const twelve = (minimum: number, maximum: number) => Type.Array(Type.Number({ minimum, maximum }), { minItems: 12, maxItems: 12 })

/** A species' year in one water, by one gear or kind of boat where that matters: landings relative to each other, condition of the flesh 0..10. */
export const Season = closed({
  species: ScientificName,
  water: Text(80),
  gear: Type.Optional(Text(80)),
  landings: twelve(0, 1_000_000),
  condition: Type.Optional(twelve(0, 10)),
  closures: Type.Optional(Type.Array(closed({ from: MonthDay, to: MonthDay }), { maxItems: 12 })),
  leastCm: Type.Optional(Type.Number({ minimum: 1, maximum: 500, description: 'Least length that may be landed, cm.' })),
})
export type Season = Static<typeof Season>

const Evidence = closed({
  value: Type.Number({ minimum: 0, maximum: 100 }),
  year: Type.Optional(Type.Integer({ minimum: 1950, maximum: 2200 })),
})

/** What is known of one stock: a species in a water by a gear, or a kind of farm. Parts left out are unknown. */
export const Stock = closed({
  species: ScientificName,
  water: Type.Optional(Text(80)),
  origin: Type.Optional(oneOf(ORIGINS)),
  gear: Type.Optional(Text(80)),
  biomassRatio: Type.Optional(Evidence),
  pressureRatio: Type.Optional(Evidence),
  gearScore: Type.Optional(Evidence),
  managementScore: Type.Optional(Evidence),
  feed: Type.Optional(Evidence),
  escapes: Type.Optional(Evidence),
  disease: Type.Optional(Evidence),
  discharge: Type.Optional(Evidence),
})
export type Stock = Static<typeof Stock>

export const Market = closed({
  prices: Type.Optional(Type.Array(Price, { maxItems: 20_000 })),
  seasons: Type.Optional(Type.Array(Season, { maxItems: 5_000 })),
  stocks: Type.Optional(Type.Array(Stock, { maxItems: 5_000 })),
})
export type Market = Static<typeof Market>

/** Where a stock stands, 0..100, and what that rests on. */
export const StockStanding = closed({
  low: Type.Number(),
  typical: Type.Number(),
  high: Type.Number(),
  weakest: Text(),
  confidence: Fraction,
  spent: Type.Boolean({ description: 'Biomass below 0.3 of its target: closed whatever the floor.' }),
})
export type StockStanding = Static<typeof StockStanding>
