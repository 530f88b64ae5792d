/** The calendar day in a zone, ISO date. @param zone IANA name */
export const computeToday = (now: Date, zone: string): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(now)

/** The hour in a zone, as 21:05. */
export const computeHour = (now: Date, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: zone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }).format(now)
