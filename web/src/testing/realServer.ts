import { randomUUID } from 'node:crypto'
import type { AddressInfo } from 'node:net'
import { pino } from 'pino'
import { inject } from 'vitest'
import '../../../server/src/testing/provided.ts'
import { listSpecies } from '@tender-gill/catalogue'
import type { Brief, ServingRecord, HouseLeanings, Merchant, Price, Season, Stock } from '@tender-gill/contract'
import { openChangeFeed } from '../../../server/src/changes/index.ts'
import { createDesk, createLocalCompute } from '../../../server/src/compute/index.ts'
import { openDatabase } from '../../../server/src/database/openDatabase.ts'
import {
  dishes as dishTable,
  houseSpecies,
  kitchens,
  merchants,
  prices,
  seasons,
  servings,
  stocks,
} from '../../../server/src/database/schema/index.ts'
import { createFeedReader } from '../../../server/src/feeds/feedReader.ts'
import { createApp } from '../../../server/src/http/createApp.ts'
import { merchantMapping, priceMapping, seasonMapping, stockMapping } from '../../../server/src/records/mappings.ts'
import { splitBrief } from '../../../server/src/servings/briefParts.ts'
import { NOW } from '../../../server/src/testing/clock.ts'
import { copyDatabase } from '../../../server/src/testing/copyDatabase.ts'

export const TODAY = '2026-06-13'
export const KITCHEN_ID = 'lantern'

/** What a kitchen of a test keeps before the page is opened. */
export interface TestKitchen {
  readonly dishes: readonly { readonly id: string; readonly brief: Brief; readonly choice?: ServingRecord['choice'] }[]
  readonly prices?: readonly Price[]
  readonly seasons?: readonly Season[]
  readonly stocks?: readonly Stock[]
  readonly merchants?: readonly Merchant[]
  /** Feeds the server was told of when it started; nothing answers there. */
  readonly feeds?: readonly string[]
}

/** A few fish of every kind: a page tested on all of them would only be slower. */
const SHOWN: ReadonlySet<string> = new Set([
  'Gadus morhua',
  'Melanogrammus aeglefinus',
  'Merlangius merlangus',
  'Pollachius virens',
  'Lophius piscatorius',
  'Conger conger',
  'Anguilla anguilla',
  'Dicentrarchus labrax',
  'Argyrosomus regius',
  'Salmo salar',
  'Scomber scombrus',
  'Clupea harengus',
  'Scophthalmus maximus',
  'Thunnus albacares',
  'Oreochromis niloticus',
  'Octopus vulgaris',
])
/** The house's word on all other fish of the book: they stand in no line-up. */
const HIDDEN = listSpecies().flatMap(({ species }) => (SHOWN.has(species) ? [] : [species]))

type Db = ReturnType<typeof openDatabase>['db']

async function keep(
  db: Db,
  { dishes, prices: quotes = [], seasons: years = [], stocks: evidence = [], merchants: named = [] }: TestKitchen,
) {
  await db.insert(kitchens).values({ id: KITCHEN_ID, name: 'Lantern House', waters: 'Marrow Sound waters', zone: 'UTC', currency: 'EUR' })
  const stored = (id: string, i: number) => ({ kitchenId: KITCHEN_ID, id, updatedAt: new Date(NOW.getTime() + i) })
  await db.insert(houseSpecies).values(HIDDEN.map((species, i) => ({ ...stored(`hidden-${i}`, i), species, hidden: true, patch: null })))
  const rowsOf = <T>(items: readonly T[], toColumns: (item: T) => object, name: string) =>
    items.map((item, i) => ({ ...stored(`${name}-${i}`, i), ...toColumns(item) }))
  const menu = dishes.map(({ id, brief, choice }, i) => ({ ...stored(id, i), ...splitBrief(brief), choice: choice ?? null }))
  if (menu.length > 0) {
    await db.insert(dishTable).values(menu.map(({ parts: _parts, choice: _choice, ...dish }) => dish))
    await db.insert(servings).values(menu.map(({ recipe: _recipe, parts, ...row }) => ({ ...row, ...parts, dishId: row.id })))
  }
  const inserts = [
    [prices, rowsOf(quotes, (price) => priceMapping.toColumns({ price }), 'price')],
    [seasons, rowsOf(years, (season) => seasonMapping.toColumns({ season }), 'season')],
    [stocks, rowsOf(evidence, (stock) => stockMapping.toColumns({ stock }), 'stock')],
    [merchants, rowsOf(named, (merchant) => merchantMapping.toColumns({ merchant }), 'merchant')],
  ] as const
  for (const [table, rows] of inserts) if (rows.length > 0) await db.insert(table as typeof prices).values(rows as never)
}

