import type { Season } from '@tender-gill/contract'
import type { Scale } from '../../typed/index.ts'

export type Curve = 'landings' | 'condition'
/** The least length at which a fish may be landed, cm. */
export const LEAST_CM: Scale = { least: 1, most: 500 }
export const MOST: Record<Curve, number> = { landings: 10, condition: 10 }
const UNKNOWN_CONDITION = 7

const twelve = (value: number): number[] => Array.from({ length: 12 }, () => value)
export const conditionOf = ({ condition }: Season): readonly number[] => condition ?? twelve(UNKNOWN_CONDITION)
export const curveOf = (season: Season, curve: Curve): readonly number[] => (curve === 'landings' ? season.landings : conditionOf(season))

/** The year with one month of one curve set, in whole steps within its scale. @param month 0..11 */
export function setMonth(season: Season, curve: Curve, month: number, value: number): Season {
  const kept = Math.min(MOST[curve], Math.max(0, Math.round(value)))
  return { ...season, [curve]: curveOf(season, curve).map((old, i) => (i === month ? kept : old)) }
}

/** A point of a stroke: a month, 0..11, and the value there. */
export interface StrokePoint {
  readonly month: number
  readonly value: number
}

/** The year with a stroke from one month to another: however fast it was drawn, no month between is left out. */
export function setStroke(season: Season, curve: Curve, from: StrokePoint, to: StrokePoint): Season {
  const months = Math.abs(to.month - from.month)
  const step = Math.sign(to.month - from.month)
  return Array.from({ length: months + 1 }, (_, i) => i).reduce(
    (painted, i) =>
      setMonth(painted, curve, from.month + i * step, months === 0 ? to.value : from.value + ((to.value - from.value) * i) / months),
    season,
  )
}

/** The year with its gear as typed; emptied, it is for all of them. */
export function setGear(season: Season, text: string): Season {
  const { gear: _before, ...rest } = season
  return text.trim() === '' ? rest : { ...rest, gear: text.trimStart() }
}

/** The year with its size limit as typed; emptied, none is known. */
export function setLeastCm(season: Season, leastCm: number | null): Season {
  const { leastCm: _before, ...rest } = season
  return leastCm === null ? rest : { ...rest, leastCm }
}

const shiftDay = (monthDay: string): string => {
  const month = ((Number(monthDay.slice(0, 2)) + 5) % 12) + 1
  return `${String(month).padStart(2, '0')}-${String(Math.min(28, Number(monthDay.slice(3)))).padStart(2, '0')}`
}

/** The same year half a year later, for waters on the other side of the line; to be checked, never taken on trust. */
export function shiftHalfYear(season: Season): Season {
  const turn = (months: readonly number[]) => months.map((_, i) => months[(i + 6) % 12] ?? 0)
  return {
    ...season,
    landings: turn(season.landings),
    ...(season.condition ? { condition: turn(season.condition) } : {}),
    ...(season.closures ? { closures: season.closures.map(({ from, to }) => ({ from: shiftDay(from), to: shiftDay(to) })) } : {}),
  }
}

/** A year to begin with: landed alike in every month, of which nothing is known yet. */
export const startYear = (species: string, water: string): Season => ({
  species,
  water,
  landings: twelve(5),
  condition: twelve(UNKNOWN_CONDITION),
})
