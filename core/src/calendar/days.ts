const DAY_MS = 86_400_000

/** Days since 1970 of an ISO date. */
export const toDayNumber = (date: string): number => Math.round(Date.parse(date) / DAY_MS)
/** The ISO date of a number of days since 1970. */
export const toIsoDate = (day: number): string => new Date(day * DAY_MS).toISOString().slice(0, 10)
/** An ISO date some days later, or earlier. */
export const addDays = (date: string, days: number): string => toIsoDate(toDayNumber(date) + days)
/** Day of the week of an ISO date: Monday 1 to Sunday 7. */
export const weekdayOf = (date: string): number => ((((toDayNumber(date) + 3) % 7) + 7) % 7) + 1

/** Day of the year, 1..366, of an ISO date. */
export const dayOfYear = (date: string): number => toDayNumber(date) - toDayNumber(`${date.slice(0, 4)}-01-01`) + 1
