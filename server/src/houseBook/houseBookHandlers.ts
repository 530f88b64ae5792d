import { randomUUID } from 'node:crypto'
import type { EntryKind, EntryLine } from '@tender-gill/contract'
import { ENTRY_KINDS } from '@tender-gill/contract'
import { foldActs, isLearntName, isLineName, isRecordLine, rankLessons, searchBook } from '@tender-gill/core'
import type { HouseBooks } from '../book/houseBook.ts'
import type { Compute } from '../compute/index.ts'
import type { Database } from '../database/openDatabase.ts'
import { notFound, refuse } from '../http/errors.ts'
import type { HandlersOf } from '../http/serveOperations.ts'
import { checkEntry } from './checkEntry.ts'
import { createEntryRepository } from './entryRepository.ts'
import { createReadBook } from './readBook.ts'

interface Deps {
  readonly db: Database
  readonly now: () => Date
  readonly books: Pick<HouseBooks, 'read'>
  readonly compute: Compute
}
type Operations = 'entries' | 'entryHistory' | 'writeEntries' | 'setEntryAside' | 'afterService' | 'lessons' | 'houseLearnt' | 'lookBack'

/** Lines of one page. */
const PAGE = 50
/** Lessons that a page shows in one line. */
const MOST_LESSONS = 5

/** Why nothing can be written on a line of this name: it is a record's, or no line's at all. */
function findNameProblem(id: string | undefined): readonly string[] {
  if (id === undefined) return []
  if (isRecordLine(id)) return ['is written by the buy sheet, the counter or the cold: change it there']
  return isLineName(id) ? [] : ['is no name of a line']
}

/** Words of a list in the address. */
const listOf = (text: string | undefined): readonly string[] | undefined => text?.split(',').filter(Boolean)

function readKinds(text: string | undefined): readonly EntryKind[] | undefined {
  const kinds = listOf(text)
  const odd = kinds?.find((kind) => !ENTRY_KINDS.includes(kind as EntryKind))
  if (odd !== undefined) throw refuse([{ path: '/kinds', message: `must be of ${ENTRY_KINDS.join(', ')}` }])
  return kinds as readonly EntryKind[] | undefined
}
function readMonths(text: string | undefined): readonly number[] | undefined {
  const months = listOf(text)?.map(Number)
  if (months?.some((month) => !Number.isInteger(month) || month < 1 || month > 12))
    throw refuse([{ path: '/months', message: 'must be months from 1 to 12, with commas between them' }])
  return months
}
function readAfter(text: string | undefined): number {
  const after = text === undefined ? 0 : Number(text)
  if (!Number.isInteger(after) || after < 0) throw refuse([{ path: '/after', message: 'must be a whole number of lines, 0 or more' }])
  return after
}

/** The house book: searched, written into, and what it teaches. */
export function createHouseBookHandlers({ db, now, books, compute }: Deps): HandlersOf<Operations> {
  const entries = createEntryRepository(db, now)
  const read = createReadBook(entries)
  return {
    entries: async ({ kitchen, query: { kinds, months, after, ...rest } }) => {
      const search = { ...rest, kinds: readKinds(kinds), months: readMonths(months) }
      const [book, { offers }] = await Promise.all([read(kitchen.id), books.read(kitchen.id)])
      const names = new Map(offers.map(({ species, common }) => [species, common]))
      const found = searchBook(book.lines, search, (species) => names.get(species) ?? species)
      const from = readAfter(after)
      return { lines: found.slice(from, from + PAGE), total: found.length }
    },
    entryHistory: async ({ kitchen, params: { id } }) => {
      const acts = await entries.listAbout(kitchen.id, id)
      if (acts.length === 0) throw notFound('No such line in the house book')
      return { acts: [...acts] }
    },
    writeEntries: async ({ kitchen, input }) => {
      const book = await books.read(kitchen.id)
      const problems = input.entries.flatMap(({ id, entry }, i) => [
        ...(entry ? checkEntry(entry, book) : []).map(({ path, message }) => ({ path: `/entries/${i}/entry${path}`, message })),
        ...findNameProblem(id).map((message) => ({ path: `/entries/${i}/id`, message })),
        ...(id === undefined && entry === null
          ? [{ path: `/entries/${i}/entry`, message: 'nothing is written and nothing withdrawn' }]
          : []),
      ])
      if (problems.length > 0) throw refuse(problems)
      return async (tx, touch) => {
        const writing = createEntryRepository(tx, now)
        const acts = input.entries.map(({ id = randomUUID(), entry }) => ({
          about: id,
          act: entry ? ('write' as const) : ('withdraw' as const),
          entry,
        }))
        await writing.add(kitchen.id, acts)
        const lines: EntryLine[] = []
        for (const { about } of acts) {
          touch('entry', about)
          lines.push(...foldActs(await writing.listAbout(kitchen.id, about)).lines)
        }
        return lines
      }
    },
    setEntryAside: async ({ kitchen, input: { about, aside } }) => {
      if (!isLearntName(about) && !(await read(kitchen.id)).lines.some(({ id }) => id === about))
        throw refuse([{ path: '/about', message: 'no such line, and no learnt value' }])
      return async (tx, touch) => {
        touch('entry', about)
        await createEntryRepository(tx, now).add(kitchen.id, [{ about, act: aside ? 'set-aside' : 'count', entry: null }])
        return { changed: 1 }
      }
    },
    lessons: async ({ kitchen, query }) => [...rankLessons((await read(kitchen.id)).lines, query, kitchen.today, MOST_LESSONS)],
    afterService: ({ kitchen, query, signal }) => compute.ask('afterService', kitchen, query, signal),
    houseLearnt: ({ kitchen, signal }) => compute.ask('houseLearnt', kitchen, null, signal),
    lookBack: ({ kitchen, query, signal }) => compute.ask('lookBack', kitchen, query, signal),
  }
}
