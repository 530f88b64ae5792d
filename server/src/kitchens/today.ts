import { clockIn, dateIn } from '@tender-gill/core'

/** The calendar day in a zone, ISO date. @param zone IANA name */
export const computeToday = (now: Date, zone: string): string => dateIn(zone, now.getTime())

/** The hour in a zone, as 21:05. */
export const computeHour = (now: Date, zone: string): string => clockIn(zone, now.getTime())
