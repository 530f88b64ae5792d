import { execFileSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { parseFishFirst, parsePotPlan, parseSwapMap, parseTurningPoints, parseYearOfDish } from '@tender-gill/contract/validators'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { GoneAway, runInSlices } from './runInSlices.ts'
import { enterKitchen, startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())

const bin = fileURLToPath(new URL('../../../node_modules/.bin/tender-gill', import.meta.url))
const brief = { dish: 'Stew', method: 'stew', format: 'chunk', covers: 6, date: '2026-06-13', market: {} }
const post = (path: string, body: object) => call(path, { method: 'POST', body })

const FACES = [
  ['/api/turning-points', 'turning', brief, parseTurningPoints],
  ['/api/turning-points', 'turning', { ...brief, winner: 'Gadus morhua' }, parseTurningPoints],
  ['/api/pot', 'pot', { ...brief, places: 4 }, parsePotPlan],
  ['/api/swap-map', 'swap-map', brief, parseSwapMap],
  ['/api/year', 'year', brief, parseYearOfDish],
  [
    '/api/fish-first',
    'fish-first',
    {
      seen: [{ species: 'Zeus faber', form: 'whole', eachG: 900, price: { amount: 14, currency: 'EUR', unit: 'kg' } }],
      dishes: [brief],
      date: '2026-06-13',
    },
    parseFishFirst,
  ],
] as const

describe('studies of a line-up', () => {
  it.each(FACES)('%s answers as the command %s does, in the shape of the contract', async (path, verb, body, parse) => {
    // A kitchen that keeps no evidence on stocks: the command knows none either.
    const headers = await enterKitchen(call, 'larch-cottage')
    const overHttp = await call(path, { method: 'POST', body, headers })
    expect(overHttp.status).toBe(200)
    expect(parse(overHttp.body)).toMatchObject({ ok: true })
    const fromCommand = JSON.parse(execFileSync(bin, [verb], { input: JSON.stringify(body), encoding: 'utf8' }))
    if ('snapshot' in fromCommand) expect(fromCommand.snapshot).toEqual(expect.any(String))
    expect({ ...overHttp.body, snapshot: null }).toEqual({ ...fromCommand, snapshot: null })
  })

  it.each([
    ['/api/turning-points', { ...brief, winner: 'Nemo nemo' }, '/winner'],
    ['/api/turning-points', { ...brief, winers: 'Gadus morhua' }, '/winers'],
    ['/api/pot', { ...brief, places: 6 }, '/places'],
    ['/api/pot', { ...brief, covers: 0 }, '/covers'],
    ['/api/fish-first', { seen: [] }, '/seen'],
    ['/api/fish-first', { seen: [{ species: 'Nemo nemo' }] }, '/seen/0/species'],
    ['/api/fish-first', { seen: [{ species: 'Zeus faber' }], dishes: [{ ...brief, dish: '' }] }, '/dishes/0/dish'],
  ])('%s refuses at its place', async (path, body, place) => {
    const { status, body: details } = await post(path, body)
    expect(status).toBe(400)
    expect(details.problems.map((problem: { path: string }) => problem.path)).toContain(place)
  })

  it('are asked with the kitchen’s prices and leanings where the brief brings no market', async () => {
    const { market: _market, ...open } = brief
    const dish = { ...open, budget: { perPortion: 4, currency: 'EUR' } }
    const ours = (await post('/api/turning-points', dish)).body
    expect(ours.notLookedAt).not.toContain('price')
    const headers = await enterKitchen(call, 'larch-cottage')
    await call('/api/leanings', { method: 'PUT', body: { leanings: { origin: 'farmed' } }, headers: { ...headers, 'If-Match': '"0"' } })
    const seen = { seen: [{ species: 'Scophthalmus maximus' }], dishes: [open] }
    const theirs = (await call('/api/fish-first', { method: 'POST', body: seen, headers })).body
    expect(theirs.dishes[0].rows[0].offer).toContain('farmed')
  })
})

describe('a long study', () => {
  const work = { ...brief, draws: 20_000 }

  it('lets other questions be answered meanwhile', async () => {
    const order: string[] = []
    const long = post('/api/line-up', work).then(() => order.push('study'))
    await new Promise((resolve) => setTimeout(resolve, 50))
    await call('/api/kitchen').then(() => order.push('other'))
    await long
    expect(order).toEqual(['other', 'study'])
  })

  it('ends when the one who asked goes away', async () => {
    const gone = new AbortController()
    const asked = fetch(`${server.address}/api/line-up`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(work),
      signal: gone.signal,
    })
    setTimeout(() => gone.abort(), 60)
    await expect(asked).rejects.toThrow()
    expect((await call('/api/health')).status).toBe(200)
  })

  it('stops between two slices once nobody listens', async () => {
    let steps = 0
    function* endless(): Generator<number, never> {
      for (;;) {
        const until = performance.now() + 10
        while (performance.now() < until);
        yield (steps += 1)
      }
    }
    let close: () => void = () => undefined
    const study = runInSlices(endless(), { on: ((_event: string, listener: () => void) => (close = listener)) as never })
    setTimeout(() => close(), 30)
    await expect(study).rejects.toBeInstanceOf(GoneAway)
    const atEnd = steps
    await new Promise((resolve) => setTimeout(resolve, 30))
    expect(steps).toBe(atEnd)
  })
})
