import { randomUUID } from 'node:crypto'
import pg from 'pg'

const nameOf = (url: string): string => new URL(url).pathname.slice(1)
const withName = (url: string, name: string): string => {
  const renamed = new URL(url)
  renamed.pathname = `/${name}`
  return renamed.href
}

/** One connection for all copies that this process makes of a template. */
const administrators = new Map<string, Promise<pg.Client>>()

async function connect(templateUrl: string): Promise<pg.Client> {
  const client = new pg.Client({ connectionString: withName(templateUrl, 'postgres') })
  // It is there until the PostgreSQL of the run is stopped.
  client.on('error', () => undefined)
  await client.connect()
  return client
}

async function administer(templateUrl: string, statement: string): Promise<void> {
  let administrator = administrators.get(templateUrl)
  if (!administrator) administrators.set(templateUrl, (administrator = connect(templateUrl)))
  await (await administrator).query(statement)
}

/** A database of one's own, as the template is. @returns its address, and how to drop it */
export async function copyDatabase(templateUrl: string): Promise<{ readonly url: string; readonly drop: () => Promise<void> }> {
  const name = `test_${randomUUID().replaceAll('-', '')}`
  // Copied as files: less work than through the log, and what PostgreSQL has read of the catalogue comes along.
  await administer(templateUrl, `create database ${name} template ${nameOf(templateUrl)} strategy file_copy`)
  return { url: withName(templateUrl, name), drop: () => administer(templateUrl, `drop database ${name} with (force)`) }
}
