import { randomUUID } from 'node:crypto'
import { writeTable } from '@tender-gill/csv'
import { foldActs, groupBy } from '@tender-gill/core'
import type { EntryKind } from '@tender-gill/contract'
import type { Compute } from '../compute/index.ts'
import type { Database } from '../database/openDatabase.ts'
import { asFile } from '../http/answered.ts'
import { notFound } from '../http/errors.ts'
import type { HandlersOf } from '../http/serveOperations.ts'
import { ENTRY_COLUMNS, toCells } from './entryCells.ts'
import { aboutFile, createEntryRepository, type NewAct } from './entryRepository.ts'
import { createReadBook } from './readBook.ts'

interface Deps {
  readonly db: Database
  readonly now: () => Date
  readonly compute: Compute
}

/** The house book out and in as CSV or JSON; a file that came in is taken back in one step, by further acts. */
export function createEntryFileHandlers({ db, now, compute }: Deps): HandlersOf<'houseBookFile' | 'bringHouseBook' | 'undoHouseBook'> {
  const entries = createEntryRepository(db, now)
  const read = createReadBook(entries)
  return {
    houseBookFile: async ({ kitchen, query: { format = 'csv', kind } }) => {
      const lines = (await read(kitchen.id)).lines.filter(({ entry }) => kind === undefined || entry.kind === (kind as EntryKind))
      if (format === 'json') {
        const text = JSON.stringify({ entries: lines.map(({ id, setAside, entry }) => ({ id, setAside, entry })) }, null, 1)
        return asFile('house-book.json', 'application/json', text)
      }
      return asFile('house-book.csv', 'text/csv', writeTable(ENTRY_COLUMNS, lines.map(toCells)))
    },
    bringHouseBook: async ({ kitchen, input, signal }) => {
      const { acts, bad, ...counts } = await compute.ask('readEntryFile', kitchen, input, signal)
      const report = { ...counts, bad: [...bad], kept: 0, importId: null }
      const keeps = acts.length > 0 && (input.keep === 'good' || (input.keep === 'all' && bad.length === 0))
      if (!keeps) return report
      const importId = randomUUID()
      return async (tx) => {
        await createEntryRepository(tx, now).add(kitchen.id, acts, importId)
        return { ...report, kept: counts.good - counts.same, importId }
      }
    },
    undoHouseBook: async ({ kitchen, input: { importId } }) => {
      const brought = await entries.listBroughtBy(kitchen.id, importId)
      if (brought.length === 0) throw notFound('No such file was brought in')
      return async (tx) => {
        const writing = createEntryRepository(tx, now)
        const gone = [importId, ...(await writing.listTakenBack(kitchen.id))]
        let changed = 0
        for (const about of groupBy(brought, (act) => act.about).keys()) {
          const others = await writing.listAboutWithout(kitchen.id, about, gone)
          const [before] = foldActs(others).lines
          const back: readonly NewAct[] = [
            { about, act: before ? 'write' : 'withdraw', entry: before?.entry ?? null },
            ...(before ? [{ about, act: before.setAside ? ('set-aside' as const) : ('count' as const), entry: null }] : []),
          ]
          // What stands again came with another file, perhaps: taken back in its turn, it goes with that.
          await writing.add(kitchen.id, back, others.findLast(({ act }) => act === 'write')?.broughtBy ?? null)
          changed += 1
        }
        await writing.add(kitchen.id, [{ about: aboutFile(importId), act: 'withdraw', entry: null }])
        return { changed }
      }
    },
  }
}
