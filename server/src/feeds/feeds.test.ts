import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { isNull, sql } from 'drizzle-orm'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import type { PriceList, PriceListDetail } from '@tender-gill/contract'
import { createSimulator, TROUBLES, type Simulator } from '../../../simulator/src/createSimulator.ts'
import { MERCHANTS, writeList } from '../../../simulator/src/writeList.ts'
import { kitchens, priceLists, priceSeries } from '../database/schema/index.ts'
import { createPriceListRepository } from '../priceLists/priceListRepository.ts'
import { NOW, startTestServer, type TestServer } from '../testing/testServer.ts'
import { readFeedConfig } from './feedConfig.ts'
import { FeedFailure, fetchList } from './fetchList.ts'
import { backOffMs, createFeedReader, EVERY_MS, runFeedReader } from './feedReader.ts'
import { createKeepFeedList } from './keepFeedList.ts'

let server: TestServer
let simulator: Simulator
let address: string
let today = '2026-06-13'
let clock = NOW.getTime()
const closing: (() => void)[] = []
beforeAll(async () => {
  server = await startTestServer()
  simulator = createSimulator({ seed: 'test', today: () => today })
  const listening = simulator.app.listen(0, '127.0.0.1')
  await new Promise((resolve) => listening.once('listening', resolve))
  address = `http://127.0.0.1:${(listening.address() as AddressInfo).port}`
  closing.push(() => {
    simulator.close()
    listening.closeAllConnections()
    listening.close()
  })
  // The demo's own lists would stand among those of the feeds.
  await takeAllBack()
})
afterEach(() => {
  simulator.setTrouble('none')
  today = '2026-06-13'
  clock = NOW.getTime()
})
afterAll(async () => {
  for (const close of closing) close()
  await server.close()
})

const feeds = () => MERCHANTS.map(({ key }) => ({ key, url: `${address}/${key}/list`, stream: `${address}/stream` }))
const takeAllBack = async () => {
  await server.db.update(priceLists).set({ takenBackAt: NOW }).where(isNull(priceLists.takenBackAt))
  await server.db.delete(priceSeries)
  await server.db.update(kitchens).set({ version: sql`${kitchens.version} + 1` })
}
const must = <T>(value: T | undefined): T => {
  if (value === undefined) throw new Error('not there')
  return value
}
const listsOf = async (): Promise<readonly PriceList[]> => (await server.call('/api/price-lists')).body
const detailOf = async (id: string): Promise<PriceListDetail> => (await server.call(`/api/price-lists/${id}`)).body

/** The server's own reader over its own database, by a clock of the test. */
function createReader(configs = feeds(), leastPauseMs = { person: 0, stream: 0 }) {
  const { db } = server
  const now = () => new Date(clock)
  return createFeedReader({
    feeds: configs,
    now,
    today: () => today,
    keep: createKeepFeedList({ db, now, compute: server.compute }),
    onProblem: () => undefined,
    fetchOptions: { timeoutMs: 1500 },
    leastPauseMs,
  })
}

