import { localMs } from './zones.ts'

/**
 * The moment of an hour of a day in a zone, ms since 1970. An hour that the clocks skip is the one after it.
 * @param date ISO date   @param hour 0..24   @param zone IANA name
 */
export function atHour(date: string, hour: number, zone: string): number {
  const wanted = Date.parse(`${date}T00:00:00Z`) + hour * 3_600_000
  const guess = wanted - (localMs(zone, wanted) - wanted)
  return guess - (localMs(zone, guess) - wanted)
}
