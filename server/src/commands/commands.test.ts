import { eq, sql } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { changes, commands, kitchens } from '../database/schema/index.ts'
import { RequestFailure } from '../http/errors.ts'
import { NOW, startTestServer, type TestServer } from '../testing/testServer.ts'
import { commitChange, purgeCommands } from './index.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())

const brief = { dish: 'Once', method: 'grill', format: 'chunk', draws: 200 }
const dishes = async () => (await call('/api/servings')).body as { id: string; brief: { dish: string } }[]
const version = async () => (await server.db.select().from(kitchens).where(eq(kitchens.id, 'lantern-house')))[0]?.version ?? -1
const order = { kitchenId: 'lantern-house', actor: 'test', touches: ['dish'] as const, key: null }
const deps = () => ({ db: server.db, now: () => NOW })
const told = { status: 200, headers: {}, body: {} }

/** Opens the stream of changes of a kitchen and gathers what it says. */
const listen = async (kitchen: string) => {
  const stop = new AbortController()
  const answer = await fetch(`${server.address}/api/kitchens/${kitchen}/changes`, { signal: stop.signal })
  const reader = answer.body?.pipeThrough(new TextDecoderStream()).getReader()
  let text = ''
  const read = (async () => {
    for (;;) {
      const { value, done } = (await reader?.read().catch(() => undefined)) ?? { value: undefined, done: true }
      if (done) return
      text += value
    }
  })()
  return { heard: () => text, stop: async () => (stop.abort(), read) }
}

describe('a command that is sent again', () => {
  it('under its key is carried out once, and answered as it was', async () => {
    const before = (await dishes()).length
    const send = (dish = 'Once') =>
      call('/api/servings', { method: 'POST', body: { brief: { ...brief, dish } }, headers: { 'Idempotency-Key': 'key-1' } })
    const [first, ...again] = [await send(), await send(), await send()]
    expect(first.status).toBe(201)
    for (const answer of again) {
      expect([answer.status, answer.body]).toEqual([first.status, first.body])
      expect(answer.headers.get('location')).toBe(first.headers.get('location'))
    }
    expect(await dishes()).toHaveLength(before + 1)
    expect(await send('Another')).toMatchObject({ status: 400 })
    expect(await dishes()).toHaveLength(before + 1)
  })

  it('at the same moment is carried out once all the same', async () => {
    const before = (await dishes()).length
    const answers = await Promise.all(
      Array.from({ length: 6 }, () =>
        call('/api/servings', { method: 'POST', body: { brief }, headers: { 'Idempotency-Key': 'key-at-once' } }),
      ),
    )
    expect(new Set(answers.map(({ body }) => body.id)).size).toBe(1)
    expect(await dishes()).toHaveLength(before + 1)
  })

  it('after a change that was lost on the way is no conflict with oneself', async () => {
    const { id } = (await call('/api/servings', { method: 'POST', body: { brief } })).body
    const save = () =>
      call(`/api/servings/${id}`, {
        method: 'PUT',
        body: { brief: { ...brief, covers: 9 } },
        headers: { 'If-Match': '"1"', 'Idempotency-Key': `save-${id}` },
      })
    expect([(await save()).status, (await save()).status]).toEqual([200, 200])
    expect((await call(`/api/servings/${id}`)).body.revision).toBe(2)
  })

  it('is a new one once its key is forgotten, 30 days later', async () => {
    const keys = async () => (await server.db.select().from(commands)).length
    expect(await keys()).toBeGreaterThan(0)
    await purgeCommands({ db: server.db, now: () => new Date('2026-07-12T00:00:00Z') })
    expect(await keys()).toBeGreaterThan(0)
    await purgeCommands({ db: server.db, now: () => new Date('2026-07-15T00:00:00Z') })
    expect(await keys()).toBe(0)
  })

  it('is refused with a key of no letters, or of too many', async () => {
    const send = (key: string) => call('/api/servings', { method: 'POST', body: { brief }, headers: { 'Idempotency-Key': key } })
    expect((await send('x'.repeat(81))).status).toBe(400)
  })
})

describe('a change', () => {
  it('raises the version of its kitchen alone, and is in the log with what it touched and who asked', async () => {
    const before = await version()
    const { id } = (await call('/api/servings', { method: 'POST', body: { brief }, headers: { Client: 'a-page' } })).body
    expect(await version()).toBe(before + 1)
    const rows = await server.db
      .select()
      .from(changes)
      .where(eq(changes.version, before + 1))
    expect(rows.map(({ kitchenId, entity, entityId, actor }) => [kitchenId, entity, entityId, actor]).sort()).toEqual([
      ['lantern-house', 'dish', '', 'a-page'],
      ['lantern-house', 'serving', '', 'a-page'],
      ['lantern-house', 'serving', id, 'a-page'],
    ])
  })

  it('that is refused leaves neither a version nor a line in the log', async () => {
    const before = await version()
    await call('/api/servings', { method: 'POST', body: { brief: { ...brief, covers: -1 } } })
    await call('/api/servings/nothing-here', { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    const fail = commitChange(deps(), order, async () => Promise.reject(new RequestFailure('invalid', 'no')))
    await expect(fail).rejects.toThrow('no')
    expect(await version()).toBe(before)
  })

  it('stands in line behind another of its kitchen, and is tried again when the database tells it to', async () => {
    let tries = 0
    const dead = Object.assign(new Error('deadlock detected'), { code: '40P01' })
    const answer = await commitChange(deps(), order, async () => {
      tries += 1
      if (tries < 3) throw dead
      return told
    })
    expect([answer, tries]).toEqual([told, 3])
    await expect(
      commitChange(deps(), order, async () => {
        throw dead
      }),
    ).rejects.toMatchObject({ code: 'conflict' })
  })

  it('ends with a word when its connection is cut in the middle, and the server goes on', async () => {
    const cut = commitChange(deps(), order, async (tx) => {
      const { rows } = await tx.execute<{ pid: number }>(sql`select pg_backend_pid() as pid`)
      await server.db.execute(sql`select pg_terminate_backend(${rows[0]?.pid ?? 0})`)
      // The connection breaks while nobody is asking it anything.
      await new Promise((resolve) => setTimeout(resolve, 50))
      await tx.execute(sql`select 1`)
      return told
    })
    await expect(cut).rejects.toThrow()
    expect((await call('/api/health')).status).toBe(200)
  })

  it('is told to whoever listens to its kitchen, and to nobody else', async () => {
    const here = await listen('lantern-house')
    const there = await listen('larch-cottage')
    await expect.poll(here.heard).toContain('event: version')
    const { id } = (await call('/api/servings', { method: 'POST', body: { brief }, headers: { Client: 'another-page' } })).body
    await expect.poll(here.heard).toContain(`["serving","${id}"]`)
    expect(here.heard()).toContain('"actor":"another-page"')
    expect(there.heard()).not.toContain('event: change')
    expect((await fetch(`${server.address}/api/kitchens/nowhere/changes`)).status).toBe(404)
    await Promise.all([here.stop(), there.stop()])
  })

  it('is not missed by who listens although the database was not heard for a while', async () => {
    const here = await listen('lantern-house')
    await expect.poll(here.heard).toContain('event: version')
    await server.db.execute(
      sql`select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and query like 'listen %'`,
    )
    const { id } = (await call('/api/servings', { method: 'POST', body: { brief } })).body
    const told = async () => here.heard().includes(`"version":${await version()}`) || here.heard().includes(`["serving","${id}"]`)
    await expect.poll(told, { timeout: 20_000 }).toBe(true)
    await here.stop()
  })
})
