import { parsePriceListDetail, parsePriceListReport } from '@tender-gill/contract/validators'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
let call: TestServer['call']
let merchantId: string
const post = (path: string, body?: object, kitchen?: string) => call(path, { method: 'POST', body, kitchen })
const merchant = { name: 'Quay & Daughters', delivers: [2, 3, 4, 5, 6], orderBy: '22:00', daysAhead: 1, minimumOrder: null, feed: null }
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
  // The demo's own lists would stand among those of the tests.
  for (const { id } of (await call('/api/price-lists')).body) await post(`/api/price-lists/${id}/undo`)
  merchantId = (await post('/api/merchants', { merchant })).body.id
})
afterAll(() => server.close())

const DAY = '2026-06-12'
const bring = async (text: string, patch: object = {}) => post('/api/price-lists', { merchantId, date: DAY, text, keep: 'all', ...patch })
const priceOf = async (species: string, form: string, date = '2026-06-13') =>
  (await call(`/api/offers?date=${date}`)).body.offers
    .filter((offer: { species: string; state: string; origin: string }) => offer.species === species && offer.state === 'fresh')
    .flatMap(({ prices }: { prices: { form: string; merchant: string | null }[] }) => prices)
    .filter((price: { form: string; merchant: string | null }) => price.form === form)
const takeBack = (id: string) => post(`/api/price-lists/${id}/undo`)

describe('a merchant’s list', () => {
  it('is read by its own headings, kept whole, and is in the offers of the day', async () => {
    const text = 'Fish;Cut;EUR/kg;Size\nJohn Dory;whole;18,50;1-2 kg\nMegrim;whole;9,20;\n'
    const report = (await bring(text)).body
    expect(parsePriceListReport(report).ok).toBe(true)
    expect(report).toMatchObject({
      rows: 2,
      good: 2,
      bad: [],
      open: [],
      same: false,
      reading: { decimal: ',', columns: { price: 'EUR/kg', form: 'Cut' } },
    })
    const detail = (await call(`/api/price-lists/${report.list.id}`)).body
    expect(parsePriceListDetail(detail).ok).toBe(true)
    expect(detail.quotes[0]).toMatchObject({
      species: 'Zeus faber',
      form: 'whole',
      price: 18.5,
      grade: '1-2 kg',
      merchant: 'Quay & Daughters',
      date: DAY,
    })
    expect(await priceOf('Zeus faber', 'whole')).toEqual(
      expect.arrayContaining([expect.objectContaining({ merchant: 'Quay & Daughters' })]),
    )
    expect((await call('/api/price-lists')).body).toEqual([report.list])
    expect((await takeBack(report.list.id)).body.takenBackAt).not.toBeNull()
    expect((await priceOf('Zeus faber', 'whole')).filter((price: { merchant: string }) => price.merchant === 'Quay & Daughters')).toEqual(
      [],
    )
    expect((await post(`/api/price-lists/${report.list.id}/restore`)).body.takenBackAt).toBeNull()
    await takeBack(report.list.id)
  })

  it('changes nothing the second time, and remembers how it is read', async () => {
    const text = 'what,each kilo\nZeus faber,18.5\n'
    const reading = {
      columns: { name: 'what', price: 'each kilo' },
      form: 'whole',
      unit: 'kg',
      currency: 'EUR',
      origin: null,
      state: null,
      decimal: '.',
    }
    const first = await bring(text, { reading })
    expect(first.status).toBe(201)
    const second = await bring(text)
    expect(second).toMatchObject({ status: 200, body: { same: true, list: { id: first.body.list.id } } })
    expect((await call(`/api/merchants/${merchantId}`)).body.merchant.reading).toEqual(reading)
    expect((await call('/api/price-lists')).body).toHaveLength(1)
    const again = await bring(text, { reading: { ...reading, form: 'gutted' } })
    expect(again.body.same).toBe(false)
    expect((await call('/api/price-lists')).body.map(({ id }: { id: string }) => id)).toEqual([again.body.list.id])
    await takeBack(again.body.list.id)
    await bring(text, { reading, keep: 'nothing' })
    expect((await call('/api/price-lists')).body).toEqual([])
  })

  it('keeps five thousand rows without the sixty bad ones, each named by line and column', async () => {
    const wrong = ['x', '-3', '', '1.2.3', 'cheap', '0']
    const rows = Array.from({ length: 5000 }, (_, i) =>
      i % 83 === 5 && i / 83 < 60
        ? `Zeus faber,whole,${wrong[i % wrong.length] ?? ''}`
        : `Zeus faber,whole,${(10 + (i % 70) / 10).toFixed(2)}`,
    )
    const bad = rows.flatMap((row, i) => (/,\d+\.\d\d$/.test(row) ? [] : [i + 2]))
    expect(bad).toHaveLength(60)
    const text = ['Fish,Cut,Price', ...rows].join('\n')
    const reading = {
      columns: { name: 'Fish', form: 'Cut', price: 'Price' },
      ...{ form: null, unit: 'kg', currency: 'EUR', origin: null, state: null, decimal: '.' },
    }
    const whole = (await bring(text, { reading })).body
    expect(whole).toMatchObject({ rows: 5000, good: 4940, list: null })
    expect(whole.bad.map(({ line }: { line: number }) => line)).toEqual(bad)
    expect(new Set(whole.bad.map(({ column }: { column: string }) => column))).toEqual(new Set(['Price']))
    expect((await call('/api/price-lists')).body).toEqual([])
    const kept = (await bring(text, { reading, keep: 'good' })).body
    expect(kept.list).toMatchObject({ quotes: 4940, bad: 60 })
    await takeBack(kept.list.id)
  })

  it('names what is wrong with a row: an unknown cut, unit, origin, state, currency, a piece without a weight, cells too many', async () => {
    const reading = {
      columns: { name: 'f', form: 'c', price: 'p', unit: 'u', origin: 'o', state: 's', currency: 'm', minimumKg: 'k', eachG: 'g' },
      ...{ form: 'whole', unit: 'kg', currency: 'EUR', origin: null, state: null, decimal: '.' },
    }
    const rows = [
      'Zeus faber,butterflied,9,,,,,,',
      'Zeus faber,,9,stone,,,,,',
      'Zeus faber,,9,,tame,,,,',
      'Zeus faber,,9,,,warm,,,',
      'Zeus faber,,9,,,,money,,',
      'Zeus faber,,9,each,,,,,',
      'Zeus faber,,9,,,,,lots,',
      'Zeus faber,,9,,,,,,,,',
      ',,9,,,,,,',
      'Zeus faber,,90,box,wild,fresh,GBP,5,6000',
    ]
    const report = (await bring(['f,c,p,u,o,s,m,k,g', ...rows].join('\n'), { reading, keep: 'good' })).body
    expect(report.bad.map(({ line, column }: { line: number; column: string | null }) => [line, column])).toEqual([
      [2, 'c'],
      [3, 'u'],
      [4, 'o'],
      [5, 's'],
      [6, 'm'],
      [7, 'g'],
      [8, 'k'],
      [9, null],
      [10, 'f'],
    ])
    const [quote] = (await call(`/api/price-lists/${report.list.id}`)).body.quotes
    expect(quote).toMatchObject({ unit: 'box', eachG: 6000, currency: 'GBP', minimumKg: 5, origin: 'wild', state: 'fresh' })
    await takeBack(report.list.id)
  })

  it('says that a list is empty, and which merchant is unknown', async () => {
    expect((await bring('')).body).toMatchObject({ rows: 0, list: null, bad: [{ line: 1 }] })
    expect((await post('/api/price-lists', { merchantId: 'nobody', date: DAY, text: 'a', keep: 'all' })).body.problems).toEqual([
      { path: '/merchantId', message: 'no such merchant' },
    ])
    expect((await call('/api/price-lists/nothing')).status).toBe(404)
    expect((await post('/api/price-lists/nothing/undo')).status).toBe(404)
  })
})

