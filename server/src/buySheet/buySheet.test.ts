import type { BuyLine, BuySheet, Purchase } from '@tender-gill/contract'
import { parseBuySheet } from '@tender-gill/contract/validators'
import { readTable } from '@tender-gill/csv'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

const sheet = async (query = ''): Promise<BuySheet> => (await server.call(`/api/buy-sheet${query}`)).body
const lines = (written: BuySheet): readonly BuyLine[] => written.orders.flatMap((order) => order.lines)
const asBought = (line: BuyLine, patch: Partial<Purchase> = {}): Purchase => ({
  ...{
    line: line.key,
    state: 'ordered',
    merchant: null,
    date: '2026-06-13',
    species: line.species,
    offerId: line.offerId,
    form: line.form,
  },
  ...{
    paidOn: null,
    orderedG: line.buy.g,
    g: null,
    perKg: null,
    currency: null,
    servings: line.servings.map(({ servingId }) => servingId),
  },
  ...patch,
})

describe('the buy sheet of a kitchen', () => {
  it('holds what the servings of a week need, by merchant and delivery', async () => {
    const { status, body } = await server.call('/api/buy-sheet')
    expect(status).toBe(200)
    expect(parseBuySheet(body)).toMatchObject({ ok: true })
    expect(body).toMatchObject({ from: '2026-06-13', to: '2026-06-19' })
    expect(lines(body).length).toBeGreaterThan(0)
    for (const { state, delivery, orderBy } of (body as BuySheet).orders)
      if (state === 'open') expect([delivery, orderBy === null]).toEqual([expect.any(String), false])
    // What waits for a day is bought only where that is asked for.
    const all = await sheet('?undated=yes')
    expect(body.undated.length).toBeGreaterThan(0)
    expect(all.covers).toBeGreaterThan(body.covers)
  })

  it.each([
    ['?from=yesterday', '/from'],
    ['?from=2026-06-13&to=2026-06-12', '/to'],
    ['?from=2026-06-13&to=2026-09-12', '/to'],
    ['?undated=perhaps', '/undated'],
  ])('refuses %s at its place', async (query, place) => {
    expect(await server.call(`/api/buy-sheet${query}`)).toMatchObject({ status: 400, body: { problems: [{ path: place }] } })
  })

  it('goes out as CSV that reads back, and as a message to one merchant', async () => {
    const written = await sheet()
    const merchant = written.orders[0]?.merchant ?? ''
    const table = readTable((await server.call('/api/buy-sheet-file?as=csv')).body, { mostRows: 100, mostLetters: 2000 })
    expect(table.rows).toHaveLength(lines(written).length)
    const text: string = (await server.call(`/api/buy-sheet-file?as=text&merchant=${encodeURIComponent(merchant)}`)).body
    expect(text.startsWith(`To ${merchant}, for `)).toBe(true)
    for (const { species } of written.orders[0]?.lines ?? []) expect(text).toContain(species)
  })
})

describe('a purchase', () => {
  const keep = (purchase: Purchase) => server.call('/api/purchases', { method: 'POST', body: { purchase } })

  it('stands beside its line, once, and what was paid is a price of its day', async () => {
    const [line] = lines(await sheet())
    if (!line) throw new Error('there is nothing to buy')
    const made = await keep(asBought(line))
    expect(made.status).toBe(201)
    expect((await keep(asBought(line))).status).toBe(409)
    expect(lines(await sheet()).find(({ key }) => key === line.key)?.purchase?.purchase.state).toBe('ordered')
    const before = (await server.call(`/api/price-history/${encodeURIComponent(line.species)}`)).body
    const paid = asBought(line, { state: 'bought', g: line.buy.g, perKg: 61.5, currency: 'EUR' })
    const saved = await server.call(`/api/purchases/${made.body.id}`, {
      method: 'PUT',
      headers: { 'If-Match': '"1"' },
      body: { purchase: paid },
    })
    expect(saved.status).toBe(200)
    const after = (await server.call(`/api/price-history/${encodeURIComponent(line.species)}`)).body
    expect(JSON.stringify(after)).not.toBe(JSON.stringify(before))
    expect(JSON.stringify(after)).toContain('61.5')
    expect((await server.call(`/api/purchases/${made.body.id}`, { method: 'DELETE', headers: { 'If-Match': '"2"' } })).status).toBe(200)
    expect(lines(await sheet()).find(({ key }) => key === line.key)?.perKg).toEqual(line.perKg)
  })

  it.each([
    [{ offerId: 'cod.of.the.moon' }, '/purchase/offerId'],
    [{ species: 'Salmo trutta' }, '/purchase/species'],
    [{ state: 'bought' as const }, '/purchase/g'],
    [{ g: 500 }, '/purchase/g'],
    [{ state: 'bought' as const, g: -1 }, '/purchase/g'],
    [{ state: 'short' as const, g: 1_000_000 }, '/purchase/g'],
    [{ state: 'bought' as const, g: 500, perKg: 12 }, '/purchase/currency'],
    [{ state: 'bought' as const, g: 500, perKg: 12, currency: 'CHF' }, '/purchase/currency'],
  ])('is refused with %j at its place, and nothing is kept', async (patch, place) => {
    const line = lines(await sheet()).at(-1)
    if (!line) throw new Error('there is nothing to buy')
    const { status, body } = await keep(asBought(line, patch))
    expect([status, body.problems[0].path]).toEqual([400, place])
    expect((await server.call('/api/purchases')).body.filter((one: { deletedAt: null }) => one.deletedAt === null)).toEqual([])
  })
})
