import { Type, type Static } from '@sinclair/typebox'
import { SentenceText } from './facts.ts'
import { Caution } from './lineUp.ts'
import { closed, nullable, oneOf, Range, ScientificName, Text } from './schemaParts.ts'
import { BOXES, USES } from './vocabulary.ts'

const Warmth = Type.Number({ minimum: -60, maximum: 60 })
const Days = Type.Number({ minimum: 0, maximum: 60 })

/** A stretch of time at one warmth. */
export const ColdStretch = closed({
  hours: Type.Number({ minimum: 0, maximum: 8760 }),
  celsius: nullable(Type.Number({ minimum: -60, maximum: 60, description: 'Null where nobody knows.' })),
})
export type ColdStretch = Static<typeof ColdStretch>

/** From the counter to the fridge. */
export const Journey = closed({
  massKg: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
  startC: Warmth,
  ambientC: Warmth,
  hours: Type.Number({ minimum: 0, maximum: 240 }),
  box: oneOf(BOXES),
})
export type Journey = Static<typeof Journey>

/** How a fish was kept. */
export const ColdRequest = closed(
  {
    fish: Text(120),
    offer: Type.Optional(Text(120)),
    ageIceDays: Type.Optional(closed({ low: Days, typical: Days, high: Days }, { description: 'Days on ice behind it when bought.' })),
    history: Type.Array(ColdStretch, { maxItems: 10_000 }),
    use: Type.Optional(oneOf(USES)),
    journey: Type.Optional(Journey),
  },
  { $id: 'ColdRequest' },
)
export type ColdRequest = Static<typeof ColdRequest>

/** How long a fish will keep after how it was kept. */
export const Cold = closed(
  {
    species: ScientificName,
    offerId: Text(120),
    iceDays: Type.Number({ minimum: 0, description: 'Days on ice that the history is worth.' }),
    keepingDays: Type.Number(),
    leftDays: Range,
    leftHoursAt: Type.Array(closed({ celsius: Type.Number(), hours: Type.Number({ minimum: 0 }) })),
    histamine: closed({
      former: Type.Boolean(),
      hoursAbove4: Type.Number({ minimum: 0, description: 'Above 4.4 °C.' }),
      anyAbove21: Type.Boolean(),
      stop: Type.Boolean({ description: 'Not to be used, raw or cooked.' }),
    }),
    iceKg: nullable(Type.Number({ minimum: 0 })),
    cautions: Type.Array(Caution),
    sentence: SentenceText(400),
    engineVersion: Text(20),
  },
  { $id: 'Cold' },
)
export type Cold = Static<typeof Cold>
