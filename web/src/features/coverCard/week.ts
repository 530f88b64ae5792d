const DAY_MS = 86_400_000
const shift = (day: string, by: number): string => new Date(Date.parse(day) + by * DAY_MS).toISOString().slice(0, 10)

/** Monday to Sunday round a day. @param day ISO date   @param weeks how many weeks on, 0 its own */
export function weekOf(day: string, weeks = 0): { readonly from: string; readonly to: string } {
  const weekday = (new Date(Date.parse(day)).getUTCDay() + 6) % 7
  const from = shift(day, 7 * weeks - weekday)
  return { from, to: shift(from, 6) }
}
