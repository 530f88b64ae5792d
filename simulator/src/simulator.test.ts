import type { AddressInfo } from 'node:net'
import { afterEach, describe, expect, it } from 'vitest'
import { createSimulator, type Simulator } from './createSimulator.ts'
import { MERCHANTS, writeList } from './writeList.ts'

const open: { close: () => void }[] = []
afterEach(() => {
  for (const one of open.splice(0)) one.close()
})
async function start(): Promise<{ address: string; simulator: Simulator }> {
  const simulator = createSimulator({ seed: 'test', today: () => '2026-06-13' })
  const server = simulator.app.listen(0, '127.0.0.1')
  await new Promise((resolve) => server.once('listening', resolve))
  open.push({
    close: () => {
      simulator.close()
      server.closeAllConnections()
      server.close()
    },
  })
  return { address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`, simulator }
}
const year = Array.from({ length: 365 }, (_, i) => new Date(Date.UTC(2026, 0, 1 + i)).toISOString().slice(0, 10))

describe('the lists of a year', () => {
  const lists = MERCHANTS.flatMap((merchant) => year.map((date) => writeList(merchant, date, 'test')))
  it('are the same for the same seed and others for another', () => {
    const [merchant] = MERCHANTS
    if (!merchant) throw new Error('no merchant')
    expect(writeList(merchant, '2026-06-13', 'test')).toEqual(writeList(merchant, '2026-06-13', 'test'))
    expect(writeList(merchant, '2026-06-13', 'test')).not.toEqual(writeList(merchant, '2026-06-13', 'other'))
  })

  it('have storms, gluts, shortages, misspelt names and nonsense, each now and then', () => {
    const news = lists.map((list) => list.news).join('\n')
    for (const word of ['Storm', 'Fair', 'Plenty of', 'Little']) expect(news).toContain(word)
    const names = new Set(MERCHANTS.flatMap(({ wares }) => wares.map(({ name }) => name)))
    const rows = lists.flatMap((list) => list.rows)
    const share = (count: number) => count / rows.length
    expect(share(rows.filter(({ fish }) => !names.has(fish)).length)).toBeGreaterThan(0.01)
    expect(share(rows.filter(({ fish }) => !names.has(fish)).length)).toBeLessThan(0.06)
    const prices = rows.map(({ price }) => Number(price))
    expect(prices.some((price) => Number.isNaN(price))).toBe(true)
    expect(share(prices.filter((price) => !(price > 0.5 && price < 300)).length)).toBeLessThan(0.03)
  })

  it('keep each price about its middle, dearest about its month', () => {
    for (const list of lists)
      for (const { species, form, perKg } of list.truth) {
        const ware = MERCHANTS.flatMap(({ wares }) => wares).filter((one) => one.species === species && one.form === form)
        expect(ware.some((one) => perKg > one.perKg / 2.5 && perKg < one.perKg * 2.5)).toBe(true)
      }
  })
})

describe('the service', () => {
  it('gives JSON or CSV, and says who is there and who is not', async () => {
    const { address } = await start()
    const merchants = (await (await fetch(`${address}/merchants`)).json()) as { key: string; format: string; list: string }[]
    expect(merchants.map(({ format }) => format).sort()).toEqual(['csv', 'json', 'json'])
    for (const { format, list } of merchants) {
      const answer = await fetch(`${address}${list}?date=2026-06-10`)
      const text = await answer.text()
      expect(answer.headers.get('content-type')).toContain(format)
      expect(text).not.toContain('truth')
      if (format === 'csv') expect(text.split(/\r?\n/)[0]).toBe('Fish;Cut;Price;Unit;Weight g;Origin;State;Size;Minimum kg')
      else expect(JSON.parse(text)).toMatchObject({ date: '2026-06-10' })
    }
    expect((await fetch(`${address}/nobody/list`)).status).toBe(404)
    expect((await fetch(`${address}/play`, { method: 'POST' })).status).toBe(400)
    expect((await fetch(`${address}/trouble`, { method: 'PUT' })).status).toBe(400)
  })

  it('plays days one after the other and says each on the stream', async () => {
    const { address } = await start()
    const stream = await fetch(`${address}/stream`)
    const reader = stream.body?.getReader()
    await fetch(`${address}/play`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ from: '2026-01-01', days: 5, seconds: 0.05 }),
    })
    let heard = ''
    while (!heard.includes('2026-01-05')) {
      const { value, done } = (await reader?.read()) ?? { value: undefined, done: true }
      if (done) break
      heard += new TextDecoder().decode(value)
    }
    expect(heard.match(/event: list/g)).toHaveLength(5)
    await reader?.cancel()
  })
})
