/** The hour in a kitchen's zone, as 21:05. */
export const readLocalTime = (zone: string, at: Date = new Date()): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: zone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }).format(at)