describe('a feed', () => {
  it('is kept for whoever buys there, once a day however often it is read', async () => {
    const reader = createReader()
    await reader.tick()
    const lists = await listsOf()
    expect(lists.map(({ source, date }) => [source, date])).toEqual(MERCHANTS.map(() => ['feed', '2026-06-13']))
    expect(reader.states().map(({ state, failures, problem }) => [state, failures, problem])).toEqual(
      MERCHANTS.map(() => ['fresh', 0, null]),
    )
    expect(reader.states()[0]?.news).toMatch(/boats|wind/)
    await reader.tick()
    await reader.readNow()
    expect(await listsOf()).toEqual(lists)
    await takeAllBack()
  })

  it('that fails in any way changes nothing, is told in words, and is tried again after growing pauses', async () => {
    const reader = createReader()
    await reader.tick()
    const before = await listsOf()
    const said = new Map<string, string | null>()
    for (const trouble of TROUBLES.filter((one) => one !== 'none')) {
      simulator.setTrouble(trouble)
      await reader.readNow('hessle-quay')
      const [state] = reader.states()
      said.set(trouble, state?.problem ?? null)
      expect(state).toMatchObject({ state: 'silent', lastListDate: '2026-06-13' })
    }
    expect(Object.fromEntries(said)).toEqual({
      silent: 'it did not answer in 10 seconds',
      error: 'it answered 500',
      garbage: 'what it sent is no list',
      halfway: 'it could not be reached',
      huge: 'it sent more than 5 MB',
      redirect: 'it could not be reached',
    })
    expect(await listsOf()).toEqual(before)
    const [state] = reader.states()
    expect(state?.failures).toBe(6)
    expect(Date.parse(state?.nextTryAt ?? '') - clock).toBe(backOffMs(6))
    simulator.setTrouble('none')
    await reader.tick()
    expect(reader.states()[0]?.failures).toBe(6)
    clock += backOffMs(6)
    await reader.tick()
    expect(reader.states()[0]).toMatchObject({ state: 'fresh', failures: 0, problem: null })
    await takeAllBack()
  }, 60_000)

  it('that is asked for again too soon is looked at when its time has come: who asked is told what is so then', async () => {
    const reader = createReader(feeds().slice(0, 1), { person: 150, stream: 300 })
    await reader.readNow()
    expect(reader.states()[0]?.state).toBe('fresh')
    simulator.setTrouble('error')
    await Promise.all([reader.readNow(), reader.readNow(), reader.readNow(undefined, 'stream')])
    // Three asked within the pause: it was looked at once for all of them.
    expect(reader.states()[0]).toMatchObject({ state: 'silent', failures: 1, problem: 'it answered 500' })
    simulator.setTrouble('none')
    await reader.readNow()
    expect(reader.states()[0]).toMatchObject({ state: 'fresh', failures: 0 })
    await takeAllBack()
  })

  it('of a merchant whose day begins earlier is of the kitchen’s own day, and counts at once', async () => {
    today = '2026-06-14'
    await createReader().readNow('hessle-quay')
    expect((await listsOf()).map(({ date }) => date)).toEqual(['2026-06-13'])
    await takeAllBack()
  })

  it('is looked at every half hour while all is well', async () => {
    const reader = createReader()
    await reader.tick()
    clock += EVERY_MS - 1
    await reader.tick()
    expect(reader.states()[0]?.lastTriedAt).toBe(NOW.toISOString())
    clock += 1
    await reader.tick()
    expect(reader.states()[0]?.lastTriedAt).toBe(new Date(clock).toISOString())
    await takeAllBack()
  })

  it('plays six weeks, with storms, slips and a week of trouble in each month, and leaves no wrong row', async () => {
    const reader = createReader()
    const days = Array.from({ length: 42 }, (_, i) => new Date(Date.UTC(2026, 4, 3 + i)).toISOString().slice(0, 10))
    for (const [i, day] of days.entries()) {
      today = day
      // A week of trouble in each month.
      simulator.setTrouble(i % 30 < 24 ? 'none' : (TROUBLES.filter((one) => one !== 'silent')[i % 6] ?? 'none'))
      await reader.readNow()
    }
    const { db } = server
    const repository = createPriceListRepository(db, () => new Date(clock))
    const kept = await Promise.all((await repository.list('lantern-house')).map(({ id }) => repository.readDetail('lantern-house', id)))
    expect(kept.length).toBeGreaterThan(90)
    const names = new Map(MERCHANTS.flatMap(({ name, key, wares }) => wares.map((ware) => [`${key}|${ware.species}|${ware.form}`, name])))
    const keyOf = new Map(MERCHANTS.map(({ name, key }) => [name, key]))
    for (const detail of kept) {
      const { quotes, list } = must(detail)
      const [first] = quotes
      expect(new Set(quotes.map(({ merchant }) => merchant)).size).toBe(1)
      expect(days).toContain(list.date)
      for (const { species, form, price, merchant } of quotes) {
        expect(names.get(`${keyOf.get(merchant ?? '') ?? ''}|${species}|${form}`)).toBe(first?.merchant)
        expect(price).toBeGreaterThan(0)
      }
    }
    const offers = (await server.call('/api/offers?date=2026-06-13')).body.offers as {
      species: string
      origin: string
      state: string
      prices: { form: string; perKg: { typical: number }; quotes: number }[]
    }[]
    const [hessle] = MERCHANTS
    if (!hessle) throw new Error('no merchant')
    const truth = new Map(writeList(hessle, '2026-06-12', 'test').truth.map(({ species, perKg }) => [species, perKg]))
    const haddock = offers.find(
      ({ species, origin, state }) => species === 'Melanogrammus aeglefinus' && origin === 'wild' && state === 'fresh',
    )
    const price = haddock?.prices.find(({ form }) => form === 'fillet-skin-on')
    expect(price?.quotes).toBeGreaterThan(20)
    expect(Math.abs(Math.log((price?.perKg.typical ?? 0) / (truth.get('Melanogrammus aeglefinus') ?? 17.9)))).toBeLessThan(0.2)
    const lists = await listsOf()
    expect(lists.some(({ bad }) => bad > 0)).toBe(true)
    const waiting = await Promise.all(lists.slice(0, 120).map(({ id }) => detailOf(id)))
    expect(waiting.some(({ open }) => open.length > 0)).toBe(true)
    await takeAllBack()
  })

  it('is read at once when its stream says that a list is out', async () => {
    const configs = feeds().slice(0, 1)
    const reader = createReader(configs)
    const stop = runFeedReader(reader, configs, 3_600_000)
    closing.push(stop)
    const until = async (done: () => boolean) => {
      while (!done()) await new Promise((resolve) => setTimeout(resolve, 20))
    }
    await until(() => reader.states()[0]?.state === 'fresh')
    clock += 5
    today = '2026-06-14'
    await until(() => {
      simulator.publish(today)
      return reader.states()[0]?.lastListDate === '2026-06-14'
    })
    stop()
    await takeAllBack()
  })
})

