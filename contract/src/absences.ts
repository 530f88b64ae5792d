import { Type, type Static } from '@sinclair/typebox'
import { Choice, TakenFish } from './records.ts'
import { closed, IsoDate, nullable, oneOf, ScientificName, Text } from './schemaParts.ts'
import { Rung } from './standIns.ts'
import { SentenceText } from './facts.ts'

/** Reasons for which a whole kitchen does without a fish. A diner's allergy and a size belong to one dish. */
export const ABSENCE_REASONS = ['not-landed', 'looked-bad', 'too-dear', 'stock', 'unsafe'] as const
export type AbsenceReason = (typeof ABSENCE_REASONS)[number]

/** A fish that a kitchen does without for some days; both ends count. */
const span = {
  species: ScientificName,
  /** One offer alone ("wild, fresh"); null where all of the species is missing. */
  offerId: nullable(Text(120)),
  because: nullable(oneOf(ABSENCE_REASONS)),
  from: IsoDate,
  to: IsoDate,
}

/** How much of a fish can be had in all, where that is little. */
export const Supply = closed({ species: ScientificName, kg: Type.Number({ minimum: 0, maximum: 100_000 }) })
export type Supply = Static<typeof Supply>

/** The cook's own word for one dish: this fish, or none yet. */
export const Hold = closed({ servingId: Text(40), species: nullable(ScientificName) })
export type Hold = Static<typeof Hold>

export const AbsencePlanRequest = closed(
  {
    ...span,
    supplies: Type.Optional(Type.Array(Supply, { maxItems: 100 })),
    holds: Type.Optional(Type.Array(Hold, { maxItems: 500 })),
    /** False: whoever of the book could, whether or not anybody offers it. Else what can be bought, where there are lists. */
    onlyOffered: Type.Optional(Type.Boolean()),
  },
  { $id: 'AbsencePlanRequest' },
)
export type AbsencePlanRequest = Static<typeof AbsencePlanRequest>

/** One dish that uses the missing fish, with what could take its place. */
export const AbsenceDish = closed({
  servingId: Text(40),
  revision: Type.Integer({ minimum: 1 }),
  dish: Text(120),
  date: nullable(Type.String()),
  covers: Type.Integer({ minimum: 1 }),
  /** What is taken now, as the dish would have bought it. */
  taken: closed({ choice: TakenFish, common: Text(80), offer: Text(80), buyG: Type.Number() }),
  ladder: Type.Array(Rung, { maxItems: 4 }),
  /** Why there is no rung at all, in words. */
  emptyBecause: nullable(SentenceText(300)),
  /** The rung assigned, counted from 0; null where none is left or the cook wants none yet. */
  move: nullable(Type.Integer({ minimum: 0, maximum: 3 })),
  /** Why it is not its nearest rung, in words. */
  sentence: nullable(SentenceText(300)),
})
export type AbsenceDish = Static<typeof AbsenceDish>

/** What is asked of one stand-in by all dishes together. */
export const SupplyUse = closed({
  species: ScientificName,
  common: Text(80),
  dishes: Type.Array(Text(120)),
  /** Dishes whose nearest rung it is. */
  wantedBy: Type.Array(Text(120)),
  neededKg: Type.Number(),
  wantedKg: Type.Number(),
  kg: nullable(Type.Number()),
})
export type SupplyUse = Static<typeof SupplyUse>

export const AbsencePlan = closed(
  {
    ...span,
    common: Text(80),
    dishes: Type.Array(AbsenceDish),
    supplies: Type.Array(SupplyUse),
    /** Dishes in which it only leads and nothing is taken yet: another leads from now on. */
    leads: Type.Array(closed({ servingId: Text(40), dish: Text(120) })),
    /** Portions that go on being served, weighted by how well the stand-in does, over all portions, 0..100. */
    standing: Type.Number({ minimum: 0, maximum: 100 }),
    /** Species that can be bought on the first of the days. */
    offered: Type.Integer({ minimum: 0 }),
  },
  { $id: 'AbsencePlan' },
)
export type AbsencePlan = Static<typeof AbsencePlan>

/** One dish that changes its fish, at the revision the plan was made from; in a pot of several the missing one alone. */
export const AbsenceMove = closed({ servingId: Text(40), revision: Type.Integer({ minimum: 1 }), choice: TakenFish })
export type AbsenceMove = Static<typeof AbsenceMove>

export const AbsenceInput = closed({ ...span, moves: Type.Array(AbsenceMove, { maxItems: 500 }) }, { $id: 'AbsenceInput' })
export type AbsenceInput = Static<typeof AbsenceInput>

/** A fish marked missing, with the dishes that were moved by it. */
export const Absence = closed(
  {
    id: Text(40),
    ...span,
    common: Text(80),
    markedAt: Type.String(),
    /** When it was taken back; null while it stands. */
    takenBackAt: nullable(Type.String()),
    moves: Type.Array(closed({ servingId: Text(40), dish: Text(120), before: Choice, after: Choice, common: Text(80) })),
  },
  { $id: 'Absence' },
)
export type Absence = Static<typeof Absence>

/** What taking an absence back did: dishes put back, and those that were changed since and stay as they are. */
export const AbsenceUndo = closed({ absence: Absence, putBack: Type.Array(Text(120)), left: Type.Array(Text(120)) }, { $id: 'AbsenceUndo' })
export type AbsenceUndo = Static<typeof AbsenceUndo>
