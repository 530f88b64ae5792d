import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer({ ownCluster: true })
  call = server.call
})
afterAll(() => server.close())

const brief = { dish: 'Skewers', method: 'grill', format: 'chunk', covers: 4, draws: 200 }

describe('a database that goes away', () => {
  it('is said with 503, and what was acknowledged is there when it returns', async () => {
    const { id } = (await call('/api/servings', { method: 'POST', body: { brief: { ...brief, dish: 'Before the dark' } } })).body
    server.cluster?.stop()
    expect((await call('/api/health')).status).toBe(503)
    expect(await call('/api/servings', { method: 'POST', body: { brief } })).toMatchObject({
      status: 503,
      body: { title: 'The database does not answer' },
    })
    server.cluster?.start()
    expect((await call('/api/health')).status).toBe(200)
    expect((await call(`/api/servings/${id}`)).body.brief.dish).toBe('Before the dark')
  })
})
