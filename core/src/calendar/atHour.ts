/** Local date and hour of a moment in a zone, as if it were UTC, ms. */
function localMs(ms: number, zone: string): number {
  const parts = new Intl.DateTimeFormat('en-GB', {
    ...{ timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit', hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
  }).formatToParts(ms)
  const of = (type: string) => Number(parts.find((part) => part.type === type)?.value)
  return Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute'))
}

/**
 * The moment of an hour of a day in a zone, ms since 1970. An hour that the clocks skip is the one after it.
 * @param date ISO date   @param hour 0..24   @param zone IANA name
 */
export function atHour(date: string, hour: number, zone: string): number {
  const wanted = Date.parse(`${date}T00:00:00Z`) + hour * 3_600_000
  const guess = wanted - (localMs(wanted, zone) - wanted)
  return guess - (localMs(guess, zone) - wanted)
}
