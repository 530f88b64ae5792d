/**
 * How the market of a kitchen grows on a real database: three merchants' daily lists of sixty rows over 1, 3 and 10 years. A cold sheet is
 * the first after a start, or after a change of the lists; a warm one is asked for again; a typed price changes the kitchen and no list.
 */
import { createDesk, createLocalCompute } from '../../server/src/compute/index.ts'
import { migrateDatabase, openDatabase } from '../../server/src/database/openDatabase.ts'
import { DEMO_KITCHENS } from '../../server/src/demo/demoKitchens.ts'
import { seedDemo } from '../../server/src/demo/seedDemo.ts'
import { createKitchenRepository } from '../../server/src/kitchens/kitchenRepository.ts'
import { createPriceListRepository } from '../../server/src/priceLists/priceListRepository.ts'
import { createPriceSeriesRepository } from '../../server/src/priceSeries/priceSeriesRepository.ts'
import { NOW } from '../../server/src/testing/clock.ts'
import { startThrowAwayCluster } from '../../server/src/testing/cluster.ts'
import { addDays } from '@tender-gill/core'
import { sql } from 'drizzle-orm'
import { shown } from './measure.ts'

const TODAY = '2026-06-13'
const ROWS = 60
const cluster = await startThrowAwayCluster()
const { db, close } = openDatabase({ url: cluster.url, onBrokenConnection: () => undefined })
const now = () => NOW
await migrateDatabase(db)
await seedDemo(db, NOW)
const [demo] = DEMO_KITCHENS
if (!demo) throw new Error('no demo kitchen')
const found = await createKitchenRepository(db, now).find(demo.id)
if (!found) throw new Error('no demo kitchen')
const kitchen = found

const desk = createDesk(db, now)
const { offers } = await desk.books.read(kitchen.id)
const sold = [...new Map(offers.filter(({ state }) => state === 'fresh').map((offer) => [offer.species, offer])).values()].slice(0, ROWS)
const merchants = (await desk.merchants.list(kitchen.id)).slice(0, 3)
const wobble = (i: number, day: number): number =>
  0.2 * Math.cos((day / 365.25) * 2 * Math.PI + i) + 0.05 * Math.sin(i * 12.9898 + day * 78.233)

/** One day's list of each merchant, as rows of a file; years before the first are copied from it. */
async function layYear(): Promise<void> {
  const lists = createPriceListRepository(db, now)
  for (let back = 1; back <= 365; back += 1) {
    const date = addDays(TODAY, -back)
    for (const [m, { id, merchant }] of merchants.entries()) {
      const quotes = sold.map(({ species, origin, state, forms }, i) => ({
        ...{ species, origin, state, merchant: merchant.name, date, currency: 'EUR', unit: 'kg' as const },
        form: forms[i % forms.length]?.form ?? ('whole' as const),
        price: Math.round(100 * (8 + i / 3) * Math.exp(wobble(i, back) + m / 50)) / 100,
      }))
      const read = { headings: [], sample: [], rows: ROWS, reading: (merchant.reading ?? {}) as never, quotes, bad: [], open: [] }
      await lists.keep(kitchen.id, { merchantId: id, date, source: 'feed', fileName: null, text: `${date} ${m}`, read })
    }
  }
}
/** The lists of a year once more, so many years earlier. */
async function copyYear(years: number): Promise<void> {
  const name = sql.raw(`'-${years}'`)
  const days = sql.raw(String(365 * years))
  await db.execute(sql`insert into price_lists (kitchen_id, id, merchant_id, date, source, file_name, kept_at, taken_back_at, text, reading, text_hash,
    content_hash, bad, open, quote_count, bad_count) select kitchen_id, id || ${name}, merchant_id, date - ${days}, source, file_name, kept_at, taken_back_at, text, reading,
    text_hash || ${name}, content_hash || ${name}, bad, open, quote_count, bad_count from price_lists where source = 'feed' and id not like '%-_'`)
  await db.execute(sql`insert into quotes select kitchen_id, list_id || ${name}, line, species, form, origin, state, part, grade, merchant, date - ${days}, price, currency,
    unit, each_g, minimum_kg, glaze from quotes where list_id in (select id from price_lists where source = 'feed' and id not like '%-_')`)
}

/** The middle of some runs, ms. */
async function time(work: () => Promise<unknown>, runs = 5): Promise<number> {
  const times: number[] = []
  for (let i = 0; i < runs; i += 1) {
    const began = performance.now()
    await work()
    times.push(performance.now() - began)
  }
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)] ?? Number.NaN
}
const changed = () => db.execute(sql`update kitchens set version = version + 1 where id = ${kitchen.id}`)

async function measure(): Promise<ReadonlyMap<string, number>> {
  const warm = createDesk(db, now)
  const sheet = async (from = warm) => (await from.openSheets(kitchen)).sheetOn(TODAY)
  await sheet()
  const compute = createLocalCompute(warm)
  const never = new AbortController().signal
  const results = new Map<string, number>()
  results.set('a cold sheet', await time(async () => sheet(createDesk(db, now))))
  results.set('a warm sheet', await time(() => sheet(), 9))
  results.set(
    'a sheet after a change',
    await time(async () => {
      await changed()
      return sheet()
    }),
  )
  results.set('the slab', await time(() => compute.ask('slab', kitchen, {}, never), 3))
  results.set('alerts', await time(() => compute.ask('alerts', kitchen, null, never), 3))
  results.set('the cover card', await time(() => compute.ask('coverCard', kitchen, { from: TODAY, to: addDays(TODAY, 6) }, never), 3))
  results.set('the price of one fish over time', await time(() => compute.ask('priceHistory', kitchen, { name: 'Gadus morhua' }, never), 3))
  return results
}

const began = performance.now()
await layYear()
await db.execute(sql`analyze`)
console.log(`lists laid, ${shown((performance.now() - began) / (3 * 365))} each`)
let first: ReadonlyMap<string, number> | undefined
let laid = 1
for (const years of [1, 3, 10]) {
  for (; laid < years; laid += 1) await copyYear(laid)
  if (years > 1) await createPriceSeriesRepository(db).lay(kitchen.id)
  await db.execute(sql`analyze`)
  await changed()
  const now = await measure()
  for (const [what, ms] of now) {
    const then = first?.get(what)
    console.log(
      `${years} ${years === 1 ? 'year' : 'years'} of lists: ${what} ${shown(ms)}${then === undefined ? '' : `, ${(ms / then).toFixed(1)} times one year`}`,
    )
  }
  first ??= now
}
await close()
cluster.stop()
cluster.destroy()
