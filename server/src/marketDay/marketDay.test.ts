import { parseDecisionAlert, parsePriceHistory, parseSlab } from '@tender-gill/contract/validators'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())
const post = (path: string, body?: object) => call(path, { method: 'POST', body })

describe('the slab of a day', () => {
  it('has the demo’s fish with what is good about them, dishes, and until when to order', async () => {
    const slab = (await call('/api/slab')).body
    expect(parseSlab(slab).ok).toBe(true)
    expect(slab.fish.length).toBeGreaterThan(15)
    const [first] = slab.fish
    expect(first.because.length).toBeGreaterThan(0)
    expect(slab.fish.some(({ dishes }: { dishes: unknown[] }) => dishes.length > 0)).toBe(true)
    // The tests' clock stands on a Saturday at noon.
    const hessle = slab.fish.find(({ merchant }: { merchant: string }) => merchant === 'Hessle Quay Fish')
    expect(hessle.order).toEqual({ merchant: 'Hessle Quay Fish', delivery: '2026-06-16', orderBy: { date: '2026-06-15', time: '21:00' } })
    expect((await call('/api/slab?date=tomorrow')).status).toBe(400)
  })

  it('is empty of prices in a kitchen that has none on a list of late', async () => {
    const kitchen = 'larch-cottage'
    const slab = (await call('/api/slab?date=2027-06-01', { kitchen })).body
    expect(slab.fish).toEqual([])
  })
})

describe('the price of one fish', () => {
  it('is told over the year with what it rests on', async () => {
    const history = (await call('/api/price-history/Gadus%20morhua')).body
    expect(parsePriceHistory(history).ok).toBe(true)
    const [series] = history.series
    expect(series).toMatchObject({ form: 'fillet-skin-on', currency: 'EUR' })
    expect(series.quotes.length).toBeGreaterThan(30)
    expect(series.days.length).toBeGreaterThan(50)
    expect(series.days.at(-1).date).toBe('2026-06-13')
    expect(series.now.perKg.typical).toBeGreaterThan(18)
    expect(series.now.perKg.typical).toBeLessThan(28)
    expect(series.portionCost.typical).toBeGreaterThan(series.now.perKg.typical * 0.15)
    for (const { perKg } of series.days) expect(perKg.low <= perKg.typical && perKg.typical <= perKg.high).toBe(true)
    expect((await call('/api/price-history/Nemo%20nemo')).status).toBe(404)
    expect((await call('/api/price-history/Latimeria%20x')).status).toBe(404)
  })

  it('changes with the date', async () => {
    const priceOn = async (date: string) =>
      (await call(`/api/price-history/Scomber%20scombrus?date=${date}`)).body.series[0].now.perKg.typical
    expect(await priceOn('2026-02-20')).toBeGreaterThan((await priceOn('2026-06-13')) * 1.2)
  })
})

describe('alerts', () => {
  it('mark a dish whose fish a new list has made too dear, and clear when the list is taken back', async () => {
    const brief = { dish: 'Pie', method: 'poach', format: 'chunk', covers: 10, draws: 100, budget: { perPortion: 6, currency: 'EUR' } }
    const choice = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skin-on' }
    const { id } = (await post('/api/servings', { brief, choice })).body
    await post('/api/decisions', { servingId: id, ...choice })
    const mine = async () => (await call('/api/alerts')).body.filter(({ servingId }: { servingId: string }) => servingId === id)
    expect(await mine()).toEqual([])
    const [cheap, dear] = ['2026-06-12', '2026-06-13'].map((date) => ({
      ...{ merchantId: 'hessle-quay', date, keep: 'all' },
      text: 'name,form,price,unit\nGadus morhua,fillet-skin-on,39,kg\n',
    }))
    const reading = {
      columns: { name: 'name', form: 'form', price: 'price', unit: 'unit' },
      ...{ form: null, unit: 'kg', currency: 'EUR', origin: null, state: null, decimal: '.' },
    }
    const kept = [await post('/api/price-lists', { ...cheap, reading }), await post('/api/price-lists', { ...dear, reading })]
    const [alert] = await mine()
    expect(parseDecisionAlert(alert).ok).toBe(true)
    expect(alert).toMatchObject({ dish: 'Pie', common: 'Atlantic cod', kind: 'over-budget' })
    for (const { body } of kept) await post(`/api/price-lists/${body.list.id}/undo`)
    expect(await mine()).toEqual([])
  })
})
