import { parseCoverCard } from '@tender-gill/contract/validators'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

const card = (query = '') => server.call(`/api/cover-card${query}`)

describe('the cover card of a kitchen', () => {
  it('holds every dish of the week with its fish and ladder, and what the covers hang on', async () => {
    const { status, body } = await card()
    expect(status).toBe(200)
    expect(parseCoverCard(body).ok).toBe(true)
    expect(body).toMatchObject({ from: '2026-06-13', to: '2026-06-19' })
    const briefs = (await server.call('/api/servings')).body
    expect(body.rows).toHaveLength(briefs.length)
    expect(body.covers).toBe(briefs.reduce((sum: number, { brief }: { brief: { covers?: number } }) => sum + (brief.covers ?? 1), 0))
    for (const { share } of body.hangs) expect(share).toBeLessThanOrEqual(1)
    expect(body.hangs[0].covers).toBeGreaterThan(0)
  })

  it('leaves out a dish of another week', async () => {
    const brief = { dish: 'Another week', method: 'poach', format: 'portion', date: '2026-07-20' }
    await server.call('/api/servings', { method: 'POST', body: { brief } })
    const names = async (query: string) => (await card(query)).body.rows.map(({ dish }: { dish: string }) => dish)
    expect(await names('?from=2026-06-13')).not.toContain('Another week')
    expect(await names('?from=2026-07-20&to=2026-07-20')).toContain('Another week')
  })

  it.each([
    ['?from=yesterday', '/from'],
    ['?from=2026-06-13&to=2026-06-12', '/to'],
    ['?from=2026-06-13&to=2026-09-12', '/to'],
  ])('refuses %s at its place', async (query, place) => {
    expect(await card(query)).toMatchObject({ status: 400, body: { problems: [{ path: place }] } })
  })
})
