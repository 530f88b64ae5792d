import { clockIn } from '@tender-gill/core'

/** The hour in a kitchen's zone, as 21:05. */
export const readLocalTime = (zone: string, at: Date = new Date()): string => clockIn(zone, at.getTime())
