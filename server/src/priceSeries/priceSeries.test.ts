import fc from 'fast-check'
import { eq } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { listQuotes, mergeSeries, readSeries, type PriceSeries } from '@tender-gill/core'
import { merchants, priceLists, priceSeries } from '../database/schema/index.ts'
import { createPriceListRepository } from '../priceLists/priceListRepository.ts'
import type { ReadList } from '../priceLists/readPriceList.ts'
import { NOW, startTestServer, type TestServer } from '../testing/testServer.ts'
import { createListedPrices } from './listedPrices.ts'
import { packQuotes, unpackQuotes } from './packQuotes.ts'
import { createPriceSeriesRepository } from './priceSeriesRepository.ts'

const KITCHEN = 'lantern-house'
const TODAY = '2026-06-13'
let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

describe('packed quotes', () => {
  it('are read as they were written, and laid end to end are the quotes of both', () => {
    const source = fc.double({ min: 0, max: 0.5, noNaN: true }).map((glaze) => ({ merchant: 'Holt', glaze, id: null, dated: true }))
    const quote = fc.record({ day: fc.integer({ min: -10_000, max: 60_000 }), logPerKg: fc.double({ noNaN: true }), source })
    fc.assert(
      fc.property(fc.array(quote), fc.array(quote), (a, b) => {
        expect(listQuotes(unpackQuotes(Buffer.concat([packQuotes(a), packQuotes(b)]), 'Holt'))).toEqual([...a, ...b])
      }),
    )
    expect(() => unpackQuotes(Buffer.alloc(7), null)).toThrow('no whole number of quotes')
  })
})

describe('the price series of a kitchen', () => {
  const reading = {
    columns: {},
    form: 'whole',
    unit: 'kg',
    currency: 'EUR',
    decimal: '.',
    origin: null,
    state: null,
    dateFormat: null,
  } as never
  const read = (prices: readonly number[], species: string): ReadList => ({
    ...{ headings: [], sample: [], rows: prices.length, reading, bad: [], open: [] },
    quotes: prices.map((price, i) => ({ species, form: i % 2 ? 'whole' : 'loin', price, currency: 'EUR', unit: 'kg', merchant: 'Holt' })),
  })
  /** In an order of their own. */
  const told = (series: readonly PriceSeries[]) =>
    [...series]
      .sort((a, b) => (`${a.species}${a.form}${a.origin}${a.state}` < `${b.species}${b.form}${b.origin}${b.state}` ? -1 : 1))
      .map((one) => ({ ...one, quotes: listQuotes(one.quotes) }))

  /** What the lists that count say, folded from their rows. */
  async function fold(): Promise<readonly PriceSeries[]> {
    const lists = createPriceListRepository(server.db, () => NOW)
    const details = await Promise.all((await lists.list(KITCHEN)).map(({ id }) => lists.readDetail(KITCHEN, id)))
    return mergeSeries(
      details.flatMap((detail) =>
        readSeries(
          (detail?.quotes ?? []).map((quote) => ({ date: detail?.list.date ?? '', ...quote })),
          TODAY,
        ),
      ),
    )
  }

  it('is what the lists that count say, whatever was kept, replaced, taken back, put back and read again', async () => {
    const [merchant] = await server.db.select().from(merchants).where(eq(merchants.kitchenId, KITCHEN))
    const merchantId = merchant?.id ?? ''
    const lists = createPriceListRepository(server.db, () => NOW)
    const readListed = createListedPrices(server.db)
    const kept: string[] = []
    const keep = async (date: string, source: 'file' | 'feed', prices: readonly number[], species: string) => {
      const { list } = await lists.keep(KITCHEN, {
        merchantId,
        date,
        source,
        fileName: null,
        text: prices.join('\n'),
        read: read(prices, species),
      })
      kept.push(list.id)
    }
    const check = async () => expect(told((await readListed(KITCHEN, TODAY)).series)).toEqual(told(await fold()))
    await check()
    const one = fc.tuple(
      fc.constantFrom('2026-03-31', '2026-04-01', '2026-06-12'),
      fc.constantFrom('file' as const, 'feed' as const),
      fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 1, maxLength: 3 }),
      fc.constantFrom('Zeus faber', 'Gadus morhua'),
      fc.constantFrom('keep', 'keep', 'back', 'put', 'again'),
      fc.nat(),
    )
    const stamps = new Map<string, string>()
    for (const [date, source, prices, species, action, at] of fc.sample(one, { seed: 7, numRuns: 24 })) {
      const id = kept[at % Math.max(1, kept.length)]
      if (action === 'keep' || !id) await keep(date, source, prices, species)
      else if (action === 'again') {
        const [row] = await server.db.select().from(priceLists).where(eq(priceLists.id, id))
        expect(await lists.takeReading(KITCHEN, { id, contentHash: row?.contentHash ?? '', read: read(prices, species) })).toBe(true)
      } else await lists.setStanding(KITCHEN, id, action === 'put')
      await check()
      const { stamp, series } = await readListed(KITCHEN, TODAY)
      const said = JSON.stringify(told(series))
      expect(stamps.get(stamp ?? '') ?? said).toBe(said)
      stamps.set(stamp ?? '', said)
    }
    expect(stamps.size).toBeGreaterThan(15)
  })

  it('is laid from the quotes where an earlier version had none, and laid again stays as it is', async () => {
    const before = told((await createListedPrices(server.db)(KITCHEN, TODAY)).series)
    expect(before.length).toBeGreaterThan(5)
    await server.db.delete(priceSeries)
    await createPriceSeriesRepository(server.db).layMissing()
    expect(told((await createListedPrices(server.db)(KITCHEN, TODAY)).series)).toEqual(before)
    await createPriceSeriesRepository(server.db).lay(KITCHEN)
    expect(told((await createListedPrices(server.db)(KITCHEN, TODAY)).series)).toEqual(before)
  })
})
