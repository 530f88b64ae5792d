import { readTable } from '@tender-gill/csv'
import { findSchema, isCell, toColumn, unflatten } from './csvCells.ts'
import type { RawFile, RawRow } from './importSpecies.ts'

/** A book of every fish there is fits; a file that goes on is not a book. */
const LIMITS = { mostRows: 50_000, mostLetters: 20_000 }

type Schemas = ReadonlyMap<string, NonNullable<ReturnType<typeof findSchema>>>

const findSchemas = (columns: readonly string[]): Schemas =>
  new Map(
    columns.flatMap((column) => {
      const schema = findSchema(column)
      return schema && isCell(schema) ? [[column, schema] as const] : []
    }),
  )

/** What is wrong with the headings as such, in words; empty if nothing. */
function checkColumns(columns: readonly string[], schemas: Schemas): string {
  const unknown = columns.filter((column) => !schemas.has(column))
  return [
    ...(unknown.length > 0 ? [`unknown columns: ${unknown.slice(0, 8).join(', ')}`] : []),
    ...(columns.includes('scientific') ? [] : ['the column scientific is missing']),
  ].join('; ')
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
  const columns = head.cells
  const schemas = findSchemas(columns)
  const message = checkColumns(columns, schemas)
  if (message !== '') return refused(head.line, message)
  const read = rows.map(({ line, cells, wrong }): RawRow => {
    const named = Object.fromEntries(columns.map((column, i) => [column, cells[i] ?? '']))
    return {
      line,
      value: unflatten(named, schemas, findKnown((named.scientific ?? '').trim())),
      ...(wrong === undefined ? {} : { problem: { path: '', message: wrong } }),
    }
  })
  const cut = cutAt === null ? [] : refused((rows.at(-1)?.line ?? 1) + 1, `more than ${cutAt} rows: what follows was not read`).rows
  return { rows: [...read, ...cut], toPlace: toColumn }
}
