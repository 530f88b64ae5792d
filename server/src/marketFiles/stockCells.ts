import type { Stock } from '@tender-gill/contract'
import { readNumber, readOrigin } from '../priceLists/readCells.ts'
import type { Cells, ReadCells } from './readMarketFile.ts'

const PARTS = ['biomassRatio', 'pressureRatio', 'gearScore', 'managementScore', 'feed', 'escapes', 'disease', 'discharge'] as const

/** Columns of a file of evidence: each part with the year it is from; an empty cell is not known. */
export const STOCK_COLUMNS: readonly string[] = ['species', 'water', 'origin', 'gear', ...PARTS.flatMap((part) => [part, `${part} year`])]

export const toStockCells = (stock: Stock): Cells => ({
  ...{ species: stock.species, water: stock.water ?? '', origin: stock.origin ?? '', gear: stock.gear ?? '' },
  ...Object.fromEntries(
    PARTS.flatMap((part) => [
      [part, stock[part] ? String(stock[part].value) : ''],
      [`${part} year`, stock[part]?.year === undefined ? '' : String(stock[part].year)],
    ]),
  ),
})

/** Evidence out of its row. */
export const readStockCells: ReadCells<Stock> = (cells, fail) => {
  const text = (column: string) => (cells[column] ?? '').trim()
  let wrong = false
  const number = (column: string): number | undefined => {
    if (text(column) === '') return undefined
    const value = readNumber(text(column), '.')
    if (value === undefined) {
      fail(column, `"${text(column)}" is no number`)
      wrong = true
    }
    return value
  }
  const origin = text('origin') === '' ? undefined : readOrigin(text('origin'))
  if (text('origin') !== '' && origin === undefined) {
    fail('origin', `"${text('origin')}" is neither wild nor farmed`)
    wrong = true
  }
  const parts = PARTS.flatMap((part) => {
    const value = number(part)
    const year = number(`${part} year`)
    return value === undefined ? [] : [[part, year === undefined ? { value } : { value, year }] as const]
  })
  if (wrong) return undefined
  return {
    species: text('species'),
    ...(text('water') === '' ? {} : { water: text('water') }),
    ...(origin === undefined ? {} : { origin }),
    ...(text('gear') === '' ? {} : { gear: text('gear') }),
    ...Object.fromEntries(parts),
  }
}
