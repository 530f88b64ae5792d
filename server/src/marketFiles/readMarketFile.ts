import Papa from 'papaparse'
import type { BadRow, Problem, Result } from '@tender-gill/contract'

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
  /** Whether it makes sense as well: the fish is in the book, something is known. */
  readonly check: (value: T) => Promise<Result<unknown, readonly Problem[]>>
}

/**
 * Reads a CSV file with a line of headings, a record a row; columns may come in any order, and those the file has not are empty.
 * @returns good rows, and the bad ones by line and column
 */
export async function readMarketFile<T>(text: string, { columns, read, check }: Reading<T>): Promise<ReadMarketFile<T>> {
  const { data } = Papa.parse<string[]>(text.startsWith('\ufeff') ? text.slice(1) : text, { delimitersToGuess: [',', ';', '\t'] })
  const lines = data.map((cells, i) => ({ line: i + 1, cells })).filter(({ cells }) => cells.some((cell) => cell.trim() !== ''))
  const [head, ...rows] = lines
  const bad: BadRow[] = []
  const good: MarketRow<T>[] = []
  if (!head) return { rows: 0, good, bad: [{ line: 1, column: null, message: 'the file is empty: a line of headings is needed' }] }
  const headings = head.cells.map((cell) => cell.trim())
  const unknown = headings.filter((heading) => !columns.includes(heading))
  if (unknown.length > 0 || !headings.includes('species')) {
    const words = [
      ...(unknown.length > 0 ? [`unknown headings: ${unknown.slice(0, 6).join(', ')}`] : []),
      ...(headings.includes('species') ? [] : ['the heading species is missing']),
    ]
    return { rows: rows.length, good, bad: [{ line: head.line, column: null, message: words.join('; ').slice(0, 300) }] }
  }
  for (const { line, cells } of rows) {
    const named = Object.fromEntries(headings.map((heading, i) => [heading, (cells[i] ?? '').trim()]))
    const wrong: BadRow[] = []
    const value = read(named, (column, message) => wrong.push({ line, column, message }))
    const checked = value === undefined ? undefined : await check(value)
    if (checked && !checked.ok)
      wrong.push(...checked.error.slice(0, 3).map(({ path, message }) => ({ line, column: path.split('/')[2] ?? null, message })))
    if (value === undefined || wrong.length > 0) bad.push(...wrong)
    else good.push({ line, value })
  }
  return { rows: rows.length, good, bad }
}

/** Records as a CSV file that reads back the same. */
export const writeMarketFile = (columns: readonly string[], rows: readonly Cells[]): string =>
  Papa.unparse({ fields: [...columns], data: rows.map((cells) => columns.map((column) => cells[column] ?? '')) })
