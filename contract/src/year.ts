import { Type, type Static } from '@sinclair/typebox'
import { closed, Fraction, nullable, ScientificName, Text } from './schemaParts.ts'

/** One month of a dish: who comes first in how many draws, and how many fish can do it. */
export const MonthOfDish = closed({
  month: Type.Integer({ minimum: 1, maximum: 12 }),
  date: Type.String(),
  able: Type.Integer({ minimum: 0 }),
  /** The fish that comes first most often; null where none can do it. */
  leader: nullable(closed({ species: ScientificName, common: Text(80), fit: Type.Number(), firstShare: Fraction })),
  /** Shares of first places of the fish that lead any month, in the order of the year's list. */
  shares: Type.Array(Fraction),
  /** Fit of the fittest in this month; null where none can do it. */
  best: nullable(Type.Number()),
  /** Fit of each of the year's fish in this month, in the order of its list; null where it cannot do the dish then. */
  fits: Type.Array(nullable(Type.Number())),
})
export type MonthOfDish = Static<typeof MonthOfDish>

/** A dish over the year: the line-up in the middle of every month. */
export const YearOfDish = closed(
  {
    /** Fish that come first in any month in some draws, the most over the year first; the one taken for the dish last, where it never leads. */
    fish: Type.Array(closed({ species: ScientificName, common: Text(80) })),
    months: Type.Array(MonthOfDish, { minItems: 12, maxItems: 12 }),
    /** Whether any year is known in the waters of the dish; without one every month is alike. */
    known: Type.Boolean(),
  },
  { $id: 'YearOfDish' },
)
export type YearOfDish = Static<typeof YearOfDish>
