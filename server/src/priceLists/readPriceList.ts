import { readTable, type Line } from '@tender-gill/csv'
import type { BadRow, ListField, ListReading, OpenName, Price, SettledName } from '@tender-gill/contract'
import type { FishSearch } from '@tender-gill/names'
import { guessReading } from './guessReading.ts'
import { readForm, readNumber, readOrigin, readState, readUnit } from './readCells.ts'

export interface ListOnDay {
  readonly text: string
  readonly date: string
  readonly merchant: string
  /** How the merchant's lists are read; guessed from the headings where nobody has said. */
  readonly reading?: ListReading | null | undefined
}
export interface BookOfNames {
  readonly search: FishSearch
  /** The species that is named so and by nobody else. */
  readonly findExact: (name: string) => string | undefined
  readonly settled: ReadonlyMap<string, string | null>
  readonly currency: string
  readonly commonOf: (species: string) => string
}
export interface ReadList {
  readonly headings: readonly string[]
  readonly sample: readonly (readonly string[])[]
  readonly reading: ListReading
  readonly rows: number
  readonly quotes: readonly Price[]
  readonly bad: readonly BadRow[]
  readonly open: readonly OpenName[]
}

const SAMPLE_ROWS = 5
const MOST_CANDIDATES = 6
/** A price of a kilogram outside of this is a slip, in any currency a kitchen is likely to keep. */
const LEAST_PRICE = 0.01
const MOST_PRICE = 100_000

/** A name as it is remembered: case and spaces make no other. */
export const foldListName = (name: string): string => name.trim().toLowerCase().replaceAll(/\s+/g, ' ')

export const toSettled = (names: readonly SettledName[]): ReadonlyMap<string, string | null> =>
  new Map(names.map(({ name, species }) => [foldListName(name), species]))

/** Rows and letters of one cell that are read, bad rows that are told, names that are asked about. */
const LIMITS = { mostRows: 5_000, mostLetters: 200 }
const MOST_BAD = 100
const MOST_OPEN = 300

/** What one row says, or the first thing wrong with it. */
type RowResult =
  { readonly ok: true; readonly row: Omit<Price, 'species'> & { readonly name: string } } | { readonly ok: false; readonly bad: BadRow }

function createReadRow(headings: readonly string[], reading: ListReading, { date, merchant }: ListOnDay) {
  const places = new Map<ListField, number>()
  for (const [field, heading] of Object.entries(reading.columns))
    if (heading !== undefined && headings.includes(heading)) places.set(field as ListField, headings.indexOf(heading))
  return ({ line, cells, wrong }: Line): RowResult => {
    const cell = (field: ListField) => (cells[places.get(field) ?? -1] ?? '').trim()
    const fail = (field: ListField, message: string): RowResult => ({
      ok: false,
      bad: { line, column: reading.columns[field] ?? null, message },
    })
    const name = cell('name')
    if (wrong) return { ok: false, bad: { line, column: null, message: wrong } }
    if (name === '') return fail('name', 'no fish is named')
    const price = readNumber(cell('price'), reading.decimal)
    if (price === undefined) return fail('price', cell('price') === '' ? 'no price' : `"${cell('price')}" is no price`)
    if (price < LEAST_PRICE || price > MOST_PRICE) return fail('price', `${price} cannot be a price`)
    const form = cell('form') === '' ? reading.form : readForm(cell('form'))
    if (!form) return fail('form', cell('form') === '' ? 'no cut is named' : `"${cell('form')}" is no cut that is known here`)
    const unit = cell('unit') === '' ? reading.unit : readUnit(cell('unit'))
    if (!unit) return fail('unit', `"${cell('unit')}" is no unit: kg, lb, each or box`)
    const eachG = cell('eachG') === '' ? undefined : readNumber(cell('eachG'), reading.decimal)
    if ((unit === 'each' || unit === 'box') && !eachG)
      return fail('eachG', `a price by the ${unit === 'box' ? 'box' : 'piece'} needs its weight in grams`)
    const origin = cell('origin') === '' ? reading.origin : readOrigin(cell('origin'))
    if (origin === undefined) return fail('origin', `"${cell('origin')}" is neither wild nor farmed`)
    const state = cell('state') === '' ? reading.state : readState(cell('state'))
    if (state === undefined) return fail('state', `"${cell('state')}" is neither fresh, thawed nor frozen`)
    const currency = cell('currency') === '' ? reading.currency : cell('currency').toUpperCase()
    if (!/^[A-Z]{3}$/.test(currency)) return fail('currency', `"${currency}" is no currency of three letters`)
    const minimumKg = cell('minimumKg') === '' ? undefined : readNumber(cell('minimumKg'), reading.decimal)
    if (cell('minimumKg') !== '' && minimumKg === undefined) return fail('minimumKg', `"${cell('minimumKg')}" is no weight in kg`)
    const grade = cell('grade').slice(0, 40)
    return {
      ok: true,
      row: {
        name,
        merchant,
        date,
        form,
        price,
        unit,
        currency,
        ...(eachG ? { eachG } : {}),
        ...(origin ? { origin } : {}),
        ...(state ? { state } : {}),
        ...(grade === '' ? {} : { grade }),
        ...(minimumKg === undefined ? {} : { minimumKg }),
      },
    }
  }
}

