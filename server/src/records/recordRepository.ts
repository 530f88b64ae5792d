import { randomUUID } from 'node:crypto'
import { and, asc, eq, isNotNull, gte, isNull, lt, sql } from 'drizzle-orm'
import { DAY_MS } from '@tender-gill/core'
import type { Database } from '../database/openDatabase.ts'
import type {
  coldPlaces,
  dishes,
  houseSpecies,
  looks,
  lots,
  merchants,
  prices,
  purchases,
  rates,
  restUses,
  seasons,
  stocks,
} from '../database/schema/index.ts'

/** Days for which what was taken away can be put back. */
export const UNDO_DAYS = 30

/** What every stored record carries. */
export interface StoredFields {
  readonly id: string
  readonly revision: number
  readonly updatedAt: string
  readonly deletedAt: string | null
}

/** A change that names a revision which is no longer the stored one. */
export type ChangeOutcome<R> =
  { readonly status: 'changed'; readonly record: R } | { readonly status: 'conflict'; readonly current: R } | { readonly status: 'missing' }

export type RecordTable =
  | typeof dishes
  | typeof prices
  | typeof houseSpecies
  | typeof seasons
  | typeof stocks
  | typeof merchants
  | typeof rates
  | typeof purchases
  | typeof restUses
  | typeof looks
  | typeof lots
  | typeof coldPlaces
interface Row {
  readonly id: string
  readonly revision: number
  readonly updatedAt: Date
  readonly deletedAt: Date | null
}

/** How one kind of record is written to and read from its table. */
export interface RecordMapping<T extends RecordTable, Input, Record_> {
  readonly table: T
  readonly toColumns: (input: Input) => object
  readonly toRecord: (row: T['$inferSelect'], stored: StoredFields) => Record_
}

/**
 * Records of one kind, always within one kitchen: read, kept, changed at a named revision, marked as taken away and put back.
 * A change and its check are one statement, so two writers cannot both win.
 */
export function createRecordRepository<T extends RecordTable, Input, Record_>(
  db: Database,
  now: () => Date,
  mapping: RecordMapping<T, Input, Record_>,
) {
  // The tables share these columns; the generic parameter hides that from the query builder.
  const table = mapping.table as typeof dishes
  const own = (kitchenId: string, id: string) => and(eq(table.kitchenId, kitchenId), eq(table.id, id))
  const toRecord = (row: unknown): Record_ => {
    const { id, revision, updatedAt, deletedAt } = row as Row
    return mapping.toRecord(row as T['$inferSelect'], {
      id,
      revision,
      updatedAt: updatedAt.toISOString(),
      deletedAt: deletedAt?.toISOString() ?? null,
    })
  }
  const find = async (kitchenId: string, id: string): Promise<Record_ | undefined> => {
    const [row] = await db
      .select()
      .from(table)
      .where(and(own(kitchenId, id), isNull(table.deletedAt)))
    return row ? toRecord(row) : undefined
  }
  const change = async (kitchenId: string, id: string, revision: number, columns: object): Promise<ChangeOutcome<Record_>> => {
    const [row] = await db
      .update(table)
      .set({ ...columns, revision: sql`${table.revision} + 1`, updatedAt: now() })
      .where(and(own(kitchenId, id), isNull(table.deletedAt), eq(table.revision, revision)))
      .returning()
    if (row) return { status: 'changed', record: toRecord(row) }
    const current = await find(kitchenId, id)
    return current ? { status: 'conflict', current } : { status: 'missing' }
  }
  return {
    find,
    list: async (kitchenId: string): Promise<readonly Record_[]> => {
      const rows = await db
        .select()
        .from(table)
        .where(and(eq(table.kitchenId, kitchenId), isNull(table.deletedAt)))
        .orderBy(asc(table.updatedAt), asc(table.id))
      return rows.map(toRecord)
    },
    create: async (kitchenId: string, input: Input): Promise<Record_> => {
      // What was written down out of reach of the server has its id already.
      const id = (input as { readonly id?: string }).id ?? randomUUID()
      const values = { ...mapping.toColumns(input), kitchenId, id, updatedAt: now() }
      const [row] = await db
        .insert(table)
        .values(values as typeof dishes.$inferInsert)
        .returning()
      return toRecord(row)
    },
    update: (kitchenId: string, id: string, revision: number, input: Input) => change(kitchenId, id, revision, mapping.toColumns(input)),
    remove: async (kitchenId: string, id: string, revision: number): Promise<ChangeOutcome<Record_>> =>
      change(kitchenId, id, revision, { deletedAt: now() }),
    /** Puts back what was taken away in the last 30 days; undefined when there is nothing to put back. */
    restore: async (kitchenId: string, id: string): Promise<Record_ | undefined> => {
      const [row] = await db
        .update(table)
        .set({ deletedAt: null, revision: sql`${table.revision} + 1`, updatedAt: now() })
        .where(and(own(kitchenId, id), isNotNull(table.deletedAt), gte(table.deletedAt, new Date(now().getTime() - UNDO_DAYS * DAY_MS))))
        .returning()
      return row ? toRecord(row) : find(kitchenId, id)
    },
    /** Forgets what was taken away longer ago than it can be put back. */
    purge: async (): Promise<void> => {
      await db.delete(table).where(lt(table.deletedAt, new Date(now().getTime() - UNDO_DAYS * DAY_MS)))
    },
  }
}

export interface RecordRepository<Input, Record_> {
  readonly find: (kitchenId: string, id: string) => Promise<Record_ | undefined>
  readonly list: (kitchenId: string) => Promise<readonly Record_[]>
  readonly create: (kitchenId: string, input: Input) => Promise<Record_>
  readonly update: (kitchenId: string, id: string, revision: number, input: Input) => Promise<ChangeOutcome<Record_>>
  readonly remove: (kitchenId: string, id: string, revision: number) => Promise<ChangeOutcome<Record_>>
  readonly restore: (kitchenId: string, id: string) => Promise<Record_ | undefined>
  readonly purge: () => Promise<void>
}
