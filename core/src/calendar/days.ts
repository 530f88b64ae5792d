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
