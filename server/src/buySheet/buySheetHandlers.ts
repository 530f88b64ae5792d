import type { BuyLine, BuyOrder, BuySheet, Untold } from '@tender-gill/contract'
import { writeMessages } from '@tender-gill/core'
import { writeTable } from '@tender-gill/csv'
import { createWords } from '@tender-gill/words'
import type { Compute } from '../compute/index.ts'
import { asFile, Answered } from '../http/answered.ts'
import type { HandlersOf } from '../http/serveOperations.ts'

const COLUMNS = [
  ...['merchant', 'delivery', 'orderBy', 'species', 'common', 'offerId', 'offer', 'form', 'gradeFromG', 'gradeToG', 'g', 'count', 'packs'],
  ...['packG', 'perKg', 'currency', 'limitPerKg', 'goods', 'asks', 'dishes', 'standIns', 'state', 'boughtG', 'boughtPerKg'],
] as const

const text = (value: string | number | null | undefined): string => (value === null || value === undefined ? '' : String(value))

/** One line as a row: for programs, in grams and plain figures. */
function toRow(order: Untold<BuyOrder>, line: Untold<BuyLine>): Readonly<Record<(typeof COLUMNS)[number], string>> {
  const { say } = createWords()
  const { merchant, delivery, orderBy } = order
  const { species, common, offerId, offer, form, grade, buy, perKg, currency, limit, goods, asks, servings, standIns, purchase } = line
  return {
    ...{ merchant: text(merchant), delivery: text(delivery), orderBy: orderBy ? `${orderBy.date} ${orderBy.time}` : '' },
    ...{ species, common, offerId, offer, form, gradeFromG: text(grade?.fromG), gradeToG: text(grade?.toG) },
    ...{ g: text(buy.g), count: text(buy.count), packs: text(buy.packs), packG: text(buy.packG) },
    ...{
      perKg: text(perKg?.typical.toFixed(2)),
      currency: text(currency),
      limitPerKg: text(limit?.perKg.toFixed(2)),
      goods: text(goods?.toFixed(2)),
    },
    asks: asks.map(say).join('; '),
    dishes: [...new Set(servings.map(({ dish }) => dish))].join('; '),
    standIns: [...new Set(standIns.map((one) => `${one.species} ${Math.ceil(one.g)} g`))].join('; '),
    ...{ state: text(purchase?.purchase.state), boughtG: text(purchase?.purchase.g), boughtPerKg: text(purchase?.purchase.perKg) },
  }
}

/** The buy sheet, and the same as a file: CSV for programs, text for a message. */
export const createBuySheetHandlers = (compute: Compute): HandlersOf<'buySheet' | 'buySheetFile'> => ({
  buySheet: ({ kitchen, query, signal }) => compute.ask('buySheet', kitchen, query, signal),
  buySheetFile: async ({ kitchen, query: { as = 'csv', merchant, ...asked }, signal }) => {
    const sheet: Untold<BuySheet> = await compute.ask('buySheet', kitchen, asked, signal)
    const orders = sheet.orders.filter((order) => merchant === undefined || order.merchant === merchant)
    if (as === 'text')
      return new Answered(writeMessages(orders, kitchen.name), { headers: { 'Content-Type': 'text/plain; charset=utf-8' } })
    const rows = orders.flatMap((order) => order.lines.map((line) => toRow(order, line)))
    return asFile(`buy-sheet-${sheet.from}.csv`, 'text/csv', writeTable([...COLUMNS], rows))
  },
})
