/** A merchant's list of five thousand rows, sixty of them bad, read through with its names. */
import { createOfferSheet } from '@tender-gill/catalogue'
import { createFishSearch } from '@tender-gill/names'
import { readPriceList } from '../../server/src/priceLists/readPriceList.ts'
import { medianMs, shown } from './measure.ts'

const { offers } = createOfferSheet('2026-06-13')
const search = createFishSearch(offers)
const names = [...new Set(offers.map(({ species }) => species))]
const ROWS = 5_000
const BAD = 60
const rows = Array.from(
  { length: ROWS },
  (_, i) => `${names[i % names.length] ?? ''},whole,${i % (ROWS / BAD) < 1 ? 'dear' : (8 + (i % 90) / 7).toFixed(2)}`,
)
const text = ['Fish,Cut,Price', ...rows].join('\n')
const half = ['Fish,Cut,Price', ...rows.slice(0, ROWS / 2)].join('\n')
const read = (list: string) =>
  readPriceList(
    { text: list, date: '2026-06-13', merchant: 'Bench' },
    { search, findExact: (name) => search.findExact(name), settled: new Map(), currency: 'EUR', commonOf: (species) => species },
  )
const { bad, quotes } = read(text)
const whole = medianMs(() => read(text), { warmUp: 3 })
const part = medianMs(() => read(half), { warmUp: 3 })
console.log(`${ROWS} rows: ${quotes.length} kept, ${bad.length} bad, ${shown(whole)}; ${(whole / part).toFixed(2)} times half as many`)
