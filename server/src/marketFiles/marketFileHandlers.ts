import type { Kitchen, MarketFile, MarketFileReport, MarketFileUndo } from '@tender-gill/contract'
import type { Compute } from '../compute/index.ts'
import type { Database } from '../database/openDatabase.ts'
import { asFile, type Answered } from '../http/answered.ts'
import type { Commit, HandlersOf } from '../http/serveOperations.ts'
import { createRecordRepository, type RecordTable, type StoredFields } from '../records/recordRepository.ts'
import { seasonFile, stockFile, type FileKind } from './fileKinds.ts'
import { writeMarketFile, type ReadMarketFile } from './readMarketFile.ts'

interface Deps {
  readonly db: Database
  readonly now: () => Date
  readonly compute: Compute
}
interface AskedFile {
  readonly kitchen: Kitchen
  readonly input: MarketFile
  readonly signal: AbortSignal
}

function createFileHandlers<T, Table extends RecordTable, Input, Record_ extends StoredFields>(
  { db, now }: Pick<Deps, 'db' | 'now'>,
  { columns, toCells, toInput, fromRecord, keyOf, mapping }: FileKind<T, Table, Input, Record_>,
  { name, read }: { readonly name: string; readonly read: (asked: AskedFile) => Promise<ReadMarketFile<T>> },
) {
  return {
    write: async ({ kitchen }: { readonly kitchen: Kitchen }): Promise<Answered> => {
      const records = await createRecordRepository(db, now, mapping).list(kitchen.id)
      const rows = records.map((record) => toCells(fromRecord(record)))
      return asFile(`${name}.csv`, 'text/csv', writeMarketFile(columns, rows))
    },
    bring: async (asked: AskedFile): Promise<MarketFileReport | Commit<MarketFileReport>> => {
      const { kitchen, input } = asked
      const { rows, good, bad } = await read(asked)
      const report: MarketFileReport = { rows, good: good.length, bad: [...bad], brought: [], replaced: [] }
      const keeps = good.length > 0 && (input.keep === 'good' || (input.keep === 'all' && bad.length === 0))
      if (!keeps) return report
      // The last row of a key is the one that counts.
      const wanted = new Map(good.map(({ value }) => [keyOf(value), value]))
      return async (tx) => {
        const records = createRecordRepository(tx, now, mapping)
        const there = (await records.list(kitchen.id)).filter((record) => wanted.has(keyOf(fromRecord(record))))
        for (const { id, revision } of there) await records.remove(kitchen.id, id, revision)
        const brought: string[] = []
        for (const value of wanted.values()) brought.push((await records.create(kitchen.id, toInput(value))).id)
        return { ...report, brought, replaced: there.map(({ id }) => id) }
      }
    },
    undo:
      async ({ kitchen, input }: { readonly kitchen: Kitchen; readonly input: MarketFileUndo }): Promise<Commit<{ changed: number }>> =>
      async (tx) => {
        const records = createRecordRepository(tx, now, mapping)
        let changed = 0
        for (const id of input.brought) {
          const record = await records.find(kitchen.id, id)
          if (record && (await records.remove(kitchen.id, id, record.revision)).status === 'changed') changed += 1
        }
        for (const id of input.replaced) if (await records.restore(kitchen.id, id)) changed += 1
        return { changed }
      },
  }
}

/** The years of waters and the evidence on stocks, out and in as CSV; a file that came in is taken back in one step. */
export function createMarketFileHandlers({
  db,
  now,
  compute,
}: Deps): HandlersOf<'seasonsFile' | 'bringSeasonsFile' | 'undoSeasonsFile' | 'stocksFile' | 'bringStocksFile' | 'undoStocksFile'> {
  const seasons = createFileHandlers({ db, now }, seasonFile, {
    name: 'seasons',
    read: ({ kitchen, input, signal }) => compute.ask('readSeasons', kitchen, input, signal),
  })
  const stocks = createFileHandlers({ db, now }, stockFile, {
    name: 'stocks',
    read: ({ kitchen, input, signal }) => compute.ask('readStocks', kitchen, input, signal),
  })
  return {
    seasonsFile: seasons.write,
    bringSeasonsFile: seasons.bring,
    undoSeasonsFile: seasons.undo,
    stocksFile: stocks.write,
    bringStocksFile: stocks.bring,
    undoStocksFile: stocks.undo,
  }
}
