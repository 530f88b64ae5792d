import { Type, type Static } from '@sinclair/typebox'
import { Brief } from './brief.ts'
import { Caution } from './lineUp.ts'
import { SentenceText } from './facts.ts'
import { closed, Currency, Fraction, nullable, oneOf, Range, ScientificName, Text } from './schemaParts.ts'
import { FORMS, PARTS } from './vocabulary.ts'

const Grams = Type.Number({ minimum: 0 })

/** A brief, the fish to buy for it, and how it is bought. */
export const AmountsRequest = closed(
  {
    ...Brief.properties,
    fish: Text(120),
    offer: Type.Optional(Text(120)),
    form: Type.Optional(oneOf(FORMS)),
    shortChance: Type.Optional(
      Type.Number({ minimum: 0.001, maximum: 0.5, description: 'Chance of falling short that is taken; default 0.05.' }),
    ),
    grade: Type.Optional(
      closed(
        { fromG: Type.Number({ exclusiveMinimum: 0, maximum: 500_000 }), toG: Type.Number({ exclusiveMinimum: 0, maximum: 500_000 }) },
        { description: 'Weights of one piece as it is sold, g.' },
      ),
    ),
    stepG: Type.Optional(
      Type.Number({ exclusiveMinimum: 0, maximum: 100_000, description: 'Weights are asked for in steps of this, g; default 50.' }),
    ),
    packG: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 500_000, description: 'Sold in packs or boxes of this, g.' })),
    haveG: Type.Optional(
      Type.Number({ exclusiveMinimum: 0, maximum: 10_000_000, description: 'What is there already: how many it feeds.' }),
    ),
  },
  { $id: 'AmountsRequest' },
)
export type AmountsRequest = Static<typeof AmountsRequest>

/** How much to buy, unrounded but where it is sold in steps, with everything it rests on. */
export const Amounts = closed(
  {
    species: ScientificName,
    offerId: Text(120),
    form: oneOf(FORMS),
    portions: Type.Number({ minimum: 0 }),
    needG: Grams,
    kept: closed({ mean: Type.Number(), sd: Type.Number({ minimum: 0 }) }, { description: 'Of ln of the kept share.' }),
    factors: Type.Array(closed({ name: oneOf(['form', 'trim', 'thaw', 'glaze', 'cooking']), ...Range.properties }), {
      description: 'Fractions kept; glaze as what is left without it.',
    }),
    weightG: Type.Number({ minimum: 0, description: 'For the risk taken, before rounding.' }),
    buy: closed({
      g: Grams,
      count: nullable(Type.Integer({ minimum: 1, description: 'Of whole fish, or of pieces of a grade that was asked for.' })),
      packs: nullable(Type.Integer({ minimum: 1 })),
      roundedUpG: Type.Number(),
    }),
    grade: nullable(closed({ fromG: Grams, toG: Grams, suits: nullable(Type.Boolean({ description: 'Null where fish are cut.' })) })),
    shortChance: Type.Union([Fraction], { description: 'Of what is bought.' }),
    feeds: Type.Integer({ minimum: 0, description: 'Portions that what is bought, or what is there, feeds.' }),
    rest: Type.Array(
      closed({
        part: Text(40),
        shareOfBought: Fraction,
        g: Grams,
        uses: Type.Array(Text(120)),
        worth: nullable(Type.Number({ description: 'What the house credits for it; null where it credits nothing, or it is of no use.' })),
      }),
      { description: 'All that does not go into the pan, what is lost too.' },
    ),
    never: Type.Array(closed({ part: Text(40), sentence: SentenceText(300) }), {
      description: 'What of it must not be eaten, or only of fish of which it is known that it may.',
    }),
    cost: nullable(
      closed({
        perKg: Range,
        currency: Currency,
        goods: Type.Number(),
        credit: Type.Number({ description: 'What the house credits for the rest of the fish.' }),
        perPortion: Type.Number(),
      }),
    ),
    cautions: Type.Array(Caution, { description: 'What stands against the fish in this dish, and what to beware of.' }),
    engineVersion: Text(20),
  },
  { $id: 'Amounts' },
)
export type Amounts = Static<typeof Amounts>

/** One way in which a fish can be bought for a dish, beside the others. */
export const FormCompared = closed({
  offerId: Text(120),
  offer: Text(80),
  form: oneOf(FORMS),
  weightG: Type.Number({ minimum: 0, description: 'As it is usually needed.' }),
  minutes: Type.Number({ minimum: 0, description: 'Of work until it is ready for the pan.' }),
  perKg: nullable(Type.Number()),
  currency: nullable(Currency),
  perPortion: nullable(Type.Number({ description: 'Of an edible portion: goods and work, less what the house credits for the rest.' })),
  /** Of a portion's cost: what the work costs, and what the house credits for the rest. */
  workPerPortion: Type.Number({ minimum: 0 }),
  creditPerPortion: Type.Number({ minimum: 0 }),
  breakEvenPerKg: nullable(Type.Number({ description: 'Price of a kilogram at which it costs as much as the cheapest other.' })),
  daysLeft: Range,
  /** What can be looked at to judge how fresh it is. */
  seen: SentenceText(120),
})
export type FormCompared = Static<typeof FormCompared>

/** One part of a fish beside another whose price is known. */
export const PartCompared = closed({
  offerId: Text(120),
  part: oneOf(PARTS),
  form: oneOf(FORMS),
  /** What it is asked for, where it has a price of its own. */
  asked: nullable(Type.Number()),
  /** At the price of the part it is held against; null where it cannot do the dish. */
  fit: nullable(Type.Number()),
  worthPerKg: nullable(Type.Number({ description: 'Price of a kilogram at which it does the dish as well.' })),
  /** Why it cannot do the dish. */
  because: nullable(SentenceText(300)),
})
export type PartCompared = Static<typeof PartCompared>

/** The parts of one fish at one price. */
export const PartsCompared = closed({
  offerId: Text(120),
  part: oneOf(PARTS),
  form: oneOf(FORMS),
  perKg: Type.Number(),
  currency: Currency,
  fit: Type.Number(),
  parts: Type.Array(PartCompared),
})
export type PartsCompared = Static<typeof PartsCompared>
