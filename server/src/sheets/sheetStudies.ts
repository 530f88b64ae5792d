import type { SheetName } from '@tender-gill/contract'
import { packJson } from '../compute/packJson.ts'
import type { Study } from '../compute/study.ts'
import { notFound } from '../http/errors.ts'

const sheetName: Study<{ readonly date?: string }, SheetName> = async (desk, kitchen, { date = kitchen.today }) => ({
  date,
  snapshot: (await desk.openSheets(kitchen)).nameOn(date),
})

/** A sheet under its name, packed for the way. */
const sheet: Study<SheetName, Uint8Array> = async (desk, kitchen, { date, snapshot }) => {
  const found = (await desk.openSheets(kitchen)).findSheet(date, snapshot)
  if (!found) throw notFound('The offers of that day are called by another name by now')
  return packJson(found)
}

const offers: Study<{ readonly date?: string }, Uint8Array> = async (desk, kitchen, { date = kitchen.today }) =>
  packJson((await desk.openSheets(kitchen)).sheetOn(date))

export const sheetStudies = { sheetName, sheet, offers }