describe('the first reading of a list', () => {
  const guess = async (text: string) => (await bring(text, { keep: 'nothing' })).body
  it('takes headings merchants use, whatever parts the cells, and the sign before the decimals from the prices themselves', async () => {
    // The merchant of these tests is remembered by now: another one is not.
    const { id } = (await post('/api/merchants', { merchant: { ...merchant, name: 'New' } })).body
    const read = async (text: string) => (await bring(text, { merchantId: id, keep: 'nothing' })).body
    expect((await read('Product\tPrice per kg\tSize\nHaddock\t17.90\t1-2')).reading).toMatchObject({
      columns: { name: 'Product', price: 'Price per kg', grade: 'Size' },
      decimal: '.',
      form: 'whole',
    })
    expect((await read('Fish;Price\nHaddock;38,00\nLing;12\nHake;dear')).reading.decimal).toBe(',')
    expect((await read('a,b\n1,2')).reading.columns).toEqual({})
    expect((await guess('')).bad).toHaveLength(1)
  })
})

describe('a name on a list', () => {
  const reading = {
    columns: { name: 'Fish', price: 'Price' },
    ...{ form: 'whole', unit: 'kg', currency: 'EUR', origin: null, state: null, decimal: '.' },
  }
  it('that is shared or misspelt is asked once, waits meanwhile, and is remembered', async () => {
    const text = 'Fish,Price\nJon Dory,18\nZeus faber,19\nEmpty crates,2\n'
    const report = (await bring(text, { reading, keep: 'good' })).body
    expect(report.open.map(({ name, lines }: { name: string; lines: number[] }) => [name, lines])).toEqual([
      ['Jon Dory', [2]],
      ['Empty crates', [4]],
    ])
    expect(report.open[0].candidates[0].species).toBe('Zeus faber')
    expect(report.list).toMatchObject({ quotes: 1 })
    expect((await post('/api/settled-names', { names: [{ name: 'jon  DORY', species: 'Nemo nemo' }] })).body.problems[0].path).toBe(
      '/names/0/species',
    )
    const names = [
      { name: 'jon  DORY', species: 'Zeus faber' },
      { name: 'Empty crates', species: null },
    ]
    expect((await post('/api/settled-names', { names })).body).toEqual({ lists: 1 })
    const detail = (await call(`/api/price-lists/${report.list.id}`)).body
    expect(detail).toMatchObject({ open: [], list: { quotes: 2 } })
    const next = (await bring('Fish,Price\nJon Dory,17\nEmpty crates,2\n', { date: '2026-06-13' })).body
    expect(next).toMatchObject({ good: 1, open: [], bad: [] })
    for (const id of [report.list.id, next.list.id]) await takeBack(id)
  })

  it('is settled with the list that brings it, and only if that is kept', async () => {
    const text = 'Fish,Price\nSilver thing,18\n'
    const names = [{ name: 'Silver thing', species: 'Argyrosomus regius' }]
    expect((await bring(text, { reading, keep: 'nothing', names })).body).toMatchObject({ good: 1, list: null })
    expect((await bring(text, { reading, keep: 'nothing' })).body).toMatchObject({ good: 0 })
    const kept = (await bring(text, { reading, names })).body
    expect(kept.list).toMatchObject({ quotes: 1 })
    expect((await call('/api/settled-names')).body).toContainEqual({ name: 'silver thing', species: 'Argyrosomus regius' })
    expect((await bring(text, { reading, names: [{ name: 'x', species: 'Nemo nemo' }] })).body.problems).toEqual([
      { path: '/names/0/species', message: 'no fish named "Nemo nemo" in the book' },
    ])
    await takeBack(kept.list.id)
  })
})

