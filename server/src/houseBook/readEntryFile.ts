import { Entry, type BadRow, type EntryLine, type HouseBookFile, type Problem, type Result } from '@tender-gill/contract'
import { createParser } from '@tender-gill/contract/validators'
import { readTable } from '@tender-gill/csv'
import { isLineName, isRecordLine } from '@tender-gill/core'
import type { HouseBook } from '../book/houseBook.ts'
import { nameShortly } from '../contents/index.ts'
import { searchOf } from '../priceLists/bookOfNames.ts'
import { checkEntry } from './checkEntry.ts'
import { columnOf, ENTRY_COLUMNS, fromCells } from './entryCells.ts'
import type { NewAct } from './entryRepository.ts'

/** What a file says, looked through. */
export interface ReadEntryFile {
  readonly rows: number
  readonly good: number
  /** Rows that say just what is written already. */
  readonly same: number
  readonly bad: readonly BadRow[]
  readonly acts: readonly NewAct[]
}

const MOST_ROWS = 30_000
const MOST_LETTERS = 2_000
const MOST_BAD = 100
/** A kind each: what is wrong is said of the kind that was meant, and not of all. */
const PARSERS = new Map(Entry.anyOf.map((schema) => [schema.properties.kind.const as string, createParser(schema)]))
const parseEntry = (said: unknown): Result<Entry, readonly Problem[]> => {
  const { kind } = (said ?? {}) as { readonly kind?: unknown }
  const parse = PARSERS.get(String(kind))
  return parse
    ? (parse(said) as Result<Entry, readonly Problem[]>)
    : { ok: false, error: [{ path: '/kind', message: 'is no kind of entry' }] }
}

/** A row as it was read: which line it says something of, and whether that is set aside. */
interface Row {
  readonly line: number
  readonly id: string | null
  readonly setAside: boolean
  readonly entry: unknown
  readonly wrong: readonly BadRow[]
  /** The column of a place, for people. */
  readonly placeOf: (path: string) => string | null
}

function readCsv(text: string): { readonly rows: readonly Row[]; readonly bad: readonly BadRow[] } {
  const { head, rows, cutAt } = readTable(text, { mostRows: MOST_ROWS, mostLetters: MOST_LETTERS })
  if (!head) return { rows: [], bad: [{ line: 1, column: null, message: 'the file is empty: a line of headings is needed' }] }
  const unknown = head.cells.filter((heading) => !ENTRY_COLUMNS.includes(heading))
  if (unknown.length > 0)
    return {
      rows: [],
      bad: [{ line: head.line, column: null, message: `unknown headings: ${unknown.slice(0, 6).join(', ')}`.slice(0, 300) }],
    }
  const cut = cutAt === null ? [] : [{ line: 1, column: null, message: `more than ${cutAt} rows: bring them in parts` }]
  return {
    bad: cut,
    rows: rows.map(({ line, cells, wrong }): Row => {
      const named = Object.fromEntries(head.cells.map((heading, i) => [heading, (cells[i] ?? '').trim()]))
      const mistakes: BadRow[] = wrong ? [{ line, column: null, message: wrong }] : []
      const entry = wrong ? undefined : fromCells(named, (column, message) => mistakes.push({ line, column, message }))
      const placeOf = (path: string) => (entry ? columnOf(entry as unknown as Entry, path) : null)
      return { line, id: named.id || null, setAside: named.set_aside === 'yes', entry, wrong: mistakes, placeOf }
    }),
  }
}

function readJson(text: string): { readonly rows: readonly Row[]; readonly bad: readonly BadRow[] } {
  let said: unknown
  try {
    said = JSON.parse(text)
  } catch {
    return { rows: [], bad: [{ line: 1, column: null, message: 'this is no JSON' }] }
  }
  const list = Array.isArray(said) ? said : (said as { readonly entries?: unknown } | null)?.entries
  if (!Array.isArray(list))
    return { rows: [], bad: [{ line: 1, column: null, message: 'a list of entries is needed, or an object that has one under "entries"' }] }
  const cut = list.length > MOST_ROWS ? [{ line: 1, column: null, message: `more than ${MOST_ROWS} entries: bring them in parts` }] : []
  return {
    bad: cut,
    rows: list.slice(0, MOST_ROWS).map((one: unknown, i): Row => {
      const { id, setAside, entry } = (one ?? {}) as { readonly id?: unknown; readonly setAside?: unknown; readonly entry?: unknown }
      const placeOf = (path: string) => path.split('/').filter(Boolean).join('.') || null
      return { line: i + 1, id: typeof id === 'string' ? id : null, setAside: setAside === true, entry, wrong: [], placeOf }
    }),
  }
}

type Book = Pick<HouseBook, 'findSpecies' | 'offers'>

