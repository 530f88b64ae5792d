import { readFileSync } from 'node:fs'
import { gunzipSync } from 'node:zlib'
import pg from 'pg'
import { pino } from 'pino'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openChangeFeed } from '../changes/index.ts'
import { createDesk, createLocalCompute } from '../compute/index.ts'
import { createApp } from '../http/createApp.ts'
import { NOW } from '../testing/clock.ts'
import { startThrowAwayCluster, type Cluster } from '../testing/cluster.ts'
import { migrateDatabase, openDatabase, type OpenDatabase } from './openDatabase.ts'

/** The demo as 0.4.0 kept it, with a decision, an absence, and a year that two files at once had doubled. */
const DUMP = new URL('./demo-0.4.0.sql.gz', import.meta.url)

let cluster: Cluster
let open: OpenDatabase
let address: string
const closing: (() => unknown)[] = []
// Answers are read field by field; a missing field fails the test that reads it.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
const get = async (path: string, method = 'GET'): Promise<any> =>
  (await fetch(`${address}/api/kitchens/lantern-house${path}`, { method })).json()

beforeAll(async () => {
  cluster = await startThrowAwayCluster()
  const client = new pg.Client({ connectionString: cluster.url })
  await client.connect()
  await client.query(gunzipSync(readFileSync(DUMP)).toString('utf8'))
  await client.end()
  open = openDatabase({ url: cluster.url, onBrokenConnection: () => undefined })
  await migrateDatabase(open.db)
  const now = () => NOW
  const changes = openChangeFeed({ url: cluster.url, onBroken: () => undefined })
  const app = createApp({
    db: open.db,
    log: pino({ level: 'silent' }),
    now,
    changes,
    compute: createLocalCompute(createDesk(open.db, now)),
  })
  const server = app.listen(0, '127.0.0.1')
  await new Promise((resolve) => server.once('listening', resolve))
  address = `http://127.0.0.1:${(server.address() as { port: number }).port}`
  closing.push(
    changes.close,
    () => server.closeAllConnections(),
    () => server.close(),
  )
})
afterAll(async () => {
  for (const close of closing) await close()
  await open.close()
  cluster.stop()
  cluster.destroy()
})

describe('data of 0.4.0', () => {
  it('is migrated, each brief to a dish and one serving under its id, and again changes nothing', async () => {
    await migrateDatabase(open.db)
    const servings = await get('/servings')
    expect(servings.map(({ id }: { id: string }) => id).sort()).toContain('paprika-skewers')
    for (const { id, dishId } of servings) expect(dishId).toBe(id)
    const skewers = servings.find(({ id }: { id: string }) => id === 'paprika-skewers')
    expect(skewers).toMatchObject({
      revision: 2,
      brief: { dish: 'Paprika skewers over coals', covers: 24 },
      choice: { species: expect.any(String) },
    })
    expect(await get('/dishes/paprika-skewers')).toMatchObject({ recipe: { dish: 'Paprika skewers over coals', method: 'grill' } })
  })

  it('has its decision: read as it was, run again the same on the same inputs, and known to the alerts', async () => {
    const [decision] = await get('/decisions?serving=paprika-skewers')
    expect(decision).toMatchObject({ servingId: 'paprika-skewers', revision: 1 })
    const detail = await get(`/decisions/${decision.id}`)
    expect(detail.output.ranked.length).toBeGreaterThan(0)
    const { rows } = await open.db.execute<{ leader: string; sheet_hash: string }>('select leader, sheet_hash from decisions')
    expect(rows[0]).toMatchObject({ leader: detail.output.ranked[0].species, sheet_hash: expect.stringMatching(/^[0-9a-f]{64}$/) })
    const rerun = await get(`/decisions/${decision.id}/rerun`, 'POST')
    expect(rerun.sameInputs.chosen.fitNow).toBe(rerun.sameInputs.chosen.fitThen)
    expect(Array.isArray(await get('/alerts'))).toBe(true)
  })

  it('has its absence, its lists and its prices, and of what was doubled the last', async () => {
    expect(await get('/absences')).toMatchObject([{ species: 'Conger conger', moves: [] }])
    expect((await get('/price-lists')).length).toBeGreaterThan(3)
    expect((await get('/prices')).length).toBeGreaterThan(3)
    const ids = (await get('/seasons')).map(({ id }: { id: string }) => id)
    expect(ids).toContain('season-doubled')
    expect(ids).not.toContain('season-1')
  })

  it('has every row of its lists in its place, and the series that prices rest on, laid from them', async () => {
    const lists = (await get('/price-lists')) as { id: string; quotes: number; date: string }[]
    for (const { id, quotes, date } of lists) {
      const detail = await get(`/price-lists/${id}`)
      expect(detail.quotes).toHaveLength(quotes)
      for (const quote of detail.quotes) expect(quote).toMatchObject({ date, species: expect.any(String), price: expect.any(Number) })
    }
    expect(lists.reduce((sum, { quotes }) => sum + quotes, 0)).toBeGreaterThan(50)
    const { rows } = await open.db.execute<{ bytes: string; quotes: string }>(
      'select (select sum(length(packed)) from price_series) as bytes, (select count(*) from quotes join price_lists on id = list_id where taken_back_at is null) as quotes',
    )
    expect(Number(rows[0]?.bytes)).toBe(20 * Number(rows[0]?.quotes))
    expect((await get('/price-history/Gadus%20morhua')).series[0].quotes.length).toBeGreaterThan(2)
  })
})
