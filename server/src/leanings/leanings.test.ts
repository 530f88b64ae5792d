import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())

const set = (revision: number, leanings: object, headers: Record<string, string> = {}) =>
  call('/api/leanings', { method: 'PUT', body: { leanings }, headers: { 'If-Match': `"${revision}"`, ...headers } })

describe('how a house leans', () => {
  it('is nothing at first, is set at the revision that was read, and refuses a later writer with both versions', async () => {
    expect((await call('/api/leanings')).body).toEqual({ revision: 0, leanings: {} })
    expect((await set(0, { asks: { fat: { pull: 5 } } })).body).toEqual({ revision: 1, leanings: { asks: { fat: { pull: 5 } } } })
    expect(await set(0, { doneness: 'moist' })).toMatchObject({
      status: 409,
      body: { current: { revision: 1 }, sent: { leanings: { doneness: 'moist' } } },
    })
    expect((await set(1, { doneness: 'moist', asks: { fat: { pull: 5 } } })).body.revision).toBe(2)
  })

  it('reaches every line-up of the kitchen, names the sheet anew, and no other kitchen’s', async () => {
    const brief = { dish: 'Leaning', method: 'grill', format: 'portion', draws: 100 }
    const answer = (await call('/api/line-up', { method: 'POST', body: brief })).body
    expect(answer.houseLeaning).toMatchObject({ traits: ['fat'] })
    expect(answer.brief).toMatchObject({ doneness: 'moist', asks: { fat: { pull: 5, because: ['method', 'house'] } } })
    const kitchen = 'larch-cottage'
    const other = (await call('/api/line-up', { method: 'POST', body: brief, kitchen })).body
    expect(other.houseLeaning).toBeNull()
    expect(other.snapshot).not.toBe(answer.snapshot)
  })

  it.each([
    ['a band upside down', { asks: { fat: { from: 9, to: 3 } } }, '/leanings/asks/fat/from'],
    ['an ask that does not exist', { asks: { juiciness: { pull: 3 } } }, '/leanings/asks/juiciness'],
    ['a pull of 7', { asks: { fat: { pull: 7 } } }, '/leanings/asks/fat/pull'],
  ])('refuses %s at its place', async (_what, leanings, path) => {
    const { revision } = (await call('/api/leanings')).body
    expect(await set(revision, leanings)).toMatchObject({ status: 400, body: { problems: [{ path }] } })
    expect((await call('/api/leanings')).body.revision).toBe(revision)
  })
})
