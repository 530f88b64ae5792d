import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())

const post = (path: string, body: object, kitchen?: string) => call(path, { method: 'POST', body, kitchen })
const twelve = (value: number) => Array.from({ length: 12 }, () => value)
const bream = { species: 'Sparus aurata', water: 'Test Bay', landings: [0, 0, 0, 0, 6, 8, 10, 8, 6, 0, 0, 0], condition: twelve(7) }
const brief = {
  dish: 'Bream',
  method: 'grill',
  format: 'whole',
  wholeServes: null,
  draws: 100,
  waters: 'Test Bay',
  pool: ['Sparus aurata'],
  origin: 'wild',
  state: 'fresh',
}

describe('years and stocks of a kitchen', () => {
  it('change what the line-up of a day says, on that day and for those waters alone', async () => {
    const { body: record } = await post('/api/seasons', { season: bream })
    expect(record).toMatchObject({ revision: 1, season: bream })
    const gateOn = async (date: string, waters: string | null = 'Test Bay') =>
      (await post('/api/line-up', { ...brief, date, waters })).body.leftOut[0]?.gate ?? 'passes'
    expect(await gateOn('2026-07-15')).toBe('passes')
    expect(await gateOn('2026-12-15')).toBe('not-landed')
    expect(await gateOn('2026-12-15', null)).toBe('passes')
    expect(await gateOn('2026-12-15', 'Other Bay')).toBe('passes')
    await call(`/api/seasons/${record.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    expect(await gateOn('2026-12-15')).toBe('passes')
  })

  it('name the day’s offers anew when they change, and travel with them', async () => {
    const before = (await call('/api/offers')).body
    const { body: record } = await post('/api/stocks', {
      stock: { species: 'Sparus aurata', origin: 'wild', biomassRatio: { value: 0.2, year: 2025 } },
    })
    const after = (await call('/api/offers')).body
    expect(after.snapshot).not.toBe(before.snapshot)
    expect(after.stocks).toHaveLength(before.stocks.length + 1)
    const [row] = (await post('/api/line-up', { ...brief, waters: null })).body.leftOut
    expect(row).toMatchObject({ gate: 'stock', sentence: expect.stringContaining('far below its target') })
    await call(`/api/stocks/${record.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    expect((await call('/api/offers')).body.snapshot).toBe(before.snapshot)
  })

  it.each([
    ['/api/seasons', { season: { ...bream, species: 'Nemo nemo' } }, '/season/species'],
    ['/api/seasons', { season: { ...bream, landings: twelve(0) } }, '/season/landings'],
    ['/api/seasons', { season: { ...bream, landings: [1, 2] } }, '/season/landings'],
    ['/api/seasons', { season: { ...bream, closures: [{ from: '02-31', to: '13-01' }] } }, '/season/closures/0/to'],
    ['/api/stocks', { stock: { species: 'Nemo nemo', biomassRatio: { value: 1 } } }, '/stock/species'],
    ['/api/stocks', { stock: { species: 'Sparus aurata' } }, '/stock'],
    [
      '/api/stocks',
      { stock: { species: 'Sparus aurata', origin: 'farmed', feed: { value: 50 }, biomassRatio: { value: 1 } } },
      '/stock/biomassRatio',
    ],
    ['/api/stocks', { stock: { species: 'Sparus aurata', gearScore: { value: 500 } } }, '/stock/gearScore/value'],
  ])('%s refuses what makes no sense at its place', async (path, body, place) => {
    const { status, body: details } = await post(path, body)
    expect(status).toBe(400)
    expect(details.problems.map((problem: { path: string }) => problem.path)).toContain(place)
  })

  it('belong to their kitchen', async () => {
    const { body: record } = await post('/api/seasons', { season: bream })
    const kitchen = 'larch-cottage'
    expect((await call(`/api/seasons/${record.id}`, { kitchen })).status).toBe(404)
    expect((await call('/api/seasons', { kitchen })).body.map(({ id }: { id: string }) => id)).not.toContain(record.id)
  })
})
