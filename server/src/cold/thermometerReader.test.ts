import express from 'express'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { NOW, startTestServer, type TestServer } from '../testing/testServer.ts'
import { createThermometerReader } from './thermometerReader.ts'

let server: TestServer
let device: Server
let url = ''
let told: unknown[] = []
const asked: string[] = []
const problems: unknown[] = []
beforeAll(async () => {
  server = await startTestServer()
  const app = express()
  app.get('/thermometers/:name/readings', (req, res) => {
    asked.push(req.originalUrl)
    if (req.params.name === 'broken') res.status(500).end()
    else res.json(told)
  })
  device = createServer(app)
  await new Promise<void>((resolve) => device.listen(0, '127.0.0.1', resolve))
  url = `http://127.0.0.1:${(device.address() as AddressInfo).port}`
})
afterAll(async () => {
  device.close()
  await server.close()
})

const create = () => createThermometerReader({ db: server.db, now: () => NOW, url, onProblem: (problem) => problems.push(problem) })
const warmths = async (kitchen?: string): Promise<number[]> =>
  (await server.call('/api/cold-readings', { kitchen })).body.map((one: { celsius: number }) => one.celsius)
const place = (thermometer: string | null) => ({ place: { name: 'The back fridge', kind: 'fridge', usualC: 3, thermometer } })

describe('thermometers as outside devices', () => {
  it('are read for the places that name them, since the last reading, and what makes no sense is passed over', async () => {
    const before = (await warmths()).length
    await server.call('/api/cold-places', { method: 'POST', body: place('back'), kitchen: 'larch-cottage' })
    await server.call('/api/cold-places', { method: 'POST', body: place(null), kitchen: 'larch-cottage' })
    told = [
      { at: '2026-06-13T09:00:00Z', celsius: 3 },
      { at: '2026-06-13T09:10:00Z', celsius: 4 },
      { at: 'yesterday', celsius: 5 },
      { at: '2026-06-13T09:20:00Z', celsius: 'cold' },
      { at: '2030-01-01T00:00:00Z', celsius: 6 },
    ]
    const reader = create()
    await reader.readAll()
    expect(await warmths('larch-cottage')).toEqual([3, 4])
    // The demo's own kitchen has thermometers of its own: each was asked by its name.
    expect(asked.some((path) => path.startsWith('/thermometers/back/readings'))).toBe(true)
    asked.length = 0
    told = [
      { at: '2026-06-13T09:10:00Z', celsius: 4 },
      { at: '2026-06-13T09:30:00Z', celsius: 7 },
    ]
    await reader.readAll()
    expect(asked.find((path) => path.startsWith('/thermometers/back'))).toContain('since=2026-06-13T09:10:00.000Z')
    expect(await warmths('larch-cottage')).toEqual([3, 4, 7])
    expect((await warmths()).length).toBeGreaterThanOrEqual(before)
    await reader.hear({ name: 'back', at: '2026-06-13T09:40:00Z', celsius: 8 })
    await reader.hear({ name: 'nobody', at: '2026-06-13T09:40:00Z', celsius: 8 })
    await reader.hear('noise')
    expect(await warmths('larch-cottage')).toEqual([3, 4, 7, 8])
  })

  it('that fail are told, and the others are read all the same', async () => {
    await server.call('/api/cold-places', { method: 'POST', body: place('broken'), kitchen: 'larch-cottage' })
    told = [{ at: '2026-06-13T09:50:00Z', celsius: 9 }]
    problems.length = 0
    await create().readAll()
    expect(problems.map(String)).toEqual(['Error: the thermometer broken answered 500'])
    expect((await warmths('larch-cottage')).at(-1)).toBe(9)
  })
})

describe('the calendar of the cold', () => {
  it('has a task for each thing that is to be done, each under a name of its own that stays', async () => {
    const [first, again] = [await server.call('/api/cold-calendar'), await server.call('/api/cold-calendar')]
    expect(first.headers.get('content-type')).toContain('text/calendar')
    const text: string = first.body
    const names = (one: string) => [...one.matchAll(/^UID:(.+)$/gm)].map(([, name]) => name?.trim())
    expect(names(text).length).toBeGreaterThan(2)
    expect(new Set(names(text)).size).toBe(names(text).length)
    expect(names(again.body)).toEqual(names(text))
    expect(text).toContain('drain and renew the ice')
    expect(text).toContain('use by now')
    for (const [, start] of text.matchAll(/^DTSTART:(\S+)/gm)) expect(start && start > '20260613T').toBe(true)
  })
})
