import fc from 'fast-check'
import type { Brief, ServingRecord } from '@tender-gill/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'
import { joinBrief, splitBrief } from './briefParts.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())

const brief: Brief = { dish: 'Grilled tails', method: 'grill', format: 'chunk', covers: 4, draws: 200, date: '2026-06-16' }
const post = async (path: string, body: object) => call(path, { method: 'POST', body })
const plan = async (patch: object = {}): Promise<ServingRecord> => (await post('/api/servings', { brief: { ...brief, ...patch } })).body
const again = async (dishId: string, patch: object): Promise<ServingRecord> =>
  (await post('/api/servings', { brief: { ...brief, ...patch }, dishId })).body
const read = async (id: string): Promise<ServingRecord> => (await call(`/api/servings/${id}`)).body
const save = (serving: ServingRecord, patch: object) =>
  call(`/api/servings/${serving.id}`, {
    method: 'PUT',
    body: { brief: { ...serving.brief, ...patch }, choice: serving.choice },
    headers: { 'If-Match': `"${serving.revision}"` },
  })
const remove = (path: string, revision: number) => call(path, { method: 'DELETE', headers: { 'If-Match': `"${revision}"` } })

describe('a brief', () => {
  it('taken apart into its dish and its serving comes together again', () => {
    const part = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined })
    const briefs = fc.record({
      covers: part(fc.integer({ min: 1, max: 500 })),
      date: part(fc.constantFrom('2026-06-13', '2026-12-01')),
      diners: part(fc.record({ children: fc.nat(3) })),
      seasoning: part(fc.constantFrom('bold' as const, 'gentle' as const)),
    })
    fc.assert(
      fc.property(briefs, (patch) => {
        const whole = JSON.parse(JSON.stringify({ dish: 'x', method: 'grill', format: 'chunk', ...patch })) as Brief
        const { recipe, parts } = splitBrief(whole)
        expect(joinBrief(recipe, parts)).toEqual(whole)
        for (const key of ['covers', 'date', 'diners']) expect(recipe).not.toHaveProperty(key)
      }),
      { seed: 901 },
    )
  })
})

describe('a dish served twice a week', () => {
  it('is two servings, each with its day, its covers, its diners and its fish', async () => {
    const tuesday = await plan()
    const friday = await again(tuesday.dishId, { date: '2026-06-19', covers: 30, diners: { children: 3 } })
    expect(friday.dishId).toBe(tuesday.dishId)
    const choice = { species: 'Conger conger', offerId: 'conger-conger.wild.fresh.body', form: 'gutted' }
    await post('/api/decisions', { servingId: friday.id, ...choice })
    expect(await read(tuesday.id)).toEqual(tuesday)
    expect(await read(friday.id)).toMatchObject({ brief: { covers: 30, diners: { children: 3 }, date: '2026-06-19' }, choice })
    const rows = (await call('/api/cover-card?from=2026-06-15&to=2026-06-21')).body.rows as { servingId: string; date: string }[]
    expect(rows.filter(({ servingId }) => [tuesday.id, friday.id].includes(servingId)).map(({ date }) => date)).toEqual([
      '2026-06-16',
      '2026-06-19',
    ])
  })

  it('is changed for both where the dish itself is, and for one where its day or covers are', async () => {
    const one = await plan()
    const other = await again(one.dishId, { date: '2026-06-20' })
    const bolder = (await save(one, { seasoning: 'bold', covers: 6 })).body as ServingRecord
    expect(bolder).toMatchObject({ revision: 2, brief: { seasoning: 'bold', covers: 6 } })
    expect(await read(other.id)).toMatchObject({ revision: 2, brief: { seasoning: 'bold', covers: 4, date: '2026-06-20' } })
    // Whoever had the other open hears of it, and nothing is lost in silence.
    expect((await save(other, { seasoning: 'gentle' })).status).toBe(409)
    expect((await save(bolder, { covers: 9 })).status).toBe(200)
    expect((await read(other.id)).revision).toBe(2)
    expect((await call(`/api/dishes/${one.dishId}`)).body).toMatchObject({ revision: 2, recipe: { seasoning: 'bold' } })
  })

  it('goes with its last serving and comes back with it; taken away itself it takes them along', async () => {
    const one = await plan()
    const other = await again(one.dishId, { date: '2026-06-21' })
    const dish = () => call(`/api/dishes/${one.dishId}`)
    await remove(`/api/servings/${one.id}`, 1)
    expect((await dish()).status).toBe(200)
    await remove(`/api/servings/${other.id}`, 1)
    expect((await dish()).status).toBe(404)
    await post(`/api/servings/${other.id}/restore`, {})
    const { revision } = (await dish()).body
    expect((await remove(`/api/dishes/${one.dishId}`, revision)).status).toBe(200)
    expect((await call(`/api/servings/${other.id}`)).status).toBe(404)
    await post(`/api/dishes/${one.dishId}/restore`, {})
    expect((await call(`/api/servings/${other.id}`)).status).toBe(200)
    // The one that was taken away before stays away.
    expect((await call(`/api/servings/${one.id}`)).status).toBe(404)
  })

  it('is refused for a dish that is not there, or not here', async () => {
    const theirs = (await call('/api/servings', { method: 'POST', body: { brief }, kitchen: 'larch-cottage' })).body
    for (const dishId of ['nothing-here', theirs.dishId])
      expect(await post('/api/servings', { brief, dishId })).toMatchObject({ status: 400, body: { problems: [{ path: '/dishId' }] } })
  })
})

describe('a dish by itself', () => {
  it('is kept, changed for all its servings, and refused where it makes no sense', async () => {
    const { dishId, id } = await plan()
    const { recipe, revision } = (await call(`/api/dishes/${dishId}`)).body
    expect(recipe).toEqual({ dish: 'Grilled tails', method: 'grill', format: 'chunk', draws: 200 })
    const put = (patch: object) =>
      call(`/api/dishes/${dishId}`, { method: 'PUT', body: { recipe: { ...recipe, ...patch } }, headers: { 'If-Match': `"${revision}"` } })
    expect(await put({ format: 'mince', method: 'broth' })).toMatchObject({ status: 400, body: { problems: [{ path: '/recipe/format' }] } })
    expect(await put({ covers: 4 })).toMatchObject({ status: 400, body: { problems: [{ path: '/recipe/covers' }] } })
    expect((await put({ dish: 'Coal tails' })).status).toBe(200)
    expect(await read(id)).toMatchObject({ revision: 2, brief: { dish: 'Coal tails', covers: 4 } })
  })
})
