import Papa from 'papaparse'
import { findSchema, isCell, toColumn, unflatten } from './csvCells.ts'
import type { RawFile, RawRow } from './importSpecies.ts'

const countLines = (text: string, from: number, to: number): number => {
  let count = 0
  for (let at = text.indexOf('\n', from); at >= 0 && at < to; at = text.indexOf('\n', at + 1)) count += 1
  return count
}

/** What parts the cells: the sign that stands most often in the header line, whose names hold none of them. */
function findDelimiter(text: string): string {
  const header = text.slice(0, text.indexOf('\n') < 0 ? text.length : text.indexOf('\n'))
  const times = (sign: string) => header.split(sign).length
  return [',', ';', '\t'].reduce((best, sign) => (times(sign) > times(best) ? sign : best))
}

/**
 * Rows of a CSV file with a header line, each with the line it begins on. A row for a species that is known may give only the columns it
 * changes.
 */
export function readCsvRows(raw: string, findKnown: (scientific: string) => unknown): RawFile {
  const text = raw.startsWith('\ufeff') ? raw.slice(1) : raw
  const rows: RawRow[] = []
  const schemas = new Map<string, NonNullable<ReturnType<typeof findSchema>>>()
  let columns: readonly string[] | undefined
  let begun = 0
  let line = 1
  Papa.parse<string[]>(text, {
    delimiter: findDelimiter(text),
    step: ({ data, errors, meta }, parser) => {
      const at = line
      line += countLines(text, begun, meta.cursor)
      begun = meta.cursor
      if (data.length === 1 && (data[0] ?? '').trim() === '') return
      if (!columns) {
        columns = data.map((name) => name.trim())
        for (const column of columns) {
          const schema = findSchema(column)
          if (schema && isCell(schema)) schemas.set(column, schema)
        }
        const unknown = columns.filter((column) => !schemas.has(column))
        const missing = columns.includes('scientific') ? [] : ['scientific']
        const message = [
          ...(unknown.length > 0 ? [`unknown columns: ${unknown.slice(0, 8).join(', ')}`] : []),
          ...(missing.length > 0 ? ['the column scientific is missing'] : []),
        ].join('; ')
        if (message !== '') {
          rows.push({ line: at, value: null, problem: { path: '', message } })
          parser.abort()
        }
        return
      }
      const [error] = errors
      const wrong = error?.message ?? (data.length > columns.length ? `${data.length} cells under ${columns.length} columns` : undefined)
      const named = Object.fromEntries(columns.map((column, i) => [column, data[i] ?? '']))
      rows.push({
        line: at,
        value: unflatten(named, schemas, findKnown((named.scientific ?? '').trim())),
        ...(wrong ? { problem: { path: '', message: wrong } } : {}),
      })
    },
  })
  if (!columns) rows.push({ line: 1, value: null, problem: { path: '', message: 'the file is empty: a header line is needed' } })
  return { rows, toPlace: toColumn }
}
