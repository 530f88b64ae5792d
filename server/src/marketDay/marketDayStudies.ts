import type { DecisionAlert, PriceHistory, Slab } from '@tender-gill/contract'
import { stepAlerts, stepSlab, type DecidedDish } from '@tender-gill/core'
import type { Study } from '../compute/study.ts'
import { notFound } from '../http/errors.ts'
import { computeHour } from '../kitchens/today.ts'
import { createPriceHistory } from './priceHistory.ts'

const slab: Study<{ readonly date?: string }, Slab> = async (desk, kitchen, asked) => {
  const { id, today, zone } = kitchen
  const date = asked.date ?? today
  const { sheetOf, pricesOn } = await desk.openSheets(kitchen)
  return stepSlab({
    ...{ today, date, sheetOf, dishes: await desk.servings.list(id) },
    now: { date: today, time: computeHour(desk.now(), zone) },
    merchants: (await desk.merchants.list(id)).map(({ merchant }) => merchant),
    usualOf: pricesOn(date).usualOf,
  })
}

const priceHistory: Study<{ readonly name: string; readonly date?: string }, PriceHistory> = async (desk, kitchen, { name, date }) => {
  const sheets = await desk.openSheets(kitchen)
  const species = sheets.book.findSpecies(name)
  const history = species && createPriceHistory(sheets, species, date ?? kitchen.today)
  if (!history) throw notFound('No such fish')
  return history
}

const alerts: Study<null, DecisionAlert[]> = async (desk, kitchen) => {
  const { sheetOf } = await desk.openSheets(kitchen)
  const standing = await desk.decisions.listStanding(kitchen.id)
  const decided = (await desk.servings.list(kitchen.id)).flatMap((kept): DecidedDish[] => {
    const then = standing.get(kept.id)
    const { choice } = kept
    return choice && then && then.offerId === choice.offerId ? [{ kept, choice, then }] : []
  })
  return stepAlerts(decided, { today: kitchen.today, sheetOf })
}

/** What the day does to the kitchen: the slab, the price of one fish over time, and what happened to decisions already taken. */
export const marketDayStudies = { slab, priceHistory, alerts }
