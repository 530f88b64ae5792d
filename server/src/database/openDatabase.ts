import { fileURLToPath } from 'node:url'
import { drizzle, type NodePgQueryResultHKT } from 'drizzle-orm/node-postgres'
import { migrate } from 'drizzle-orm/node-postgres/migrator'
import type { NodePgDatabase } from 'drizzle-orm/node-postgres'
import type { PgDatabase } from 'drizzle-orm/pg-core'
import pg from 'pg'
import { createPriceSeriesRepository } from '../priceSeries/priceSeriesRepository.ts'
import * as schema from './schema/index.ts'

/** The database, or a transaction on it: whoever reads and writes need not know which. */
export type Database = PgDatabase<NodePgQueryResultHKT, typeof schema>

export interface OpenDatabase {
  readonly db: NodePgDatabase<typeof schema>
  readonly close: () => Promise<void>
}

/** Folder of migrations; one level above both src and dist. */
const MIGRATIONS = (depth: string) => fileURLToPath(new URL(`${depth}drizzle`, import.meta.url))

export interface OpenOptions {
  readonly url: string
  /** Told of a connection that broke, idle or in the middle of a transaction; without a listener it would end the process. */
  readonly onBrokenConnection: (error: Error) => void
  readonly connections?: number
  /** How long a connection is waited for, ms. */
  readonly patienceMs?: number
}

/** A database that is away refuses at once on loopback; this long is waited for one that is only busy, ms. */
const PATIENCE_MS = 8_000
/** A connection that nobody used for so long is let go: whoever comes back to a page a minute later does not wait for a new one, ms. */
const KEPT_MS = 600_000

/** Opens a pool that gives up when the database is away, so that a request is answered rather than left hanging. */
export function openDatabase({ url, onBrokenConnection, connections = 8, patienceMs = PATIENCE_MS }: OpenOptions): OpenDatabase {
  const pool = new pg.Pool({
    ...{ connectionString: url, max: connections, connectionTimeoutMillis: patienceMs, idleTimeoutMillis: KEPT_MS },
    query_timeout: 15_000,
  })
  // The pool listens to idle connections alone: one that a transaction holds between two queries would end the process.
  pool.on('connect', (client) => client.on('error', onBrokenConnection))
  pool.on('error', onBrokenConnection)
  return { db: drizzle(pool, { schema, casing: 'snake_case' }), close: () => pool.end() }
}

/** Brings the tables up to date, and what follows from them; running it again changes nothing. */
export async function migrateDatabase(db: OpenDatabase['db']): Promise<void> {
  await migrate(db, { migrationsFolder: process.env.TENDER_GILL_MIGRATIONS ?? MIGRATIONS('../../') })
  await createPriceSeriesRepository(db).layMissing()
}
