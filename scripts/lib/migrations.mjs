/** Before a database is brought up to date: is it one of ours, is it not newer than we are, and a dump of it as it was. */
import { mkdirSync, readFileSync, readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './shell.mjs'

const MOST_DUMPS = 5

/** Migrations this version knows, the oldest first. */
const listKnown = () => JSON.parse(readFileSync(join(ROOT, 'server/drizzle/meta/_journal.json'), 'utf8')).entries

function countDone(cluster) {
  const there = cluster.ask("select to_regclass('drizzle.__drizzle_migrations') is not null")
  return there === 't' ? Number(cluster.ask('select count(*) from drizzle.__drizzle_migrations')) : 0
}

/**
 * Keeps a dump of a database that is about to be migrated; the last five stay.
 * @returns the file, or undefined when nothing is to be done; throws when the database was made by a newer version
 */
export function dumpBeforeMigration(cluster, dataFolder) {
  const known = listKnown()
  const done = countDone(cluster)
  if (done > known.length)
    throw new Error('This data was used by a newer version of Tender Gill, and this one would not understand it. Start the newer one.')
  if (done === 0 || done === known.length) return undefined
  const folder = join(dataFolder, 'dumps')
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const file = join(folder, `${new Date().toISOString().replaceAll(/[:.]/g, '-')}-before-${known[done].tag}.dump`)
  cluster.dump(file)
  for (const old of readdirSync(folder).sort().slice(0, -MOST_DUMPS)) rmSync(join(folder, old))
  return file
}
