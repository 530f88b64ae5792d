import { Type, type Static } from '@sinclair/typebox'
import { closed, Instant, Text } from './schemaParts.ts'

/** What is done when on a run sheet, to be written as a calendar. */
export const RunCalendarRequest = closed(
  {
    tasks: Type.Array(
      closed({
        id: Text(120),
        at: Instant,
        minutes: Type.Number({ exclusiveMinimum: 0, maximum: 1440 }),
        title: Text(200),
        detail: Type.Optional(Text(400)),
      }),
      { maxItems: 500 },
    ),
  },
  { $id: 'RunCalendarRequest' },
)
export type RunCalendarRequest = Static<typeof RunCalendarRequest>
