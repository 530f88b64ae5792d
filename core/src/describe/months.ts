/** Months of the year by their number, 1..12. */
export const MONTH_NAMES = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const

export const nameMonth = (month: number): string => MONTH_NAMES[month - 1] ?? ''

/** A day as people say it, "16 June". @param date ISO date */
export const describeDay = (date: string): string => `${Number(date.slice(8, 10))} ${nameMonth(Number(date.slice(5, 7)))}`