/** The first bad rows; how many more there are stands in the place of the rest. */
const shortenBad = (bad: readonly BadRow[]): readonly BadRow[] =>
  bad.length <= MOST_BAD
    ? bad
    : [
        ...bad.slice(0, MOST_BAD - 1),
        { line: bad[MOST_BAD - 1]?.line ?? 1, column: null, message: `and ${bad.length - MOST_BAD + 1} more rows from here on` },
      ]

/** Fish a name may stand for: those that share it, else those that sound like it. */
function findCandidates(name: string, { search, commonOf }: BookOfNames) {
  const shared = search.findShared(name)?.species ?? []
  const species = shared.length > 0 ? shared : search.find(name).map((hit) => hit.species)
  return species.slice(0, MOST_CANDIDATES).map((one) => ({ species: one, common: commonOf(one) }))
}

/**
 * Reads a merchant's list: a header line, then a row a price. A name that is one fish of the book, or was settled before, is taken; any
 * other is asked about and its rows wait. A row that makes no sense is reported by line and column and never taken in part.
 */
export function readPriceList(list: ListOnDay, book: BookOfNames): ReadList {
  const { head, rows: lines, cutAt } = readTable(list.text, LIMITS)
  const headings = head?.cells ?? []
  const sample = lines.slice(0, SAMPLE_ROWS).map(({ cells }) => [...cells])
  const reading = list.reading ?? guessReading(headings, sample, book.currency)
  const readRow = createReadRow(headings, reading, list)
  const quotes: Price[] = []
  const bad: BadRow[] = []
  const open = new Map<string, { name: string; lines: number[] }>()
  if (!head) bad.push({ line: 1, column: null, message: 'the list is empty: a line of headings is needed' })
  else if (!reading.columns.name || !reading.columns.price) return { headings, sample, reading, rows: lines.length, quotes, bad, open: [] }
  if (cutAt !== null) bad.push({ line: 1, column: null, message: `more than ${cutAt} rows: bring them in parts` })
  for (const line of lines) {
    const read = readRow(line)
    if (!read.ok) {
      bad.push(read.bad)
      continue
    }
    const { name, ...price } = read.row
    const settled = book.settled.get(foldListName(name))
    if (settled === null) continue
    const species = settled ?? book.findExact(name)
    if (species) quotes.push({ ...price, species })
    else if (!open.has(foldListName(name)) && open.size >= MOST_OPEN)
      bad.push({ line: line.line, column: null, message: `more than ${MOST_OPEN} names that are not known: bring the list in parts` })
    else {
      const waiting = open.get(foldListName(name)) ?? { name, lines: [] }
      waiting.lines.push(line.line)
      open.set(foldListName(name), waiting)
    }
  }
  return {
    headings,
    sample,
    reading,
    rows: lines.length,
    quotes,
    bad: shortenBad(bad),
    open: [...open.values()].map(({ name, lines: at }) => ({
      name: name.slice(0, 120),
      lines: at,
      candidates: findCandidates(name, book),
    })),
  }
}