describe('a list that is fetched', () => {
  const serve = async (type: string, body: string) => {
    const one = createServer((_req, res) => res.writeHead(200, { 'Content-Type': type }).end(body))
    await new Promise<void>((resolve) => one.listen(0, '127.0.0.1', resolve))
    closing.push(() => one.close())
    return `http://127.0.0.1:${(one.address() as AddressInfo).port}`
  }
  const failure = async (promise: Promise<unknown>) =>
    promise.then(
      () => null,
      (error: unknown) => (error instanceof FeedFailure ? error.message : String(error)),
    )

  it('must be a list, of no day to come', async () => {
    expect(await failure(fetchList(await serve('application/json', '[1'), '2026-06-13'))).toBe('what it sent is not JSON')
    expect(await failure(fetchList(await serve('application/json', 'null'), '2026-06-13'))).toBe('what it sent is no list')
    expect(await failure(fetchList(await serve('image/png', 'x'), '2026-06-13'))).toBe('what it sent is no list')
    const tomorrow = '{"date":"2026-06-14","rows":[]}'
    expect(await failure(fetchList(await serve('application/json', tomorrow), '2026-06-13'))).toContain('still to come')
    expect(await failure(fetchList('http://127.0.0.1:1/', '2026-06-13'))).toBe('it could not be reached')
  })

  it('passes over what it does not know, and what is no text', async () => {
    const list = await fetchList(
      await serve('application/json', '{"rows":[{"fish":"Haddock","price":9.5,"secret":"x","cut":{"a":1}},7,null]}'),
      '2026-06-13',
    )
    expect(list).toMatchObject({ date: '2026-06-13', news: null })
    expect(list.text).not.toContain('secret')
    expect(list.text.split(/\r?\n/)).toHaveLength(4)
  })
})

describe('a server without feeds', () => {
  it('says that it has none, and looks at none', async () => {
    expect((await server.call('/api/feeds')).body).toEqual([])
    expect((await server.call('/api/feeds/read', { method: 'POST' })).body).toEqual([])
  })
})

describe('the start configuration of feeds', () => {
  it('is a list of keys and http addresses, or none', () => {
    expect(readFeedConfig(undefined)).toEqual([])
    expect(readFeedConfig('[{"key":"a","url":"http://localhost/x"}]')).toEqual([{ key: 'a', url: 'http://localhost/x', stream: null }])
    for (const [text, words] of [
      ['{', 'not JSON'],
      ['{}', 'must be a list'],
      ['[{"key":"A b","url":"http://x/"}]', 'no key'],
      ['[{"key":"a","url":"file:///etc/passwd"}]', 'no http address'],
      ['[{"key":"a","url":"http://x/","stream":"nope"}]', 'no http address'],
    ] as const)
      expect(() => readFeedConfig(text)).toThrow(words)
  })
})
