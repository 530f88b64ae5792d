import { createOfferSheet } from '@tender-gill/catalogue'
import { parseOfferSheet } from '@tender-gill/contract/validators'
import { createFindSpecies, NOTHING_LEARNT, readSeries } from '@tender-gill/core'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'
import { createLeastRecent } from './leastRecent.ts'
import { foldLayers, listLayers, nameSheet, type LaidOver } from './layers.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())

const nameOf = async (date?: string) => (await call(`/api/sheets${date ? `?date=${date}` : ''}`)).body as { date: string; snapshot: string }

describe('the offers of a day', () => {
  it('are called by a name, and fetched under it packed and for good', async () => {
    const { date, snapshot } = await nameOf()
    expect(date).toBe('2026-06-13')
    const address = `${server.address}/api/kitchens/lantern-house/sheets/${date}/${snapshot}`
    const fetched = await fetch(address, { headers: { 'Accept-Encoding': 'br' } })
    expect(fetched.headers.get('cache-control')).toContain('immutable')
    expect(fetched.headers.get('content-encoding')).toBe('br')
    const sheet = parseOfferSheet(await fetched.json())
    expect(sheet).toMatchObject({ ok: true, value: { date, snapshot } })
    expect((await call(`/api/offers?date=${date}`)).body).toEqual(sheet.ok ? sheet.value : null)
  })

  it('come unpacked to one who cannot unpack them', async () => {
    const { date, snapshot } = await nameOf()
    const address = `${server.address}/api/kitchens/lantern-house/sheets/${date}/${snapshot}`
    const plain = await fetch(address, { headers: { 'Accept-Encoding': 'identity' } })
    expect(plain.headers.get('content-encoding')).toBeNull()
    expect(plain.headers.get('cache-control')).toContain('immutable')
    const packed = await fetch(address, { headers: { 'Accept-Encoding': 'br' } })
    expect(await plain.json()).toEqual(await packed.json())
  })

  it('have another name on another day, and the former name still gives the former offers', async () => {
    const before = await nameOf()
    const later = await nameOf('2026-07-01')
    expect(later.snapshot).not.toBe(before.snapshot)
    const { body: price } = await call('/api/prices', {
      method: 'POST',
      body: { price: { species: 'Zeus faber', form: 'whole', price: 21, currency: 'EUR', unit: 'kg', date: '2026-06-13' } },
    })
    const after = await nameOf()
    expect(after.snapshot).not.toBe(before.snapshot)
    await call(`/api/sheets/${after.date}/${after.snapshot}`)
    // Laid out before the price came: the page that asked then may still fetch it, if anybody laid it out.
    expect((await call(`/api/sheets/${before.date}/${after.snapshot}`)).status).toBe(200)
    expect((await call(`/api/sheets/${before.date}/0123456789`)).status).toBe(404)
    expect((await call(`/api/sheets/${before.date}/${after.snapshot}`, { kitchen: 'larch-cottage' })).status).toBe(404)
    expect(await call('/api/sheets/soon/abc')).toMatchObject({ status: 400, body: { problems: [{ path: '/date' }] } })
    await call(`/api/prices/${price.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    expect((await nameOf()).snapshot).toBe(before.snapshot)
  })

  it('answer a dish of another day from that day', async () => {
    const { body: absence } = await call('/api/absences', {
      method: 'POST',
      body: { species: 'Gadus morhua', offerId: null, because: 'not-landed', from: '2026-06-20', to: '2026-06-21', moves: [] },
    })
    const brief = { dish: 'Cod', method: 'roast', format: 'portion', pool: ['Gadus morhua'], draws: 100 }
    const leaders = async (date: string) => (await call('/api/line-up', { method: 'POST', body: { ...brief, date } })).body.ranked.length
    expect([await leaders('2026-06-13'), await leaders('2026-06-20'), await leaders('2026-06-22')]).toEqual([1, 0, 1])
    await call(`/api/absences/${absence.id}/undo`, { method: 'POST' })
  })
})

describe('a sheet', () => {
  const { offers, snapshot } = createOfferSheet('2026-06-13')
  const book = { snapshot, offers, sheets: [], findSpecies: createFindSpecies(offers), listSources: () => [], leanings: {} }
  const price = { species: 'Zeus faber', form: 'whole', price: 20, currency: 'EUR', unit: 'kg', date: '2026-06-13' } as const
  const nothing: LaidOver = {
    prices: [],
    listed: { stamp: null, series: [] },
    rates: [],
    currency: 'EUR',
    seasons: [],
    stocks: [],
    absences: [],
    learnt: NOTHING_LEARNT,
  }
  const absence = { species: 'Zeus faber', offerId: null, because: null, from: '2026-06-13', to: '2026-06-14' } as never
  const over: Record<string, Partial<LaidOver>> = {
    prices: { prices: [price] },
    lists: { listed: { stamp: 'a', series: readSeries([price], '2026-06-13') } },
    seasons: { seasons: [{ species: 'Zeus faber', water: 'A', landings: Array.from({ length: 12 }, () => 1) }] },
    stocks: { stocks: [{ species: 'Zeus faber', gearScore: { value: 50 } }] },
    absences: { absences: [absence] },
    learnt: { learnt: { ...NOTHING_LEARNT, swaps: [{ group: 'fried', missing: 'Zeus faber', standIn: 'Gadus morhua', worked: 1, n: 1 }] } },
    merchants: {
      learnt: {
        ...NOTHING_LEARNT,
        merchants: [{ merchant: 'Quay', failChance: 0.1, n: 3, arrivals: 0, iceDays: { low: 1, typical: 3, high: 9 } }],
      },
    },
  }
  const name = (patch: Partial<LaidOver>, leanings = {}) =>
    nameSheet(book, listLayers({ ...book, leanings }, { ...nothing, ...patch }, '2026-06-13'))

  it('is the book alone, under the book’s own name, where nothing is laid over it', () => {
    const layers = listLayers(book, nothing, '2026-06-13')
    expect(foldLayers(book, layers, '2026-06-13')).toEqual({ snapshot, date: '2026-06-13', offers })
  })

  it('has everything that is laid over it in its name: no two that differ are called the same', () => {
    const names = [
      name({}),
      name({}, { origin: 'farmed' }),
      ...Object.values(over).map((patch) => name(patch)),
      // The same quotes in another currency of the kitchen, or with a rate, are other prices.
      name({ ...over.prices, currency: 'GBP' }),
      name({ ...over.prices, rates: [{ currency: 'GBP', date: '2026-06-01', worth: 1.1 }] }),
      name({ ...over.prices, ...over.stocks }),
    ]
    expect(new Set(names).size).toBe(names.length)
  })

  it('holds what each layer lays, whichever others there are', () => {
    const all = Object.assign({}, ...Object.values(over)) as Partial<LaidOver>
    const sheet = foldLayers(book, listLayers(book, { ...nothing, ...all }, '2026-06-13'), '2026-06-13')
    expect([sheet.seasons?.length, sheet.stocks?.length]).toEqual([1, 1])
    const dory = sheet.offers.filter(({ species }) => species === 'Zeus faber')
    expect(dory.some(({ prices }) => prices.length > 0)).toBe(true)
    expect(dory.every(({ absent }) => absent !== undefined)).toBe(true)
  })
})

describe('a store of the least recent', () => {
  it('lets go of what was not asked for the longest', () => {
    const store = createLeastRecent<number>(2)
    store.keep('a', 1)
    store.keep('b', 2)
    expect(store.find('a')).toBe(1)
    store.keep('c', 3)
    expect([store.find('a'), store.find('b'), store.find('c')]).toEqual([1, undefined, 3])
    store.drop('a')
    expect(store.find('a')).toBeUndefined()
  })
})
