import { randomUUID } from 'node:crypto'
import pg from 'pg'

const nameOf = (url: string): string => new URL(url).pathname.slice(1)
const withName = (url: string, name: string): string => {
  const renamed = new URL(url)
  renamed.pathname = `/${name}`
  return renamed.href
}

async function administer(templateUrl: string, statements: readonly string[]): Promise<void> {
  const client = new pg.Client({ connectionString: withName(templateUrl, 'postgres') })
  await client.connect()
  try {
    // A template is copied by one at a time.
    await client.query('select pg_advisory_lock(7322)')
    for (const statement of statements) await client.query(statement)
  } finally {
    await client.end()
  }
}

/** A database of one's own, as the template is. @returns its address, and how to drop it */
export async function copyDatabase(templateUrl: string): Promise<{ readonly url: string; readonly drop: () => Promise<void> }> {
  const name = `test_${randomUUID().replaceAll('-', '')}`
  await administer(templateUrl, [`create database ${name} template ${nameOf(templateUrl)}`])
  return { url: withName(templateUrl, name), drop: () => administer(templateUrl, [`drop database ${name} with (force)`]) }
}
