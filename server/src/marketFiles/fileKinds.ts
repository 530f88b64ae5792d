import type { Season, SeasonInput, SeasonRecord, Stock, StockInput, StockRecord } from '@tender-gill/contract'
import type { seasons, stocks } from '../database/schema/index.ts'
import { seasonMapping, stockMapping } from '../records/mappings.ts'
import type { RecordMapping, RecordTable } from '../records/recordRepository.ts'
import type { Cells, ReadCells } from './readMarketFile.ts'
import { readSeasonCells, SEASON_COLUMNS, toSeasonCells } from './seasonCells.ts'
import { readStockCells, STOCK_COLUMNS, toStockCells } from './stockCells.ts'

/** How one kind of record stands in a CSV file. */
export interface FileKind<T, Table extends RecordTable, Input, Record_> {
  readonly columns: readonly string[]
  readonly read: ReadCells<T>
  readonly toCells: (value: T) => Cells
  readonly toInput: (value: T) => Input
  readonly fromRecord: (record: Record_) => T
  /** Rows of one key are one record: a later one takes the place of the one that is there. */
  readonly keyOf: (value: T) => string
  readonly mapping: RecordMapping<Table, Input, Record_>
}

export const seasonFile: FileKind<Season, typeof seasons, SeasonInput, SeasonRecord> = {
  ...{ columns: SEASON_COLUMNS, read: readSeasonCells, toCells: toSeasonCells, mapping: seasonMapping },
  toInput: (season) => ({ season }),
  fromRecord: ({ season }) => season,
  keyOf: ({ species, water, gear }) => [species, water, gear].join('|'),
}

export const stockFile: FileKind<Stock, typeof stocks, StockInput, StockRecord> = {
  ...{ columns: STOCK_COLUMNS, read: readStockCells, toCells: toStockCells, mapping: stockMapping },
  toInput: (stock) => ({ stock }),
  fromRecord: ({ stock }) => stock,
  keyOf: ({ species, water, origin, gear }) => [species, water, origin ?? 'wild', gear].join('|'),
}
