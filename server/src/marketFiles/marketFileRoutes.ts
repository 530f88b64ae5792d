import { Router } from 'express'
import type { MarketFileReport, Problem, Result, SeasonInput, SeasonRecord, StockInput, StockRecord } from '@tender-gill/contract'
import { parseMarketFile, parseMarketFileUndo } from '@tender-gill/contract/validators'
import { unwrap } from '../http/parseInput.ts'
import { kitchenOf } from '../kitchens/currentKitchen.ts'
import { seasonMapping, stockMapping } from '../records/mappings.ts'
import { createRecordRepository, type RecordRepository, type StoredFields } from '../records/recordRepository.ts'
import type { Database } from '../database/openDatabase.ts'
import { readMarketFile, writeMarketFile, type Cells, type ReadCells } from './readMarketFile.ts'
import { readSeasonCells, SEASON_COLUMNS, toSeasonCells } from './seasonCells.ts'
import { readStockCells, STOCK_COLUMNS, toStockCells } from './stockCells.ts'

interface Kind<T, Input, Record_> {
  readonly path: string
  readonly columns: readonly string[]
  readonly read: ReadCells<T>
  readonly toCells: (value: T) => Cells
  readonly toInput: (value: T) => Input
  readonly fromRecord: (record: Record_) => T
  /** Rows of one key are one record: a later one takes the place of the one that is there. */
  readonly keyOf: (value: T) => string
  readonly repository: RecordRepository<Input, Record_>
  /** Does some work on the same records, all of it or none. */
  readonly inOneStep: (work: (rows: RecordRepository<Input, Record_>) => Promise<void>) => Promise<void>
  readonly parse: (body: unknown, kitchenId: string) => Promise<Result<Input, readonly Problem[]>>
}

function addKind<T, Input, Record_ extends StoredFields>(router: Router, kind: Kind<T, Input, Record_>): void {
  const { path, columns, read, toCells, toInput, fromRecord, keyOf, repository, inOneStep, parse } = kind
  router.get(`/${path}-file`, async (_req, res) => {
    const records = await repository.list(kitchenOf(res).id)
    res.type('text/csv').attachment(`${path}.csv`)
    res.send(
      writeMarketFile(
        columns,
        records.map((record) => toCells(fromRecord(record))),
      ),
    )
  })
  router.post(`/${path}-file`, async (req, res) => {
    const kitchenId = kitchenOf(res).id
    const { text, keep } = unwrap(parseMarketFile(req.body))
    const { rows, good, bad } = await readMarketFile<T>(text, { columns, read, check: (value) => parse(toInput(value), kitchenId) })
    const report: MarketFileReport = { rows, good: good.length, bad: [...bad], brought: [], replaced: [] }
    if (good.length > 0 && (keep === 'good' || (keep === 'all' && bad.length === 0))) {
      // The last row of a key is the one that counts.
      const wanted = new Map(good.map(({ value }) => [keyOf(value), value]))
      await inOneStep(async (rows) => {
        const there = (await rows.list(kitchenId)).filter((record) => wanted.has(keyOf(fromRecord(record))))
        for (const { id, revision } of there) await rows.remove(kitchenId, id, revision)
        for (const value of wanted.values()) report.brought.push((await rows.create(kitchenId, toInput(value))).id)
        report.replaced.push(...there.map(({ id }) => id))
      })
    }
    res.json(report)
  })
  router.post(`/${path}-file/undo`, async (req, res) => {
    const kitchenId = kitchenOf(res).id
    const { brought, replaced } = unwrap(parseMarketFileUndo(req.body))
    let changed = 0
    await inOneStep(async (rows) => {
      for (const id of brought) {
        const record = await rows.find(kitchenId, id)
        if (record && (await rows.remove(kitchenId, id, record.revision)).status === 'changed') changed += 1
      }
      for (const id of replaced) if (await rows.restore(kitchenId, id)) changed += 1
    })
    res.json({ changed })
  })
}

interface Deps {
  readonly db: Database
  readonly now: () => Date
  readonly seasons: RecordRepository<SeasonInput, SeasonRecord>
  readonly stocks: RecordRepository<StockInput, StockRecord>
  readonly parseSeason: (body: unknown, kitchenId: string) => Promise<Result<SeasonInput, readonly Problem[]>>
  readonly parseStock: (body: unknown, kitchenId: string) => Promise<Result<StockInput, readonly Problem[]>>
}

/** The years of waters and the evidence on stocks, out and in as CSV; a file that came in is taken back in one step. */
export function createMarketFileRoutes({ db, now, seasons, stocks, parseSeason, parseStock }: Deps): Router {
  const router = Router()
  const step = (work: (tx: Database) => Promise<void>) => db.transaction((tx) => work(tx as unknown as Database))
  addKind(router, {
    ...{ path: 'seasons', columns: SEASON_COLUMNS, read: readSeasonCells, toCells: toSeasonCells, repository: seasons, parse: parseSeason },
    inOneStep: (work) => step((tx) => work(createRecordRepository(tx, now, seasonMapping))),
    toInput: (season) => ({ season }),
    fromRecord: ({ season }) => season,
    keyOf: ({ species, water, gear }) => [species, water, gear].join('|'),
  })
  addKind(router, {
    ...{ path: 'stocks', columns: STOCK_COLUMNS, read: readStockCells, toCells: toStockCells, repository: stocks, parse: parseStock },
    inOneStep: (work) => step((tx) => work(createRecordRepository(tx, now, stockMapping))),
    toInput: (stock) => ({ stock }),
    fromRecord: ({ stock }) => stock,
    keyOf: ({ species, water, origin, gear }) => [species, water, origin ?? 'wild', gear].join('|'),
  })
  return router
}
