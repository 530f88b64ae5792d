/** A zone's own way of writing, made once: making it costs fifty times what writing by it does. */
function rememberByZone<T>(make: (zone: string) => T): (zone: string) => T {
  const made = new Map<string, T>()
  return (zone) => {
    const ready = made.get(zone) ?? make(zone)
    made.set(zone, ready)
    return ready
  }
}

const dates = rememberByZone(
  (timeZone) => new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }),
)
const clocks = rememberByZone(
  (timeZone) => new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }),
)

/**
 * The day of the calendar in a zone, ISO date.
 * @param zone IANA name   @param ms since 1970
 * @throws RangeError where there is no such zone, or no such moment
 */
export const dateIn = (zone: string, ms: number): string => dates(zone).format(ms)

/** The hour in a zone, as 21:05. @param zone IANA name   @param ms since 1970   @throws as `dateIn` does */
export const clockIn = (zone: string, ms: number): string => clocks(zone).format(ms)

/** Date and hour in a zone as if it were UTC, ms. @param zone IANA name   @param ms since 1970 */
export const localMs = (zone: string, ms: number): number => Date.parse(`${dateIn(zone, ms)}T${clockIn(zone, ms)}Z`)
