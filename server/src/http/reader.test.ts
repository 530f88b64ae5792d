import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

const price = (species: string, perKg: number) => ({ species, form: 'fillet-skin-on', price: perKg, currency: 'EUR', unit: 'kg' })
const market = { prices: [price('Gadus morhua', 22), price('Melanogrammus aeglefinus', 18), price('Merluccius merluccius', 19)] }
const pool = ['Gadus morhua', 'Melanogrammus aeglefinus', 'Merluccius merluccius', 'Molva molva']
const brief = { dish: 'Told', method: 'deep-fry', format: 'portion', covers: 20, draws: 100, missing: 'Gadus morhua', market, pool }
const changesAs = async (reader?: string): Promise<string> => {
  const { status, body } = await server.call('/api/stand-ins', {
    method: 'POST',
    body: brief,
    headers: reader === undefined ? {} : { Reader: reader },
  })
  expect(status).toBe(200)
  const { ladder } = body as { ladder: { changes: { sentence: string }[] }[] }
  return ladder.flatMap(({ changes }) => changes.map(({ sentence }) => sentence)).join(' ')
}

describe('how an answer is told', () => {
  it('is metric and with signs of money where nobody says how they read', async () => {
    const told = await changesAs()
    expect(told).toMatch(/€\d+\.\d\d a portion/)
    expect(told).toMatch(/\d mm deep/)
    expect(await changesAs('no such way')).toBe(told)
  })

  it('is as the one who asks reads: the figures of the answer are the same', async () => {
    const told = await changesAs('en,us,code')
    expect(told).toMatch(/\d+\.\d\d EUR a portion/)
    expect(told).toMatch(/\d in deep/)
    expect(told).not.toMatch(/€|\d mm/)
    expect(await changesAs('pseudo')).toMatch(/[åëïøü]/)
  })

  it('holds for what is refused as well', async () => {
    const ask = (reader: string) =>
      server.call('/api/line-up', {
        method: 'POST',
        body: { dish: 'x', method: 'grill', format: 'mince', pool: ['Nemo nemo'] },
        headers: { Reader: reader },
      })
    const plain = (await ask('en')).body.problems.map(({ message }: { message: string }) => message)
    expect(plain).toContain('no fish named "Nemo nemo" in the book')
    const strange = (await ask('pseudo')).body.problems.map(({ message }: { message: string }) => message)
    expect(strange).toHaveLength(plain.length)
    for (const message of strange) expect(plain).not.toContain(message)
  })
})
