import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readTable, writeTable } from './index.ts'

const LIMITS = { mostRows: 500, mostLetters: 200 }
const sign = fc.constantFrom('=', '+', '-', '@', '"', "'", ',', ';', '|', '\n', ' ', 'a', 'é', '魚', '1')
const text = fc.array(sign, { maxLength: 8 }).map((signs) => signs.join(''))
const letter = fc.constantFrom('a', 'b', 'c', 'd', 'e')

describe('a table', () => {
  it('reads back what was written, whatever stands in its cells, and holds none that a spreadsheet would run', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(letter, { minLength: 1, maxLength: 5 }),
        fc.array(fc.array(text, { minLength: 5, maxLength: 5 }), { maxLength: 12 }),
        (headings, cells) => {
          const rows = cells.map((row) => Object.fromEntries(headings.map((heading, i) => [heading, row[i] ?? ''])))
          const written = writeTable(headings, rows)
          const read = readTable(written, LIMITS)
          expect(read.head?.cells).toEqual(headings)
          const told = rows
            .map((row) => headings.map((heading) => row[heading] ?? ''))
            .filter((row) => row.some((cell) => cell.trim() !== ''))
          expect(read.rows.map((row) => row.cells)).toEqual(told)
          for (const { cells: row } of readTable(written.replaceAll("'", '’'), LIMITS).rows)
            for (const cell of row) expect(/^[=+\-@]/.test(cell)).toBe(false)
        },
      ),
      { seed: 501 },
    )
  })

  it('is the same whatever ends its lines, and names the line on which each row begins', () => {
    const body = 'a,b\n1,"two\nlines"\n\n3,4\n'
    for (const end of ['\n', '\r\n', '\r']) {
      const { head, rows } = readTable(`\ufeff${body.replaceAll('\n', end)}`, LIMITS)
      expect(head).toEqual({ line: 1, cells: ['a', 'b'] })
      expect(rows).toEqual([
        { line: 2, cells: ['1', 'two\nlines'] },
        { line: 5, cells: ['3', '4'] },
      ])
    }
  })

  it('says of a row that it has too many cells, or one too long, and reads so many rows and no more', () => {
    const { rows, cutAt } = readTable(`a;b\n1;2;3\n${'x'.repeat(900)};2\n${'5;6\n'.repeat(600)}`, LIMITS)
    expect(rows[0]).toMatchObject({ wrong: '3 cells under 2 headings' })
    expect(rows[1]).toMatchObject({ wrong: 'cell 1 has more than 200 letters' })
    expect(rows[1]?.cells[0]).toHaveLength(200)
    expect([rows.length, cutAt]).toEqual([500, 500])
    expect(readTable('', LIMITS)).toEqual({ head: undefined, rows: [], cutAt: null })
  })
})