/** The real server on a real database of its own, with what a test wants to be kept there. */
export async function startRealServer(kitchen: TestKitchen) {
  const { url, drop } = await copyDatabase(inject('bareUrl'))
  const { db, close } = openDatabase({ url, connections: 4, onBrokenConnection: () => undefined })
  await keep(db, kitchen)
  const now = () => NOW
  const compute = createLocalCompute(createDesk(db, now))
  const changes = openChangeFeed({ url, onBroken: () => undefined })
  const feeds = createFeedReader({
    feeds: (kitchen.feeds ?? []).map((key) => ({ key, url: 'http://127.0.0.1:1/nothing', stream: null })),
    ...{ now, today: () => TODAY, keep: async () => 0, onProblem: () => undefined },
  })
  await feeds.tick()
  const app = createApp({ db, log: pino({ level: 'silent' }), now, compute, changes, feeds, writesPerMinute: 100_000 })
  const listening = app.listen(0, '127.0.0.1')
  await new Promise((resolve) => listening.once('listening', resolve))
  const address = `http://127.0.0.1:${(listening.address() as AddressInfo).port}`
  const asked: string[] = []
  let down = false
  const send = globalThis.fetch
  /** The page's own way to the server: what it asked is remembered, and the way can be cut. */
  const fetchFromPage = async (input: Request | string | URL, init?: RequestInit): Promise<Response> => {
    const request = input instanceof Request ? input : new Request(new URL(String(input), address), init)
    const { pathname, search } = new URL(request.url)
    asked.push(`${request.method} ${pathname.replace(`/kitchens/${KITCHEN_ID}`, '')}`)
    if (down)
      return new Response(
        JSON.stringify({ status: 503, title: 'The database does not answer', detail: 'The database does not answer', problems: [] }),
        {
          status: 503,
          headers: { 'content-type': 'application/problem+json' },
        },
      )
    const body = request.method === 'GET' ? undefined : await request.text()
    return send(`${address}${pathname}${search}`, { method: request.method, headers: request.headers, ...(body ? { body } : {}) })
  }
  const read = async <T>(path: string): Promise<T | undefined> => {
    const answer = await send(`${address}/api/kitchens/${KITCHEN_ID}${path}`)
    return answer.ok ? ((await answer.json()) as T) : undefined
  }
  return {
    address,
    asked,
    fetch: fetchFromPage,
    brief: async (id: string): Promise<Brief | undefined> => (await read<ServingRecord>(`/servings/${id}`))?.brief,
    taken: async (id: string): Promise<string | undefined> => (await read<ServingRecord>(`/servings/${id}`))?.choice?.species,
    decisions: async (id: string): Promise<readonly { species: string }[]> =>
      (await read<{ species: string }[]>(`/decisions?serving=${id}`)) ?? [],
    servings: async (): Promise<readonly ServingRecord[]> => (await read<ServingRecord[]>('/servings')) ?? [],
    prices: async (): Promise<readonly Price[]> => ((await read<{ price: Price }[]>('/prices')) ?? []).map(({ price }) => price),
    /** Prices of all lists that count. */
    listed: async (): Promise<readonly Price[]> => {
      const lists = (await read<{ id: string }[]>('/price-lists')) ?? []
      const details = await Promise.all(lists.map(({ id }) => read<{ quotes: Price[] }>(`/price-lists/${id}`)))
      return details.flatMap((detail) => detail?.quotes ?? [])
    },
    merchants: async (): Promise<readonly Merchant[]> =>
      ((await read<{ merchant: Merchant }[]>('/merchants')) ?? []).map(({ merchant }) => merchant),
    seasons: async (): Promise<readonly Season[]> => ((await read<{ season: Season }[]>('/seasons')) ?? []).map(({ season }) => season),
    stocks: async (): Promise<readonly Stock[]> => ((await read<{ stock: Stock }[]>('/stocks')) ?? []).map(({ stock }) => stock),
    leanings: async (): Promise<HouseLeanings> => (await read<{ leanings: HouseLeanings }>('/leanings'))?.leanings ?? {},
    /** Somebody else changes something. */
    call: (path: string, init: { method: string; body?: unknown; revision?: number }) =>
      send(`${address}/api/kitchens/${KITCHEN_ID}${path}`, {
        method: init.method,
        headers: {
          'Content-Type': 'application/json',
          'Idempotency-Key': randomUUID(),
          ...(init.revision === undefined ? {} : { 'If-Match': `"${init.revision}"` }),
        },
        ...(init.body === undefined ? {} : { body: JSON.stringify(init.body) }),
      }),
    /** Somebody else changes a dish. */
    touch: async (id: string): Promise<void> => {
      const record = await read<ServingRecord>(`/servings/${id}`)
      if (!record) throw new Error(`no dish ${id}`)
      await send(`${address}/api/kitchens/${KITCHEN_ID}/servings/${id}`, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json', 'If-Match': `"${record.revision}"` },
        body: JSON.stringify({ brief: record.brief, choice: record.choice }),
      })
    },
    /** Takes the database away from the page, or brings it back. */
    setDown: (gone: boolean): void => {
      down = gone
    },
    close: async () => {
      listening.closeAllConnections()
      await new Promise((resolve) => listening.close(resolve))
      await changes.close()
      await close()
      await drop()
    },
  }
}
export type RealServer = Awaited<ReturnType<typeof startRealServer>>
