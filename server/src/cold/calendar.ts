import { createHash } from 'node:crypto'
import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator'
import type { Kitchen, LotRecord } from '@tender-gill/contract'
import type { UseFirst } from '@tender-gill/core'
import { createWords } from '@tender-gill/words'

const HOUR_MS = 3_600_000
const TASK_MINUTES = 15
/** A frozen fish is taken out this long before it is eaten: a night and a day in the fridge. */
const THAW_HOURS = 24

export interface Task {
  readonly id: string
  readonly atMs: number
  readonly title: string
  readonly detail: string
}

/** What has to be done to the fish in the house and when: ice, use by, freezing that is over, thawing. */
export function listTasks({ lots }: UseFirst, records: readonly LotRecord[], nowMs: number): readonly Task[] {
  const { say } = createWords()
  const byId = new Map(records.map((record) => [record.id, record.lot]))
  return lots
    .flatMap(({ id, common, renewIceMs, lastsMs, sentence, servings }): readonly Task[] => {
      const lot = byId.get(id)
      const told = say(sentence)
      const thaw = lastsMs === null ? servings.flatMap(({ dish, eatenMs }) => (eatenMs === null ? [] : [{ dish, eatenMs }])) : []
      const frozenMs = lot?.freezing && !lot.freezing.done ? Date.parse(lot.freezing.since) + lot.freezing.hours * HOUR_MS : null
      return [
        ...(renewIceMs === null ? [] : [{ id: `${id}-ice`, atMs: renewIceMs, title: `${common}: drain and renew the ice`, detail: told }]),
        ...(lastsMs === null ? [] : [{ id: `${id}-use-by`, atMs: lastsMs.typical, title: `${common}: use by now`, detail: told }]),
        ...(frozenMs === null
          ? []
          : [{ id: `${id}-frozen`, atMs: frozenMs, title: `${common}: frozen long enough to be eaten raw`, detail: told }]),
        ...thaw.map(({ dish, eatenMs }, i) => ({
          ...{ id: `${id}-thaw-${i}`, atMs: eatenMs - THAW_HOURS * HOUR_MS },
          ...{ title: `${common}: take it out of the freezer for ${dish}`, detail: 'Thaw it in the fridge, in a bowl, covered.' },
        })),
      ]
    })
    .filter(({ atMs }) => atMs > nowMs)
    .sort((a, b) => a.atMs - b.atMs || (a.id < b.id ? -1 : 1))
}

/** Tasks as iCalendar: a name of its own for each, so that a calendar that reads it again changes what it had. */
export function writeCalendar(kitchen: Pick<Kitchen, 'id' | 'name'>, tasks: readonly Task[], now: Date): string {
  const calendar = ical({
    name: `${kitchen.name}: fish`,
    prodId: { company: 'Tender Gill', product: 'cold' },
    method: ICalCalendarMethod.PUBLISH,
  })
  for (const { id, atMs, title, detail } of tasks) {
    const start = new Date(atMs)
    const event = calendar.createEvent({
      ...{ id: createHash('sha256').update(`${kitchen.id} ${id}`).digest('hex').slice(0, 32), stamp: now, start },
      ...{ end: new Date(atMs + TASK_MINUTES * 60_000), summary: title, description: detail },
    })
    event.createAlarm({ type: ICalAlarmType.display, trigger: 0 })
  }
  return calendar.toString()
}
