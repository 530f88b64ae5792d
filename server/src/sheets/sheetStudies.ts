import { promisify } from 'node:util'
import { brotliCompress, constants } from 'node:zlib'
import type { OfferSheet, SheetName } from '@tender-gill/contract'
import type { Study } from '../compute/study.ts'
import { notFound } from '../http/errors.ts'

const compress = promisify(brotliCompress)
/** Quick, and still a tenth of the text: a sheet is packed once and fetched by every page. */
const QUALITY = 5

const packed = new WeakMap<OfferSheet, Promise<Uint8Array>>()
/** A sheet as JSON, packed; each sheet once. */
function packSheet(sheet: OfferSheet): Promise<Uint8Array> {
  const ready = packed.get(sheet) ?? compress(JSON.stringify(sheet), { params: { [constants.BROTLI_PARAM_QUALITY]: QUALITY } })
  packed.set(sheet, ready)
  return ready
}

const sheetName: Study<{ readonly date?: string }, SheetName> = async (desk, kitchen, { date = kitchen.today }) => ({
  date,
  snapshot: (await desk.openSheets(kitchen)).nameOn(date),
})

/** A sheet under its name, packed for the way. */
const sheet: Study<SheetName, Uint8Array> = async (desk, kitchen, { date, snapshot }) => {
  const found = (await desk.openSheets(kitchen)).findSheet(date, snapshot)
  if (!found) throw notFound('The offers of that day are called by another name by now')
  return packSheet(found)
}

const offers: Study<{ readonly date?: string }, Uint8Array> = async (desk, kitchen, { date = kitchen.today }) =>
  packSheet((await desk.openSheets(kitchen)).sheetOn(date))

export const sheetStudies = { sheetName, sheet, offers }
