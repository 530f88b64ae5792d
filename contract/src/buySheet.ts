import { Type, type Static } from '@sinclair/typebox'
import { SentenceText } from './facts.ts'
import { Caution } from './lineUp.ts'
import { KeptPurchase } from './purchases.ts'
import { closed, Currency, Fraction, nullable, oneOf, Range, ScientificName, Text } from './schemaParts.ts'
import { FORMS } from './vocabulary.ts'

const Grams = Type.Number({ minimum: 0 })
const Grade = closed({ fromG: Grams, toG: Grams })
const Count = Type.Integer({ minimum: 1 })

/** What a price per kilogram rests on beyond which a fish is not bought without another look. */
export const PRICE_LIMITS = ['dish', 'estimate'] as const

/** A serving that a line feeds, and what of the line is for it. */
export const BuyServing = closed({
  servingId: Text(40),
  dish: Text(120),
  date: nullable(Type.String()),
  covers: Type.Integer({ minimum: 1 }),
  needG: Type.Number({ minimum: 0, description: 'For the risk that is taken, before rounding.' }),
  taken: Type.Boolean({ description: 'Chosen by the cook; else it only leads the line-up.' }),
})
export type BuyServing = Static<typeof BuyServing>

/** What is accepted instead for one of the servings, and how much of it. */
export const BuyStandIn = closed({
  servingId: Text(40),
  dish: Text(120),
  species: ScientificName,
  common: Text(80),
  offerId: Text(120),
  offer: Text(80),
  form: oneOf(FORMS),
  standIn: Type.Number(),
  g: Grams,
  count: nullable(Count),
  merchant: nullable(Text(80)),
  perKg: nullable(Type.Number()),
  currency: nullable(Currency),
  /** The first change, an allergen before all others. */
  change: nullable(SentenceText(300)),
  otherAllergen: Type.Boolean(),
  /** What the merchant is asked to have done to it, and the price beyond which it is not bought without another look. */
  asks: Type.Array(SentenceText(200)),
  limit: nullable(closed({ perKg: Type.Number(), because: oneOf(PRICE_LIMITS) })),
})
export type BuyStandIn = Static<typeof BuyStandIn>

/** One thing to order: all servings that use one quote in one delivery. */
export const BuyLine = closed({
  key: Type.String({ minLength: 1, maxLength: 300, description: 'Names what is bought, from whom, for which delivery.' }),
  species: ScientificName,
  common: Text(80),
  offerId: Text(120),
  offer: Text(80),
  form: oneOf(FORMS),
  grade: nullable(Grade),
  needG: Type.Number({ minimum: 0, description: 'The sum of what the servings need, before rounding.' }),
  buy: closed({ g: Grams, count: nullable(Count), packs: nullable(Count), packG: nullable(Grams), roundedUpG: Type.Number() }),
  perKg: nullable(Range),
  currency: nullable(Currency),
  /** The price that was asked last, and when; null where nothing was. */
  asked: nullable(closed({ perKg: Type.Number(), date: nullable(Type.String()) })),
  goods: nullable(Type.Number({ description: 'At the typical price.' })),
  limit: nullable(closed({ perKg: Type.Number(), because: oneOf(PRICE_LIMITS) })),
  /** Least that the merchant sends of it, kg, where more than is needed. */
  leastKg: nullable(Type.Number()),
  asks: Type.Array(SentenceText(200), { description: 'What the merchant is asked to have done.' }),
  servings: Type.Array(BuyServing, { minItems: 1 }),
  standIns: Type.Array(BuyStandIn),
  cautions: Type.Array(Caution),
  purchase: nullable(KeptPurchase),
})
export type BuyLine = Static<typeof BuyLine>

/** How it stands with an order: it can be placed, it can no longer come in time, nobody says when the merchant delivers, nobody offers it. */
export const ORDER_STATES = ['open', 'late', 'no-days', 'nobody'] as const
export type OrderState = (typeof ORDER_STATES)[number]

/** Everything from one merchant in one delivery. */
export const BuyOrder = closed({
  merchant: nullable(Text(80)),
  state: oneOf(ORDER_STATES),
  delivery: nullable(Type.String()),
  orderBy: nullable(closed({ date: Type.String(), time: Type.String() })),
  note: nullable(Text(400)),
  lines: Type.Array(BuyLine),
  goods: Type.Array(closed({ amount: Type.Number(), currency: Currency }), { description: 'At typical prices, a currency each.' }),
  minimum: nullable(
    closed({
      amount: Type.Number(),
      currency: Currency,
      missing: Type.Number({ minimum: 0, description: 'How much the goods fall short of it.' }),
    }),
  ),
})
export type BuyOrder = Static<typeof BuyOrder>

export const BuySheet = closed(
  {
    from: Type.String(),
    to: Type.String(),
    /** The kitchen's clock when it was written. */
    now: closed({ date: Type.String(), time: Type.String() }),
    orders: Type.Array(BuyOrder, { description: 'What must be ordered soonest first.' }),
    /** Servings for which nothing can be put on the sheet, and why. */
    nothing: Type.Array(closed({ servingId: Text(40), dish: Text(120), date: nullable(Type.String()), because: SentenceText(300) })),
    /** Servings that wait for a day: on the sheet only where that was asked for. */
    undated: Type.Array(closed({ servingId: Text(40), dish: Text(120) })),
    /** What was ordered or bought for these days and is no longer asked for as it was. */
    elsewhere: Type.Array(KeptPurchase),
    /** The fish of those servings whose menu price is set, as a share of what they bring in. */
    foodCost: nullable(
      closed({
        goods: Type.Number(),
        takings: Type.Number(),
        currency: Currency,
        share: Type.Number({ minimum: 0 }),
        target: nullable(Fraction),
        servings: Type.Integer({ minimum: 1 }),
      }),
    ),
    covers: Type.Integer({ minimum: 0 }),
    spend: Type.Array(closed({ amount: Type.Number(), currency: Currency })),
    engineVersion: Text(20),
  },
  { $id: 'BuySheet' },
)
export type BuySheet = Static<typeof BuySheet>
