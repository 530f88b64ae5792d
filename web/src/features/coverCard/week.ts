import { addDays, weekdayOf } from '@tender-gill/core'

/** Monday to Sunday round a day. @param day ISO date   @param weeks how many weeks on, 0 its own */
export function weekOf(day: string, weeks = 0): { readonly from: string; readonly to: string } {
  const from = addDays(day, 7 * weeks - weekdayOf(day) + 1)
  return { from, to: addDays(from, 6) }
}