describe('currencies', () => {
  it('are turned into the kitchen’s own by the latest rate on or before the day of the quote, and not without one', async () => {
    const text = 'Fish,Price\nChanos chanos,20\n'
    const reading = {
      columns: { name: 'Fish', price: 'Price' },
      ...{ form: 'whole', unit: 'kg', currency: 'GBP', origin: null, state: null, decimal: '.' },
    }
    const list = (await bring(text, { reading })).body.list
    expect((await priceOf('Chanos chanos', 'whole'))[0]).toMatchObject({ currency: 'GBP' })
    const rate = (date: string, worth: number) => post('/api/rates', { rate: { currency: 'GBP', date, worth } })
    const made = [await rate('2026-06-01', 1.2), await rate('2026-06-10', 1.25), await rate('2026-06-13', 2)]
    const [price] = await priceOf('Chanos chanos', 'whole')
    expect(price.currency).toBe('EUR')
    expect(price.perKg.typical).toBeCloseTo(25, 9)
    for (const { body } of made) await call(`/api/rates/${body.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    await takeBack(list.id)
  })
})

describe('the name of the day’s offers', () => {
  it('changes with every list and rate that comes or goes, and is what it was once all is taken back', async () => {
    const stamp = async () => (await call(`/api/sheets?date=${DAY}`)).body.snapshot
    const seen = [await stamp()]
    const { list } = (await bring('Fish,Price\nZeus faber,18\n')).body
    seen.push(await stamp())
    const rate = (await post('/api/rates', { rate: { currency: 'GBP', date: DAY, worth: 1.1 } })).body
    seen.push(await stamp())
    expect(new Set(seen).size).toBe(3)
    await call(`/api/rates/${rate.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    await takeBack(list.id)
    expect(await stamp()).toBe(seen[0])
  })
})

describe('another kitchen', () => {
  it('sees neither merchants nor lists of this one', async () => {
    const kept = (await bring('Fish,Price\nZeus faber,18\n')).body.list
    const kitchen = 'larch-cottage'
    expect((await call('/api/price-lists', { kitchen })).body).toEqual([])
    expect((await call(`/api/price-lists/${kept.id}`, { kitchen })).status).toBe(404)
    expect((await post(`/api/price-lists/${kept.id}/undo`, undefined, kitchen)).status).toBe(404)
    expect((await call(`/api/merchants/${merchantId}`, { kitchen })).status).toBe(404)
    expect((await post('/api/price-lists', { merchantId, date: DAY, text: 'a', keep: 'all' }, kitchen)).status).toBe(400)
    await takeBack(kept.id)
  })
})
