import type { LotRecord } from '@tender-gill/contract'
import type { UseFirst } from '@tender-gill/core'
import { createWords } from '@tender-gill/words'
import type { CalendarTask } from '../calendar/writeCalendar.ts'

const HOUR_MS = 3_600_000
/** A frozen fish is taken out this long before it is eaten: a night and a day in the fridge. */
const THAW_HOURS = 24

/** What has to be done to the fish in the house and when: ice, use by, freezing that is over, thawing. */
export function listTasks({ lots }: UseFirst, records: readonly LotRecord[], nowMs: number): readonly CalendarTask[] {
  const { say } = createWords()
  const byId = new Map(records.map((record) => [record.id, record.lot]))
  return lots
    .flatMap(({ id, common, renewIceMs, lastsMs, sentence, servings }): readonly CalendarTask[] => {
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
