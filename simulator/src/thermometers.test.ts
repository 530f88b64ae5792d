import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { createThermometers, PLAYS, playWarmth, type Reading } from './thermometers.ts'

const NOW = new Date('2026-06-13T12:00:00Z')
const { app, tick, close } = createThermometers({ now: () => NOW })
let address = ''
let stop: () => void
beforeAll(async () => {
  await new Promise<void>((resolve) => {
    const server = app.listen(0, '127.0.0.1', () => {
      address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
      resolve()
    })
    stop = () => server.close()
  })
})
afterAll(() => {
  close()
  stop()
})
const read = async (name: string, since?: string): Promise<Reading[]> =>
  (await (await fetch(`${address}/thermometers/${name}/readings${since ? `?since=${since}` : ''}`)).json()) as Reading[]

describe('the thermometers of the demo', () => {
  it('remember some days, a reading every ten minutes, and tell them since a moment', async () => {
    const all = await read('low-fridge')
    expect(all.length).toBe(3 * 24 * 6)
    expect(all.every(({ celsius }) => celsius > 0 && celsius < 5)).toBe(true)
    expect(await read('low-fridge', '2026-06-13T11:30:00Z')).toHaveLength(3)
    expect((await fetch(`${address}/thermometers/cellar/readings`)).status).toBe(404)
  })

  it('play a fridge that failed for a night and was mended', async () => {
    const walkIn = await read('walk-in')
    const at = (hoursAgo: number) =>
      walkIn.find(({ at: moment }) => moment === new Date(NOW.getTime() - hoursAgo * 3_600_000).toISOString())?.celsius ?? 0
    expect(at(15)).toBeLessThan(5)
    expect(at(8)).toBeGreaterThan(9)
    expect(at(2)).toBeLessThan(5)
  })

  it('read the same at the same moment, whoever asks', () => {
    for (const play of PLAYS) expect(playWarmth(play, NOW.getTime(), 0)).toBe(playWarmth(play, NOW.getTime(), 0))
  })

  it('tell what they read from now on to whoever listens', async () => {
    const gone = new AbortController()
    const answer = await fetch(`${address}/stream`, { signal: gone.signal })
    const reader = answer.body?.pipeThrough(new TextDecoderStream()).getReader()
    await reader?.read()
    tick()
    let heard = ''
    while (!PLAYS.every(({ name }) => heard.includes(`"name":"${name}"`))) heard += (await reader?.read())?.value ?? ''
    expect(heard).toContain('event: reading')
    gone.abort()
  })
})
