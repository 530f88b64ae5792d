/** The calendar day in a zone, ISO date. @param zone IANA name */
export const computeToday = (now: Date, zone: string): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(now)
