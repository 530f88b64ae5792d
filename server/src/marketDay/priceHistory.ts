import type { NormalisedBrief, PriceHistory, ResolvedOffer, Untold } from '@tender-gill/contract'
import { addDays, computePortionCost, findDay, listQuotes, normaliseBrief, sliceQuotes, toDayNumber, toIsoDate } from '@tender-gill/core'
import type { KitchenSheets } from '../sheets/kitchenSheets.ts'

/** Days shown, and how far apart the estimates stand. */
const DAYS_SHOWN = 400
const STEP_DAYS = 5
/** The portion whose cost is told beside a price. */
const PORTION = { dish: 'Price', method: 'roast', format: 'portion', portionG: 150, covers: 1 } as const

function plainBrief(sheets: KitchenSheets, date: string): Untold<NormalisedBrief> {
  const normalised = normaliseBrief({ ...PORTION, date }, { findSpecies: sheets.book.findSpecies, today: date })
  if (!normalised.ok) throw new RangeError('the brief of a plain portion is wrong')
  return normalised.value
}

/** The price of a species over time: in each of its offers and forms, what was asked, and what could be made of it on each day. */
export function createPriceHistory(sheets: KitchenSheets, species: string, date: string): PriceHistory | undefined {
  const offers = sheets.sheetOn(date).offers.filter((offer) => offer.species === species)
  const [first] = offers
  if (!first) return undefined
  const book = sheets.pricesOn(date)
  const brief = plainBrief(sheets, date)
  const from = toDayNumber(date) - DAYS_SHOWN
  const seriesOf = (offer: ResolvedOffer): PriceHistory['series'] =>
    offer.forms.flatMap(({ form }) => {
      const asked = book.quotesOf(offer, form)
      const estimate = book.estimateOn(offer, form, date)
      const [price] = offer.prices.filter((one) => one.form === form)
      if (!estimate || !asked || !price) return []
      const { currency } = asked
      const shown = listQuotes(sliceQuotes(asked.quotes, findDay(asked.quotes, from)))
      const start = shown[0] ? toIsoDate(shown[0].day) : date
      const steps = Array.from({ length: Math.floor(DAYS_SHOWN / STEP_DAYS) + 1 }, (_, i) => addDays(date, -i * STEP_DAYS)).filter(
        (day) => day >= start,
      )
      return [
        {
          ...{ offerId: offer.id, offer: offer.label, form, currency },
          // The sheet's own estimate: the group of the fish is in it.
          now: { ...estimate, perKg: price.perKg },
          usualPerKg: book.usualOf(offer, form),
          portionCost: computePortionCost(offer, form, brief),
          quotes: shown.map(({ day, logPerKg, source }) => ({
            date: toIsoDate(day),
            perKg: Math.exp(logPerKg),
            merchant: source.merchant,
          })),
          days: steps.reverse().flatMap((day) => {
            const then = book.estimateOn(offer, form, day)
            return then ? [{ date: day, perKg: then.perKg }] : []
          }),
        },
      ]
    })
  return { species, common: first.common, date, series: offers.flatMap(seriesOf).sort((a, b) => b.quotes.length - a.quotes.length) }
}
