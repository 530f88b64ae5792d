import { fileURLToPath } from 'node:url'
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres'
import { migrate } from 'drizzle-orm/node-postgres/migrator'
import pg from 'pg'
import * as schema from './schema.ts'

export type Database = NodePgDatabase<typeof schema>

export interface OpenDatabase {
  readonly db: Database
  readonly close: () => Promise<void>
}

/** Folder of migrations; one level above both src and dist. */
const MIGRATIONS = (depth: string) => fileURLToPath(new URL(`${depth}drizzle`, import.meta.url))

export interface OpenOptions {
  readonly url: string
  /** Told of a connection that broke while idle; without a listener it would end the process. */
  readonly onIdleError: (error: Error) => void
}

/** Opens a pool that gives up quickly when the database is away, so that a request is answered rather than left hanging. */
export function openDatabase({ url, onIdleError }: OpenOptions): OpenDatabase {
  const pool = new pg.Pool({ connectionString: url, max: 8, connectionTimeoutMillis: 3000, query_timeout: 15_000 })
  pool.on('error', onIdleError)
  return { db: drizzle(pool, { schema, casing: 'snake_case' }), close: () => pool.end() }
}

/** Brings the tables up to date; running it again changes nothing. */
export async function migrateDatabase(db: Database): Promise<void> {
  await migrate(db, { migrationsFolder: process.env.TENDER_GILL_MIGRATIONS ?? MIGRATIONS('../../') })
}
