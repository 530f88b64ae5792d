import { Type, type Static } from '@sinclair/typebox'
import { closed, Currency, IsoDate, madeBefore, nullable, oneOf, ScientificName, stored, Text } from './schemaParts.ts'
import { FORMS } from './vocabulary.ts'

/** How it stands with something that was ordered. */
export const PURCHASE_STATES = ['ordered', 'bought', 'short', 'not-come'] as const
export type PurchaseState = (typeof PURCHASE_STATES)[number]

/** A line of a buy sheet as it was ordered and as it came; once it has come, its price is a price of that day. */
export const Purchase = closed({
  /** The line of the buy sheet. */
  line: Type.String({ minLength: 1, maxLength: 300 }),
  state: oneOf(PURCHASE_STATES),
  merchant: nullable(Text(80)),
  /** The day it comes. */
  date: IsoDate,
  /** The day it was bought; null until it was. */
  paidOn: nullable(IsoDate),
  species: ScientificName,
  offerId: Text(120),
  form: oneOf(FORMS),
  orderedG: Type.Number({ minimum: 0, maximum: 10_000_000 }),
  /** What came, g; null until it has. */
  g: nullable(Type.Number({ exclusiveMinimum: 0, maximum: 10_000_000 })),
  perKg: nullable(Type.Number({ exclusiveMinimum: 0, maximum: 100_000 })),
  currency: nullable(Currency),
  servings: Type.Array(Text(40), { maxItems: 200 }),
  /** What it was expected to cost when it was ordered. */
  expectedPerKg: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 100_000 })),
  note: Type.Optional(Text(400)),
})
export type Purchase = Static<typeof Purchase>

export const PurchaseInput = closed({ ...madeBefore, purchase: Purchase }, { $id: 'PurchaseInput' })
export type PurchaseInput = Static<typeof PurchaseInput>
/** A purchase as it is kept, within another shape. */
export const KeptPurchase = closed({ ...stored, purchase: Purchase })
export const PurchaseRecord = closed({ ...stored, purchase: Purchase }, { $id: 'PurchaseRecord' })
export type PurchaseRecord = Static<typeof PurchaseRecord>
