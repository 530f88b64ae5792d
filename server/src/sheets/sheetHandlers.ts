import type { Compute } from '../compute/index.ts'
import { isDay } from '@tender-gill/core'
import { asPackedJson } from '../http/answered.ts'
import { refuse } from '../http/errors.ts'
import type { HandlersOf } from '../http/serveOperations.ts'

/** The offers of a kitchen's day: called by a name that is asked often and costs little, fetched under it once and for good. */
export const createSheetHandlers = (compute: Compute): HandlersOf<'sheetName' | 'sheet' | 'offers'> => ({
  sheetName: ({ kitchen, query, signal }) => compute.ask('sheetName', kitchen, query, signal),
  sheet: async ({ kitchen, params, signal }) => {
    if (!isDay(params.date)) throw refuse([{ path: '/date', message: 'must be a date, as 2026-06-13' }])
    return asPackedJson(await compute.ask('sheet', kitchen, params, signal), { 'Cache-Control': 'private, max-age=31536000, immutable' })
  },
  offers: async ({ kitchen, query, signal }) => asPackedJson(await compute.ask('offers', kitchen, query, signal)),
})
