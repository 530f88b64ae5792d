import type { Kitchen } from '@tender-gill/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, NOW, type TestServer } from '../testing/testServer.ts'
import type { Compute } from './index.ts'
import { toError, toMessage } from './messages.ts'
import { GoneAway } from './study.ts'
import { startThreads } from './threads.ts'

let server: TestServer
let threads: Compute
let kitchen: Kitchen
const problems: Error[] = []
beforeAll(async () => {
  server = await startTestServer()
  threads = startThreads({ databaseUrl: server.url, clock: NOW.toISOString(), threads: 1, onProblem: (error) => problems.push(error) })
  kitchen = (await server.call('/api/kitchens/lantern-house')).body
})
afterAll(async () => {
  await threads.close()
  await server.close()
})

const brief = { dish: 'Skewers', method: 'grill' as const, format: 'chunk' as const, draws: 200 }

describe('a thread that computes', () => {
  it('answers as it is answered here, and refuses for the same reason at the same place', async () => {
    expect(await threads.ask('lineUp', kitchen, brief)).toEqual(await server.compute.ask('lineUp', kitchen, brief))
    expect(await threads.ask('sheetName', kitchen, {})).toEqual(await server.compute.ask('sheetName', kitchen, {}))
    const wrong = { ...brief, pool: ['Nemo nemo'] }
    await expect(threads.ask('lineUp', kitchen, wrong)).rejects.toMatchObject({
      code: 'invalid',
      details: { problems: [{ path: '/pool/0', message: { code: 'problem.no-fish', params: { name: 'Nemo nemo' } } }] },
    })
  })

  it('sees a change as soon as it is kept', async () => {
    const before = await threads.ask('sheetName', kitchen, {})
    const price = { species: 'Zeus faber', form: 'whole', price: 20, currency: 'EUR', unit: 'kg', date: '2026-06-13' }
    await server.call('/api/prices', { method: 'POST', body: { price } })
    expect((await threads.ask('sheetName', kitchen, {})).snapshot).not.toBe(before.snapshot)
  })

  it('tells what it told before as long as it holds, and anew once anything in the kitchen changed', async () => {
    const days = { from: '2026-06-13', to: '2026-06-19' }
    const before = await server.compute.ask('coverCard', kitchen, days)
    expect(await server.compute.ask('coverCard', kitchen, { to: days.to, from: days.from })).toBe(before)
    expect(await server.compute.ask('coverCard', kitchen, { ...days, to: '2026-06-18' })).not.toBe(before)
    const { status, body: serving } = await server.call('/api/servings', {
      method: 'POST',
      body: { brief: { ...brief, dish: 'Skewers of the fourteenth', date: '2026-06-14', covers: 4 } },
    })
    expect(status).toBe(201)
    const after = await server.compute.ask('coverCard', kitchen, days)
    expect(after).not.toEqual(before)
    await server.call(`/api/servings/${serving.id}`, { method: 'DELETE', headers: { 'If-Match': `"${serving.revision}"` } })
    expect(await server.compute.ask('coverCard', kitchen, days)).toEqual(before)
  })

  it('tells of a database that is away in the words of its driver, so that it is known for what it is', () => {
    const away = new Error('Failed query: select', { cause: new Error('timeout exceeded when trying to connect') })
    const told = toMessage(1, away)
    expect(told.say === 'fail' && toError(structuredClone(told)).cause).toMatchObject({
      message: 'timeout exceeded when trying to connect',
    })
  })

  it('leaves a study when the one who asked does, and answers the next', async () => {
    const gone = new AbortController()
    const long = threads.ask('lineUp', kitchen, { ...brief, draws: 20_000 }, gone.signal)
    gone.abort()
    await expect(long).rejects.toBeInstanceOf(GoneAway)
    expect((await threads.ask('lineUp', kitchen, brief)).ranked.length).toBeGreaterThan(0)
  })

  it('asks too many at once to come back', async () => {
    const asked = Array.from({ length: 45 }, () =>
      threads.ask('sheetName', kitchen, {}).then(
        () => 'answered',
        (error: { code: string }) => error.code,
      ),
    )
    const ends = await Promise.all(asked)
    expect(ends.filter((end) => end === 'too-many')).toHaveLength(5)
    expect(ends.filter((end) => end === 'answered')).toHaveLength(40)
  })
})