/** The species that somebody meant; the name itself where no fish goes by it, a problem where several do. */
function settleName(said: string, path: string, book: Book): string | Problem {
  const search = searchOf(book)
  const found = book.findSpecies(said) ?? search.findExact(said)
  if (found !== undefined) return found
  const shared = search.findShared(said)?.species ?? []
  const names = shared.map((species) => book.offers.find((offer) => offer.species === species)?.common ?? species)
  return names.length > 0 ? { path, message: `which of them: ${names.join('; ')}`.slice(0, 300) } : said
}

/** The offer that somebody meant: by its id or its words, or the only one there is; a problem where it teaches something and is one of several. */
function settleOffer(
  { offerId, kind }: Pick<Entry, 'offerId' | 'kind'>,
  species: string | null,
  { offers }: Book,
): string | null | Problem {
  const own = offers.filter((offer) => offer.species === species)
  if (offerId !== null)
    return (
      (offers.find(({ id }) => id === offerId) ?? own.find(({ label }) => label.toLowerCase() === offerId.toLowerCase()))?.id ?? offerId
    )
  const [only, second] = own
  if (only && !second) return only.id
  const teaches = kind === 'served' || kind === 'weighed'
  return own.length > 0 && teaches
    ? { path: '/offerId', message: `which of them: ${own.map(({ label }) => label).join('; ')}`.slice(0, 300) }
    : null
}

/** An entry as people write it with what its names stand for, or every name that the book cannot settle. */
function settleNames(entry: Entry, book: Book): { readonly entry: Entry; readonly problems: readonly Problem[] } {
  const problems: Problem[] = []
  const settle = <T extends string | null>(settled: string | null | Problem, said: T): string | T => {
    if (settled === null || typeof settled === 'string') return settled ?? said
    problems.push(settled)
    return said
  }
  const name = <T extends string | null>(said: T, path: string): string | T =>
    said === null ? said : settle(settleName(said, path, book), said)
  const species = name(entry.species, '/species')
  const offerId = problems.length > 0 ? entry.offerId : settle(settleOffer(entry, species, book), entry.offerId)
  if (entry.kind !== 'swapped') return { entry: { ...entry, species, offerId }, problems }
  return {
    entry: { ...entry, species, offerId, missing: name(entry.missing, '/missing'), standIn: name(entry.standIn, '/standIn') },
    problems,
  }
}

/** Why a row cannot stand under its id: no line is called so, or it would change what a record of this kitchen says. */
function findMisnamed(about: string, changes: boolean): string | null {
  if (!isLineName(about)) return 'is no name of a line'
  return changes && isRecordLine(about) ? 'is written by the buy sheet, the counter or the cold: change it there' : null
}

/**
 * Looks a file of entries through. A row under the id of a line that is there corrects it; any other is a line named by what it says, so
 * that the same file brought twice is there once.
 */
export function readEntryFile(
  { format, text }: Pick<HouseBookFile, 'format' | 'text'>,
  book: Book,
  there: readonly EntryLine[],
): ReadEntryFile {
  const { rows, bad: whole } = format === 'csv' ? readCsv(text) : readJson(text)
  const bad: BadRow[] = [...whole]
  const acts: NewAct[] = []
  const lines = new Map(there.map((line) => [line.id, line]))
  const named = new Map<string, number>()
  let good = 0
  let same = 0
  for (const { line, id, setAside, entry, wrong, placeOf } of rows) {
    if (bad.length >= MOST_BAD) break
    const fail = (problems: readonly Problem[]) =>
      bad.push(...problems.slice(0, 3).map(({ path, message }) => ({ line, column: placeOf(path), message: message.slice(0, 300) })))
    if (wrong.length > 0) {
      bad.push(...wrong)
      continue
    }
    const parsed = parseEntry(entry)
    if (!parsed.ok) {
      fail(parsed.error)
      continue
    }
    const { entry: settled, problems: unsettled } = settleNames(parsed.value, book)
    const problems = unsettled.length > 0 ? unsettled : checkEntry(settled, book)
    if (problems.length > 0) {
      fail(problems)
      continue
    }
    const hash = nameShortly(settled)
    const times = named.get(hash) ?? 0
    const about = id ?? `file:${hash}${times > 0 ? `:${times}` : ''}`
    const before = lines.get(about)
    const says = !before || nameShortly(before.entry) !== hash
    const misnamed = findMisnamed(about, before !== undefined && says)
    if (misnamed !== null) {
      bad.push({ line, column: 'id', message: misnamed })
      continue
    }
    good += 1
    named.set(hash, times + 1)
    if (says) acts.push({ about, act: 'write', entry: settled })
    if (setAside !== (before?.setAside ?? false)) acts.push({ about, act: setAside ? 'set-aside' : 'count', entry: null })
    else if (!says) same += 1
  }
  return { rows: rows.length, good, same, bad: bad.slice(0, MOST_BAD), acts }
}
