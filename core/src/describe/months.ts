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
