import Papa from 'papaparse'
import { escapeFormula } from './formulas.ts'

/** Rows as CSV with a line of headings, each cell under its heading, none that a spreadsheet would run. Reads back the same. */
export function writeTable(headings: readonly string[], rows: readonly Readonly<Record<string, string>>[]): string {
  const data = rows.map((row) => headings.map((heading) => escapeFormula(row[heading] ?? '')))
  return `${Papa.unparse({ fields: headings.map(escapeFormula), data }, { newline: '\n' })}\n`
}
