/** A buy sheet over sixty servings of six dishes, from two merchants with 110 rows on their lists. */
import { createOfferSheet } from '@tender-gill/catalogue'
import type { Brief, Price } from '@tender-gill/contract'
import { applyMarket, createFindSpecies, writeBuySheet } from '@tender-gill/core'
import { medianMs, shown } from './measure.ts'

const today = '2026-06-13'
const bare = createOfferSheet(today)
const sold = [...new Set(bare.offers.map(({ species }) => species))].filter((_, i) => i % 4 === 0)
const FORMS = ['whole', 'fillet-skin-on'] as const
const prices = sold.flatMap((species, i) =>
  FORMS.map((form): Price => {
    const merchant = i % 2 === 0 ? 'Quay' : 'Boats'
    return { species, form, price: 8 + (i % 20), currency: 'EUR', unit: 'kg', merchant, date: today }
  }),
)
const laid = { prices }
const sheet = {
  ...bare,
  offers: [...applyMarket(bare.offers, laid, { date: today, waters: null, findSpecies: createFindSpecies(bare.offers) })],
}
const WAYS: readonly Pick<Brief, 'method' | 'format'>[] = [
  { method: 'grill', format: 'chunk' },
  { method: 'poach', format: 'portion' },
  { method: 'stew', format: 'chunk' },
  { method: 'deep-fry', format: 'fillet-skinless' },
  { method: 'roast', format: 'fillet-skin-on' },
  { method: 'pan-sear', format: 'portion' },
]
const dishes = Array.from({ length: 60 }, (_, i) => {
  const way = WAYS[i % WAYS.length] ?? { method: 'poach', format: 'portion' }
  return { id: `dish-${i}`, revision: 1, choice: null, brief: { dish: `Dish ${i}`, ...way, covers: 10 + i, date: '2026-06-15' } }
})
const merchants = ['Quay', 'Boats'].map((name) => ({
  ...{ name, delivers: [1, 2, 3, 4, 5, 6, 7], orderBy: '21:00', daysAhead: 1, minimumOrder: null, feed: null },
}))
const write = () =>
  writeBuySheet(
    { from: today, to: '2026-06-19' },
    { today, dishes, sheetOf: () => sheet, quotes: prices, merchants, purchases: [], now: { date: today, time: '10:00' } },
  )
console.log(`a buy sheet over 60 servings: ${shown(medianMs(write, { warmUp: 6 }))} (aim under 100 ms)`)
