import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DAY_MS } from '@tender-gill/core'
import { createServingRepository } from '../servings/servingRepository.ts'
import { resetDemo, seedDemo } from '../demo/seedDemo.ts'
import { computeToday } from '../kitchens/today.ts'
import { NOW, startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer({ writesPerMinute: 5 })
})
afterAll(() => server.close())

const brief = { dish: 'Skewers', method: 'grill' as const, format: 'chunk' as const }

describe('limits', () => {
  it('refuses the sixth write of a minute with 429, and still reads', async () => {
    const writes = []
    for (let i = 0; i < 6; i += 1) writes.push((await server.call('/api/servings', { method: 'POST', body: { brief } })).status)
    expect(writes).toEqual([201, 201, 201, 201, 201, 429])
    expect((await server.call('/api/servings')).status).toBe(200)
  })
})

describe('what is kept for undo', () => {
  it('can be put back on the 30th day and is forgotten after it', async () => {
    const onDay = (days: number) => createServingRepository(server.db, () => new Date(NOW.getTime() + days * DAY_MS))
    const made = await onDay(0).create('lantern-house', { brief })
    await onDay(0).remove('lantern-house', made.id, 1)
    await onDay(29.9).purge()
    expect(await onDay(29.9).restore('lantern-house', made.id)).toMatchObject({ deletedAt: null })
    await onDay(0).remove('lantern-house', made.id, 3)
    await onDay(30.1).purge()
    expect(await onDay(30.1).restore('lantern-house', made.id)).toBeUndefined()
  })
})

describe('the demo', () => {
  it('is laid once, and laid anew on request with dates before the day', async () => {
    await seedDemo(server.db, NOW)
    await resetDemo(server.db, NOW)
    const dishes = (await server.call('/api/servings')).body
    expect(dishes).toHaveLength(5)
    const prices = (await server.call('/api/prices')).body
    expect(prices.length).toBeGreaterThan(20)
    for (const { price } of prices) expect(price.date < '2026-06-13').toBe(true)
  })
})

describe('today', () => {
  it('is the calendar day of the kitchen’s own zone', () => {
    const late = new Date('2026-06-13T23:30:00Z')
    expect(computeToday(late, 'Atlantic/Azores')).toBe('2026-06-13')
    expect(computeToday(late, 'Europe/Paris')).toBe('2026-06-14')
  })
})
