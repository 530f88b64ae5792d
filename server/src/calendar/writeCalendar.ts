import { createHash } from 'node:crypto'
import type { Kitchen } from '@tender-gill/contract'
import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator'

/** Something that is done at a moment. */
export interface CalendarTask {
  /** The same whenever the task is the same, so that a calendar that reads it again changes what it had. */
  readonly id: string
  readonly atMs: number
  readonly title: string
  readonly detail: string
  /** How long it takes, min; a quarter of an hour where nothing is said. */
  readonly minutes?: number
}
interface Named {
  /** What they are the tasks of: "fish", "run sheet". */
  readonly what: string
  /** The part of the program that wrote it. */
  readonly product: string
}
const USUAL_MINUTES = 15

/** Tasks of a kitchen as iCalendar, each with an alarm when it is due. */
export function writeCalendar(
  kitchen: Pick<Kitchen, 'id' | 'name'>,
  tasks: readonly CalendarTask[],
  now: Date,
  { what, product }: Named,
): string {
  const calendar = ical({
    name: `${kitchen.name}: ${what}`,
    prodId: { company: 'Tender Gill', product },
    method: ICalCalendarMethod.PUBLISH,
  })
  for (const { id, atMs, title, detail, minutes = USUAL_MINUTES } of tasks) {
    const start = new Date(atMs)
    const event = calendar.createEvent({
      ...{ id: createHash('sha256').update(`${kitchen.id} ${id}`).digest('hex').slice(0, 32), stamp: now, start },
      ...{ end: new Date(atMs + minutes * 60_000), summary: title, description: detail },
    })
    event.createAlarm({ type: ICalAlarmType.display, trigger: 0 })
  }
  return calendar.toString()
}
