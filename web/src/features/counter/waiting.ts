import type { BuyServing, ColdPlaceRecord, Kitchen } from '@tender-gill/contract'
import { countDays, SERVICE_HOUR } from '@tender-gill/core'
import { readLocalTime } from '../../parts/readLocalTime.ts'

/** A fridge of which nobody says how cold it is, °C. */
const USUAL_FRIDGE_C = 3
/** A fish that waits for no day is taken to be eaten a day from now. */
const NO_DAY_HOURS = 24

/** Hours from now until a day's service, at least one. @param time local, as 09:30 */
export function hoursUntil(date: string | null, today: string, time: string): number {
  if (date === null) return NO_DAY_HOURS
  const [hour = 0, minute = 0] = time.split(':').map(Number)
  return Math.max(1, countDays(today, date) * 24 + SERVICE_HOUR - hour - minute / 60)
}

/** How warm the kitchen's fridge usually is, °C. */
export const fridgeC = (places: readonly ColdPlaceRecord[]): number =>
  places.find(({ place }) => place.kind === 'fridge')?.place.usualC ?? USUAL_FRIDGE_C

/** How long and how warm a fish is kept until the last of its servings. */
export function readKeep(
  servings: readonly Pick<BuyServing, 'date'>[],
  { today, zone }: Pick<Kitchen, 'today' | 'zone'>,
  places: readonly ColdPlaceRecord[],
  now: Date = new Date(),
): { readonly hours: number; readonly tempC: number } {
  const time = readLocalTime(zone, now)
  return { hours: Math.max(...servings.map(({ date }) => hoursUntil(date, today, time))), tempC: fridgeC(places) }
}
