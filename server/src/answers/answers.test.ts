import { execFileSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { catalogueSnapshot } from '@tender-gill/catalogue/book'
import {
  parseFishFirst,
  parseFoundNames,
  parseAmounts,
  parseCook,
  parseLearnt,
  parsePotPlan,
  parseSwapMap,
  parseTurningPoints,
  parseYearOfDish,
} from '@tender-gill/contract/validators'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { GoneAway, runInSlices } from '../compute/study.ts'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

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
  ['/api/amounts', 'amounts', { ...brief, fish: 'Gadus morhua' }, parseAmounts],
  ['/api/cook', 'cook', { ...brief, method: 'pan-sear', format: 'portion', fish: 'Gadus morhua', serveAt: '20:00' }, parseCook],
  [
    '/api/learn',
    'learn',
    {
      events: [
        { kind: 'cooked', offerId: 'gadus-morhua.wild.fresh.body', notes: { firmness: -1 } },
        { kind: 'delivered', merchant: 'Quay', asOrdered: true },
      ],
    },
    parseLearnt,
  ],
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
  ['/api/find', 'find', { name: 'loup de mer', language: 'fr', most: 5 }, parseFoundNames],
] as const

describe('studies of a line-up', () => {
  it.each(FACES)('%s answers as the command %s does, in the shape of the contract', async (path, verb, body, parse) => {
    // A kitchen that keeps no evidence on stocks: the command knows none either.
    const kitchen = 'larch-cottage'
    const overHttp = await call(path, { method: 'POST', body, kitchen })
    expect(overHttp.status).toBe(200)
    expect(parse(overHttp.body)).toMatchObject({ ok: true })
    const fromCommand = JSON.parse(execFileSync(bin, [verb], { input: JSON.stringify(body), encoding: 'utf8' }))
    // The command has the book alone under its own name; the kitchen's sheet has its years and prices in its name.
    const { snapshot, ...answer } = fromCommand
    if (snapshot !== undefined) expect(snapshot).toBe(catalogueSnapshot)
    expect(overHttp.body).toMatchObject(answer)
    expect(Object.keys(overHttp.body).sort()).toEqual(Object.keys(fromCommand).sort())
  })

  it.each([
    ['/api/turning-points', { ...brief, winner: 'Nemo nemo' }, '/winner'],
    ['/api/turning-points', { ...brief, winers: 'Gadus morhua' }, '/winers'],
    ['/api/pot', { ...brief, places: 6 }, '/places'],
    ['/api/pot', { ...brief, covers: 0 }, '/covers'],
    ['/api/amounts', { ...brief, fish: 'Gadus morhua', shortChance: 0.7 }, '/shortChance'],
    ['/api/amounts', { ...brief, fish: 'Gadus morhua', packG: 0 }, '/packG'],
    ['/api/amounts', { ...brief, fish: 'Nemo' }, '/fish'],
    ['/api/cook', { ...brief, fish: 'Gadus morhua', startC: -10 }, '/startC'],
    ['/api/cook', { ...brief, fish: 'Gadus morhua', stages: [{ medium: 'sun' }] }, '/stages/0/medium'],
    ['/api/fish-first', { seen: [] }, '/seen'],
    ['/api/find', { name: '' }, '/name'],
    ['/api/find', { name: 'cod', language: 'French' }, '/language'],
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
    const kitchen = 'larch-cottage'
    await call('/api/leanings', { method: 'PUT', body: { leanings: { origin: 'farmed' } }, kitchen, headers: { 'If-Match': '"0"' } })
    const seen = { seen: [{ species: 'Scophthalmus maximus' }], dishes: [open] }
    const theirs = (await call('/api/fish-first', { method: 'POST', body: seen, kitchen })).body
    expect(theirs.dishes[0].rows[0].offer).toContain('farmed')
  })
})

describe('a long study', () => {
  const work = { ...brief, draws: 20_000 }

  it('ends on the server when the one who asked goes away', async () => {
    const gone = new AbortController()
    const asked = fetch(`${server.address}/api/kitchens/lantern-house/line-up`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(work),
      signal: gone.signal,
    })
    await expect.poll(() => server.studies.running()).toBe(1)
    gone.abort()
    await expect(asked).rejects.toThrow()
    await expect.poll(() => server.studies.running()).toBe(0)
    expect(server.studies.ended()).toEqual(['gone'])
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
    const gone = new AbortController()
    const study = runInSlices(endless(), gone.signal)
    setTimeout(() => gone.abort(), 30)
    await expect(study).rejects.toBeInstanceOf(GoneAway)
    const atEnd = steps
    await new Promise((resolve) => setTimeout(resolve, 30))
    expect(steps).toBe(atEnd)
  })
})
