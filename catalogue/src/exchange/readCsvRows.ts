import { readTable } from '@tender-gill/csv'
import { findColumn, toColumn, unflatten, type Column } from './csvCells.ts'
import type { RawFile, RawRow } from './importSpecies.ts'

/** A book of every fish there is fits; a file that goes on is not a book. */
const LIMITS = { mostRows: 50_000, mostLetters: 20_000 }

/** The columns of a header line, or what is wrong with it, in words. */
function readHeader(names: readonly string[]): readonly Column[] | string {
  const columns = names.flatMap((name) => findColumn(name) ?? [])
  const known = new Set(columns.map(({ name }) => name))
  const unknown = names.filter((name) => !known.has(name))
  const twice = [...known].filter((name) => names.indexOf(name) !== names.lastIndexOf(name))
  const wrong = [
    ...(unknown.length > 0 ? [`unknown columns: ${unknown.slice(0, 8).join(', ')}`] : []),
    ...(twice.length > 0 ? [`columns that stand twice: ${twice.slice(0, 8).join(', ')}`] : []),
    ...(names.includes('scientific') ? [] : ['the column scientific is missing']),
  ]
  return wrong.length > 0 ? wrong.join('; ') : columns
}

const refused = (line: number, message: string): RawFile => ({
  rows: [{ line, value: null, problem: { path: '', message } }],
  toPlace: toColumn,
})

/**
 * Rows of a CSV file with a header line, each with the line it begins on. A row for a species that is known may give only the columns it
 * changes.
 */
export function readCsvRows(raw: string, findKnown: (scientific: string) => unknown): RawFile {
  const { head, rows, cutAt } = readTable(raw, LIMITS)
  if (!head) return refused(1, 'the file is empty: a header line is needed')
  const columns = readHeader(head.cells)
  if (typeof columns === 'string') return refused(head.line, columns)
  const scientific = head.cells.indexOf('scientific')
  const read = rows.map(({ line, cells, wrong }): RawRow => ({
    line,
    value: unflatten(cells, columns, findKnown((cells[scientific] ?? '').trim())),
    ...(wrong === undefined ? {} : { problem: { path: '', message: wrong } }),
  }))
  const cut = cutAt === null ? [] : refused((rows.at(-1)?.line ?? 1) + 1, `more than ${cutAt} rows: what follows was not read`).rows
  return { rows: [...read, ...cut], toPlace: toColumn }
}
