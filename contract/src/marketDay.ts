import { Type, type Static } from '@sinclair/typebox'
import { PortionCost } from './lineUp.ts'
import { StockStanding } from './market.ts'
import { ResolvedSeason } from './offer.ts'
import { closed, Currency, IsoDate, nullable, oneOf, Range, ScientificName, Text } from './schemaParts.ts'
import { FORMS } from './vocabulary.ts'
import { SentenceText } from './facts.ts'

/** Until when to order from a merchant for its next delivery, or for one that still serves a day. */
export const OrderDay = closed({ merchant: Text(80), delivery: IsoDate, orderBy: closed({ date: IsoDate, time: Text(5) }) })
export type OrderDay = Static<typeof OrderDay>

/** A dish of the house that a fish would do well. */
export const SlabDish = closed({ servingId: Text(40), dish: Text(120), fit: Type.Number() })
export type SlabDish = Static<typeof SlabDish>

/** One fish on today's slab, and how good a day it is for it. */
export const SlabFish = closed({
  species: ScientificName,
  common: Text(80),
  offerId: Text(120),
  offer: Text(80),
  form: oneOf(FORMS),
  perKg: Range,
  currency: Currency,
  merchant: nullable(Text(80)),
  quotes: Type.Integer({ minimum: 1 }),
  latestDate: nullable(Type.String()),
  portionCost: nullable(PortionCost),
  usualPerKg: nullable(Type.Number()),
  season: nullable(ResolvedSeason),
  stock: nullable(StockStanding),
  /** 0..100; a weighted geometric mean of price against its month, condition and stock. */
  good: Type.Number(),
  because: Type.Array(SentenceText(120)),
  unknown: Type.Array(oneOf(['price', 'condition', 'stock'])),
  dishes: Type.Array(SlabDish),
  order: nullable(OrderDay),
})
export type SlabFish = Static<typeof SlabFish>
export const Slab = closed({ date: IsoDate, portionG: Type.Number(), fish: Type.Array(SlabFish) }, { $id: 'Slab' })
export type Slab = Static<typeof Slab>

/** The price of one fish in one form over time: what was asked, and what was made of it on each day. */
export const PriceHistory = closed(
  {
    species: ScientificName,
    common: Text(80),
    date: IsoDate,
    series: Type.Array(
      closed({
        offerId: Text(120),
        offer: Text(80),
        form: oneOf(FORMS),
        currency: Currency,
        now: closed({ perKg: Range, quotes: Type.Integer(), ageDays: Type.Integer(), halfLifeDays: Type.Number(), slips: Type.Integer() }),
        usualPerKg: nullable(Type.Number()),
        portionCost: nullable(PortionCost),
        quotes: Type.Array(closed({ date: IsoDate, perKg: Type.Number(), merchant: nullable(Text(80)) })),
        days: Type.Array(closed({ date: IsoDate, perKg: Range })),
      }),
    ),
  },
  { $id: 'PriceHistory' },
)
export type PriceHistory = Static<typeof PriceHistory>

export const ALERT_KINDS = ['closed', 'below-floor', 'gone', 'over-budget', 'lost-lead', 'dearer'] as const
export type AlertKind = (typeof ALERT_KINDS)[number]

/** What happened to a decision since it was taken. */
export const DecisionAlert = closed(
  {
    servingId: Text(40),
    dish: Text(120),
    common: Text(80),
    kind: oneOf(ALERT_KINDS),
    sentence: SentenceText(300),
    /** Who stands first now, where that is somebody else. */
    leaderNow: nullable(Text(80)),
  },
  { $id: 'DecisionAlert' },
)
export type DecisionAlert = Static<typeof DecisionAlert>
