/** How the laying of a day's sheet grows with the lists of a kitchen: three merchants' daily lists of sixty rows over 1, 3 and 10 years. */
import { createOfferSheet } from '@tender-gill/catalogue'
import type { Price } from '@tender-gill/contract'
import { addDays, applyMarket, createFindSpecies } from '@tender-gill/core'
import { shown } from './measure.ts'

const today = '2026-06-13'
const { offers } = createOfferSheet(today)
const findSpecies = createFindSpecies(offers)
const sold = [...new Map(offers.filter(({ state }) => state === 'fresh').map((offer) => [offer.species, offer])).values()].slice(0, 60)
/** Days of lists that are read: older ones say nothing of today. */
const READ_DAYS = 800

const wobble = (i: number, day: number): number =>
  0.2 * Math.cos((day / 365.25) * 2 * Math.PI + i) + 0.05 * Math.sin(i * 12.9898 + day * 78.233)
const listsOf = (years: number): Price[] =>
  Array.from({ length: Math.min(READ_DAYS, Math.round(years * 365)) }, (_, back) => addDays(today, -back)).flatMap((date, back) =>
    ['Hessle Quay', 'Marrow Market', 'Outer Banks'].flatMap((merchant, m) =>
      sold.map(({ species, origin, state, forms }, i): Price => ({
        ...{ species, origin, state, merchant, date, currency: 'EUR', unit: 'kg', form: forms[i % forms.length]?.form ?? 'whole' },
        price: Math.round(100 * (8 + i / 3) * Math.exp(wobble(i, back) + m / 50)) / 100,
      })),
    ),
  )

let first: number | undefined
for (const years of [1, 3, 10]) {
  const prices = listsOf(years)
  const times = Array.from({ length: 5 }, () => {
    const began = performance.now()
    applyMarket(offers, { prices }, { date: today, waters: null, findSpecies })
    return performance.now() - began
  }).sort((a, b) => a - b)
  const ms = times[2] ?? Number.NaN
  console.log(
    `${years} ${years === 1 ? 'year' : 'years'} of lists, ${prices.length} quotes read: ${shown(ms)}${first === undefined ? '' : `, ${(ms / first).toFixed(1)} times one year`}`,
  )
  first ??= ms
}
