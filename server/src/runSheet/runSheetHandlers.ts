import { writeCalendar } from '../calendar/writeCalendar.ts'
import { asFile } from '../http/answered.ts'
import type { HandlersOf } from '../http/serveOperations.ts'

/** A run sheet as files: it is worked out where it is looked at, and nothing of it is kept. */
export const createRunSheetHandlers = (now: () => Date): HandlersOf<'runCalendar'> => ({
  runCalendar: async ({ kitchen, input: { tasks } }) => {
    const written = tasks.map(({ id, at, minutes, title, detail = '' }) => ({ ...{ id, minutes, title, detail }, atMs: Date.parse(at) }))
    return asFile('run-sheet.ics', 'text/calendar', writeCalendar(kitchen, written, now(), { what: 'run sheet', product: 'run sheet' }))
  },
})
