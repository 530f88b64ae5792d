import { dayOfYear } from '../calendar/index.ts'
import type { Range, ResolvedOffer, ResolvedSeason, Season } from '@tender-gill/contract'

const MID_MONTH_DAY = [16, 45, 75, 106, 136, 167, 197, 228, 259, 289, 320, 350]
const YEAR_DAYS = 365

/** A monthly series on one day: values sit at mid-month, straight lines between, the year wraps. */
export const interpolateYear = (months: readonly number[], date: string): number => interpolateDay(months, dayOfYear(date))

/** The same on a day of the year, 1..366. */
export function interpolateDay(months: readonly number[], day: number): number {
  const next = MID_MONTH_DAY.findIndex((mid) => day < mid)
  const after = next === -1 ? 0 : next
  const before = (after + 11) % 12
  const start = (MID_MONTH_DAY[before] ?? 0) - (next === 0 ? YEAR_DAYS : 0)
  const end = (MID_MONTH_DAY[after] ?? 0) + (next === -1 ? YEAR_DAYS : 0)
  const share = (day - start) / (end - start)
  return (months[before] ?? 0) * (1 - share) + (months[after] ?? 0) * share
}

/** Whether a date lies in a closure; both ends are closed, and a closure may wrap the year. */
export function isClosed(date: string, closures: Season['closures'] = []): boolean {
  const monthDay = date.slice(5)
  return closures.some(({ from, to }) => (from <= to ? monthDay >= from && monthDay <= to : monthDay >= from || monthDay <= to))
}

export function resolveSeason(season: Season, date: string): ResolvedSeason {
  const best = Math.max(...season.landings)
  return {
    water: season.water,
    landings: best > 0 ? Math.min(1, Math.max(0, interpolateYear(season.landings, date) / best)) : 0,
    condition: season.condition ? interpolateYear(season.condition, date) : null,
    closed: isClosed(date, season.closures),
  }
}

/** Season in the first of the kitchen's waters where the species is landed best today. */
export function findSeason(seasons: readonly Season[], species: string, waters: readonly string[], date: string): ResolvedSeason | null {
  const here = seasons
    .filter((season) => season.species === species && waters.includes(season.water))
    .map((season) => resolveSeason(season, date))
  const open = here.filter(({ closed }) => !closed)
  return [...(open.length > 0 ? open : here)].sort((a, b) => b.landings - a.landings || (a.water < b.water ? -1 : 1))[0] ?? null
}

const FAT_SPREAD = 0.25
const SPENT_CONDITION = 3
const shift = ({ low, typical, high }: Range, by: number) => ({
  low: Math.max(0, low + by),
  typical: Math.max(0, typical + by),
  high: Math.max(0, high + by),
})

/** The flesh as the season leaves it: fat follows condition; spent fish is softer and yields three points less. */
export function applyCondition(offer: ResolvedOffer, condition: number): ResolvedOffer {
  const { fat, firmness } = offer.traits
  const typical = fat.low + ((fat.high - fat.low) * condition) / 10
  const seasonalFat = { ...fat, low: typical * (1 - FAT_SPREAD), typical, high: typical * (1 + FAT_SPREAD) }
  if (condition >= SPENT_CONDITION) return { ...offer, traits: { ...offer.traits, fat: seasonalFat } }
  return {
    ...offer,
    traits: { ...offer.traits, fat: seasonalFat, firmness: { ...firmness, ...shift(firmness, -1) } },
    forms: offer.forms.map((sold) => (sold.form === 'whole' ? sold : { ...sold, yieldOfWhole: shift(sold.yieldOfWhole, -0.03) })),
  }
}

/** The middle of a month, 1..12, in the year of an ISO date. */
export const midMonth = (date: string, month: number): string => `${date.slice(0, 4)}-${String(month).padStart(2, '0')}-15`

/** Months from one of a date, going round the year, 0..6. */
export function monthsAway(date: string, month: number): number {
  const apart = Math.abs(month - Number(date.slice(5, 7)))
  return Math.min(apart, 12 - apart)
}

/** The other eleven months, 1..12, the nearest to a date first. */
export const monthsByNearness = (date: string): readonly number[] =>
  Array.from({ length: 12 }, (_, i) => i + 1)
    .filter((month) => monthsAway(date, month) > 0)
    .sort((a, b) => monthsAway(date, a) - monthsAway(date, b) || a - b)
