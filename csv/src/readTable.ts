import Papa from 'papaparse'
import { unescapeFormula } from './formulas.ts'

/** A row as it stands in the file: the line on which it begins, counted from 1, and its cells. */
export interface Line {
  readonly line: number
  readonly cells: readonly string[]
  /** What is wrong with the row as such; its cells may not be what was meant then. */
  readonly wrong?: string
}

export interface Table {
  /** The first line that says anything; undefined in an empty file. */
  readonly head: Line | undefined
  readonly rows: readonly Line[]
  /** There are more rows than are read: how many are. */
  readonly cutAt: number | null
}

export interface TableLimits {
  readonly mostRows: number
  /** Letters of one cell; a longer one makes its row wrong, and is cut. */
  readonly mostLetters: number
}

const SIGNS = [',', ';', '\t', '|'] as const

/** What parts the cells: the sign that stands most often in the line of headings. */
function findDelimiter(text: string): string {
  const end = text.indexOf('\n')
  const head = end < 0 ? text : text.slice(0, end)
  const times = (sign: string) => head.split(sign).length
  return SIGNS.reduce((best, sign) => (times(sign) > times(best) ? sign : best))
}

const countBreaks = (text: string, from: number, to: number): number => {
  let count = 0
  for (let at = text.indexOf('\n', from); at >= 0 && at < to; at = text.indexOf('\n', at + 1)) count += 1
  return count
}

/**
 * Reads text in columns with a line of headings, whatever parts them and however its lines end. Empty rows are passed over. Time grows with
 * the text and no faster.
 */
export function readTable(raw: string, { mostRows, mostLetters }: TableLimits): Table {
  const text = (raw.startsWith('\ufeff') ? raw.slice(1) : raw).replaceAll(/\r\n?/g, '\n')
  const rows: Line[] = []
  let head: Line | undefined
  let cutAt: number | null = null
  let line = 1
  let begun = 0
  const add = (one: Line): void => {
    if (!head) head = one
    else rows.push(one)
  }
  Papa.parse<string[]>(text, {
    delimiter: findDelimiter(text),
    newline: '\n',
    step: ({ data, errors, meta }, parser) => {
      const at = line
      line += countBreaks(text, begun, meta.cursor)
      begun = meta.cursor
      if (data.every((cell) => cell.trim() === '')) return
      if (rows.length >= mostRows) {
        cutAt = mostRows
        parser.abort()
        return
      }
      const long = data.findIndex((cell) => cell.length > mostLetters)
      const cells = data.map((cell) => unescapeFormula(cell.slice(0, mostLetters)))
      const wrong =
        long >= 0
          ? `cell ${long + 1} has more than ${mostLetters} letters`
          : (errors[0]?.message ??
            (head && cells.length > head.cells.length ? `${cells.length} cells under ${head.cells.length} headings` : undefined))
      add({ line: at, cells, ...(wrong === undefined ? {} : { wrong }) })
    },
  })
  return { head: head && { ...head, cells: head.cells.map((cell) => cell.trim()) }, rows, cutAt }
}
