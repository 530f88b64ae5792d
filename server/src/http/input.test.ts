import fc from 'fast-check'
import { operations, type Operation } from '@tender-gill/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { readEnvironment } from '../environment.ts'
import { startTestServer, type TestServer } from '../testing/testServer.ts'
import { findNoText } from './checkText.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())

const brief = { dish: 'Skewers', method: 'grill', format: 'chunk', draws: 200 }

describe('text that is none', () => {
  it.each([
    ['a zero in a dish', '/api/servings', { brief: { ...brief, dish: 'a\u0000b' } }, '/brief/dish'],
    ['half a pair in a water', '/api/seasons', { season: { species: 'Zeus faber', water: 'x\udfffy', landings: [] } }, '/season/water'],
    ['a zero in a file', '/api/seasons-file', { text: 'species,water\na\u0000,b', keep: 'all' }, '/text'],
    ['a zero in the name of a field', '/api/servings', { ['a\u0000']: 1 }, ''],
  ])('%s is refused at its place', async (_what, path, body, place) => {
    const answer = await call(path, { method: 'POST', body })
    expect(answer).toMatchObject({ status: 400, body: { problems: [{ path: place }] } })
  })

  it('is refused in the address of every operation', async () => {
    for (const operation of Object.values(operations) as Operation[]) {
      if (!/\{(id|name)\}/.test(operation.path)) continue
      const path = operation.path.replaceAll(/\{\w+\}/g, 'a%00b')
      const answer = await call(`/api${path}`, {
        method: operation.method,
        body: operation.method === 'GET' ? undefined : {},
        headers: { 'If-Match': '"1"' },
      })
      expect([path, answer.status]).toEqual([path, 400])
    }
    expect((await call('/api/decisions?serving=%00')).status).toBe(400)
    expect((await call('/api/servings', { kitchen: '%00' })).status).toBe(400)
  })

  it('is found wherever it stands, and in nothing else', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        const well = JSON.stringify(value).includes('\\u') ? undefined : findNoText(value)
        expect(well).toBeUndefined()
        expect(findNoText({ deep: [value, 'a\ud800'] })).toBe('/deep/1')
      }),
      { seed: 601 },
    )
  })
})

describe('a value that cannot be', () => {
  it.each([
    ['a year 0', '/api/rates', { rate: { currency: 'USD', date: '0000-01-01', worth: 1 } }],
    [
      'an absence of the year 0',
      '/api/absences',
      { species: 'Zeus faber', offerId: null, because: null, from: '0000-01-01', to: '2026-01-01', moves: [] },
    ],
  ])('%s is refused', async (_what, path, body) => {
    expect((await call(path, { method: 'POST', body })).status).toBe(400)
  })

  it('one name settled twice is settled once, as it was said last', async () => {
    const answer = await call('/api/settled-names', {
      method: 'POST',
      body: {
        names: [
          { name: 'Codling', species: 'Gadus morhua' },
          { name: ' codling ', species: 'Zeus faber' },
        ],
      },
    })
    expect(answer.status).toBe(200)
    expect((await call('/api/settled-names')).body).toContainEqual({ name: 'codling', species: 'Zeus faber' })
  })

  it('is told a hundred times at most', async () => {
    const { status, body } = await call('/api/fish-first', { method: 'POST', body: { seen: Array.from({ length: 3000 }, () => ({})) } })
    expect(status).toBe(400)
    expect(body.problems.length).toBeLessThanOrEqual(100)
    expect(body.requestId).toMatch(/^\w{8}$/)
  })
})

describe('who may ask', () => {
  const ask = (headers: Record<string, string>, method = 'GET') =>
    new Promise<number>((resolve, reject) => {
      void import('node:http').then(({ request }) => {
        const { hostname, port } = new URL(server.address)
        const path = method === 'GET' ? '/api/health' : '/api/kitchens/lantern-house/feeds/read'
        request({ hostname, port, path, method, headers }, (answer) => {
          answer.resume()
          resolve(answer.statusCode ?? 0)
        })
          .on('error', reject)
          .end()
      })
    })

  it('is whoever asks under a name of ours', async () => {
    expect(await ask({ Host: 'localhost:1234' })).toBe(200)
    expect(await ask({ Host: '[::1]:1234' })).toBe(200)
    expect(await ask({ Host: 'rebind.example' })).toBe(421)
    expect(await ask({ Host: 'rebind.example' }, 'POST')).toBe(421)
  })

  it('is nobody who writes from elsewhere, whatever the browser says of it', async () => {
    const { host } = new URL(server.address)
    expect(await ask({ Host: host, Origin: 'http://elsewhere.example' }, 'POST')).toBe(400)
    expect(await ask({ Host: host, Origin: 'null' }, 'POST')).toBe(400)
    expect(await ask({ Host: host, Origin: `http://${host}` }, 'POST')).toBe(200)
  })
})

describe('what the server is told when it starts', () => {
  const told = { DATABASE_URL: 'postgres://x' }
  it('is read, with what nobody said as usual', () => {
    expect(readEnvironment(told)).toMatchObject({ port: 8080, writesPerMinute: 600, logLevel: 'warn', hosts: [] })
    expect(readEnvironment({ ...told, PORT: '0', HOSTS: 'kitchen.local, b' })).toMatchObject({ port: 0, hosts: ['kitchen.local', 'b'] })
  })
  it.each([
    [{}, 'DATABASE_URL'],
    [{ ...told, PORT: 'x' }, 'PORT'],
    [{ ...told, PORT: '70000' }, 'PORT'],
    [{ ...told, WRITES_PER_MINUTE: 'x' }, 'WRITES_PER_MINUTE'],
    [{ ...told, LOG_LEVEL: 'loud' }, 'LOG_LEVEL'],
    [{ ...told, TENDER_GILL_CLOCK: 'soon' }, 'TENDER_GILL_CLOCK'],
  ])('is refused by its name where it makes no sense: %j', (env, name) => {
    expect(() => readEnvironment(env)).toThrow(name)
  })
})
