import { readTable, writeTable } from '@tender-gill/csv'
import type { BadRow, Problem } from '@tender-gill/contract'

export type Cells = Readonly<Record<string, string>>
/** Reads one row; whatever is wrong is said by its column, and nothing is given back then. */
export type ReadCells<T> = (cells: Cells, fail: (column: string, message: string) => void) => T | undefined

export interface MarketRow<T> {
  readonly line: number
  readonly value: T
}
export interface ReadMarketFile<T> {
  readonly rows: number
  readonly good: readonly MarketRow<T>[]
  readonly bad: readonly BadRow[]
}

interface Reading<T> {
  readonly columns: readonly string[]
  readonly read: ReadCells<T>
  /** Whether it makes sense as well: the fish is in the book, something is known. Places are those of the value. */
  readonly check: (value: T) => Promise<readonly Problem[]>
}

/** Rows and letters of one cell that are read, and bad rows that are told. */
export const MOST_ROWS = 5_000
const MOST_LETTERS = 2_000
export const MOST_BAD = 100
const MOST_REASONS = 3

function checkHeadings(headings: readonly string[], columns: readonly string[]): string | undefined {
  const unknown = headings.filter((heading) => !columns.includes(heading))
  const words = [
    ...(unknown.length > 0 ? [`unknown headings: ${unknown.slice(0, 6).join(', ')}`] : []),
    ...(headings.includes('species') ? [] : ['the heading species is missing']),
  ]
  return words.length > 0 ? words.join('; ').slice(0, 300) : undefined
}

/**
 * Reads a CSV file with a line of headings, a record a row; columns may come in any order, and those the file has not are empty. Reading
 * stops after so many bad rows.
 * @returns good rows, and the bad ones by line and column
 */
export async function readMarketFile<T>(text: string, { columns, read, check }: Reading<T>): Promise<ReadMarketFile<T>> {
  const { head, rows, cutAt } = readTable(text, { mostRows: MOST_ROWS, mostLetters: MOST_LETTERS })
  const bad: BadRow[] = []
  const good: MarketRow<T>[] = []
  if (!head) return { rows: 0, good, bad: [{ line: 1, column: null, message: 'the file is empty: a line of headings is needed' }] }
  const mistaken = checkHeadings(head.cells, columns)
  if (mistaken) return { rows: rows.length, good, bad: [{ line: head.line, column: null, message: mistaken }] }
  if (cutAt !== null) bad.push({ line: 1, column: null, message: `more than ${cutAt} rows: bring them in parts` })
  for (const { line, cells, wrong: mistake } of rows) {
    if (bad.length >= MOST_BAD) break
    if (mistake) {
      bad.push({ line, column: null, message: mistake })
      continue
    }
    const named = Object.fromEntries(head.cells.map((heading, i) => [heading, (cells[i] ?? '').trim()]))
    const wrong: BadRow[] = []
    const value = read(named, (column, message) => wrong.push({ line, column, message }))
    const problems = value === undefined ? [] : await check(value)
    wrong.push(...problems.slice(0, MOST_REASONS).map(({ path, message }) => ({ line, column: path.split('/')[2] ?? null, message })))
    if (value === undefined || wrong.length > 0) bad.push(...wrong)
    else good.push({ line, value })
  }
  return { rows: rows.length, good, bad: bad.slice(0, MOST_BAD) }
}

/** Records as a CSV file that reads back the same. */
export const writeMarketFile = (columns: readonly string[], rows: readonly Cells[]): string => writeTable(columns, rows)
