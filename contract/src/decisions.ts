import { Type, type Static } from '@sinclair/typebox'
import { Brief } from './brief.ts'
import { LineUp } from './lineUp.ts'
import { Beside } from './records.ts'
import { closed, nullable, oneOf, ScientificName, Text } from './schemaParts.ts'
import { FORMS } from './vocabulary.ts'

/** The fish taken for a dish, to be kept with the whole line-up that stood behind it. */
export const DecisionInput = closed(
  {
    servingId: Text(40),
    species: ScientificName,
    offerId: Text(120),
    form: oneOf(FORMS),
    beside: Type.Optional(Beside),
    note: Type.Optional(Text(400)),
    /** Whether the line-up behind it is that of what can be bought, where anything can. */
    onlyOffered: Type.Optional(Type.Boolean()),
    /** The dish as it was typed, where that is not kept yet: it is kept in the same step. */
    brief: Type.Optional(Brief),
    /** The revision of the dish that was seen; without it the dish as it is kept now is meant. */
    revision: Type.Optional(Type.Integer({ minimum: 1 })),
  },
  { $id: 'DecisionInput' },
)
export type DecisionInput = Static<typeof DecisionInput>

const Place = nullable(Type.Integer({ minimum: 1, description: 'Place in the line-up; null when it was left out.' }))
const Fit = nullable(Type.Number())

/** One decision. It is never changed: changing one's mind adds another of the next revision. */
export const Decision = closed(
  {
    id: Text(40),
    servingId: Text(40),
    dish: Text(120),
    revision: Type.Integer({ minimum: 1 }),
    decidedAt: Type.String(),
    species: ScientificName,
    common: Text(80),
    offerId: Text(120),
    form: oneOf(FORMS),
    /** The others of a pot of several, by their common names; null where one fish does it alone. */
    beside: nullable(Type.Array(Text(80), { minItems: 1, maxItems: 4 })),
    place: Place,
    fit: Fit,
    note: nullable(Text(400)),
    engineVersion: Text(20),
    snapshot: Text(80),
    inputsHash: Text(64),
    outputHash: Text(64),
  },
  { $id: 'Decision' },
)
export type Decision = Static<typeof Decision>

/** A decision reopened: the line-up as it was, not worked out anew. */
export const DecisionDetail = closed({ decision: Decision, brief: Brief, output: LineUp }, { $id: 'DecisionDetail' })
export type DecisionDetail = Static<typeof DecisionDetail>

/** One fish that stands elsewhere than it did. */
export const Moved = closed({
  species: ScientificName,
  common: Text(80),
  placeThen: Place,
  placeNow: Place,
  fitThen: Fit,
  fitNow: Fit,
})
export type Moved = Static<typeof Moved>

export const LineUpDifference = closed({
  identical: Type.Boolean({ description: 'The same fish in the same places with the same fits.' }),
  leaderThen: nullable(Text(80)),
  leaderNow: nullable(Text(80)),
  chosen: Moved,
  /** Those that moved, the best placed first; at most twelve. */
  moved: Type.Array(Moved, { maxItems: 12 }),
})
export type LineUpDifference = Static<typeof LineUpDifference>

/** A decision run again: on the same inputs with the engine of today, and apart from that on the inputs of today. */
export const DecisionRerun = closed(
  { engineThen: Text(20), engineNow: Text(20), sameInputs: LineUpDifference, todaysInputs: LineUpDifference },
  { $id: 'DecisionRerun' },
)
export type DecisionRerun = Static<typeof DecisionRerun>
