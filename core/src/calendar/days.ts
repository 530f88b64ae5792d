/** Milliseconds of a day. The only place that knows it: the linter sees to that. */
export const DAY_MS = 86_400_000

/** Days since 1970 of an ISO date. */
export const toDayNumber = (date: string): number => Math.round(Date.parse(date) / DAY_MS)
/** Whether a text is a day of the calendar, as 2026-06-13, from the year 1 on: no 31st of February, no year 0. */
export function isDay(text: unknown): text is string {
  if (typeof text !== 'string' || !/^\d{4}-\d{2}-\d{2}$/.test(text) || text < '0001') return false
  const ms = Date.parse(`${text}T00:00:00Z`)
  return !Number.isNaN(ms) && new Date(ms).toISOString().startsWith(text)
}
/** Whole days from one ISO date to another; below 0 where the other is earlier. */
export const countDays = (from: string, to: string): number => toDayNumber(to) - toDayNumber(from)
/** The ISO date of a number of days since 1970. */
export const toIsoDate = (day: number): string => new Date(day * DAY_MS).toISOString().slice(0, 10)
/** An ISO date some days later, or earlier. */
export const addDays = (date: string, days: number): string => toIsoDate(toDayNumber(date) + days)
/** Day of the week of an ISO date: Monday 1 to Sunday 7. */
export const weekdayOf = (date: string): number => ((((toDayNumber(date) + 3) % 7) + 7) % 7) + 1

/** Day of the year, 1..366, of an ISO date. */
export const dayOfYear = (date: string): number => toDayNumber(date) - toDayNumber(`${date.slice(0, 4)}-01-01`) + 1

/**
 * Year, month (1..12) and day of the month of a number of days since 1970, by arithmetic alone: many days are read at once where prices are
 * followed over years (after Hinnant, days to civil date in the proleptic Gregorian calendar).
 */
export function toCivil(day: number): { readonly year: number; readonly month: number; readonly dayOfMonth: number } {
  const shifted = day + 719_468
  const era = Math.floor(shifted / 146_097)
  const ofEra = shifted - era * 146_097
  const yearOfEra = Math.floor((ofEra - Math.floor(ofEra / 1460) + Math.floor(ofEra / 36_524) - Math.floor(ofEra / 146_096)) / 365)
  const ofYear = ofEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100))
  const fromMarch = Math.floor((5 * ofYear + 2) / 153)
  const month = fromMarch < 10 ? fromMarch + 3 : fromMarch - 9
  return {
    year: yearOfEra + era * 400 + (month <= 2 ? 1 : 0),
    month,
    dayOfMonth: ofYear - Math.floor((153 * fromMarch + 2) / 5) + 1,
  }
}

const leapsBefore = (year: number): number => Math.floor((year - 1) / 4) - Math.floor((year - 1) / 100) + Math.floor((year - 1) / 400)
const LEAPS_BEFORE_1970 = leapsBefore(1970)

/** Days whose place in their year is worked out once: those up to the year 2100; 0 is not worked out yet. */
const OF_YEAR = new Int16Array(47_482)

/** Day of the year, 1..366, of a number of days since 1970. */
export function dayOfYearOf(day: number): number {
  const ready = OF_YEAR[day]
  if (ready) return ready
  const { year } = toCivil(day)
  const ofYear = day - (365 * (year - 1970) + leapsBefore(year) - LEAPS_BEFORE_1970) + 1
  if (ready === 0) OF_YEAR[day] = ofYear
  return ofYear
}
