import type { SourceSpecies } from '@tender-gill/contract'
import { writeTable } from '@tender-gill/csv'
import { flatten } from './csvCells.ts'

/** Columns in the order in which species first use them, each beside those it belongs to. */
function orderColumns(rows: readonly (readonly (readonly [string, string])[])[]): readonly string[] {
  const columns: string[] = []
  const seen = new Set<string>()
  for (const row of rows) {
    let before: string | undefined
    for (const [column] of row) {
      if (!seen.has(column)) {
        columns.splice(before === undefined ? 0 : columns.indexOf(before) + 1, 0, column)
        seen.add(column)
      }
      before = column
    }
  }
  return columns
}

/**
 * Species as a file: JSON as the published schema has it, or CSV with a header line, one species a row. Nothing is lost on the way back.
 * @param all species whose columns the header names too, so that what an entry has not is told from what the file does not speak of
 */
export function exportSpecies(sources: readonly SourceSpecies[], format: 'json' | 'csv', all: readonly SourceSpecies[] = sources): string {
  if (format === 'json') return `${JSON.stringify(sources, null, 2)}\n`
  const rows = sources.map(flatten)
  const columns = orderColumns(all === sources ? rows : [...rows, ...all.map(flatten)])
  return writeTable(
    columns,
    rows.map((row) => Object.fromEntries(row)),
  )
}
