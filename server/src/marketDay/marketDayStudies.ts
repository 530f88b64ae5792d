import type { DecisionAlert, PriceHistory, ServingRecord, Slab, Untold } from '@tender-gill/contract'
import { isOver, listComing, pickPerDish, stepAlerts, stepSlab, type DecidedDish, type KeptDish } from '@tender-gill/core'
import type { Study } from '../compute/study.ts'
import { notFound } from '../http/errors.ts'
import { computeHour } from '../kitchens/today.ts'
import { createPriceHistory } from './priceHistory.ts'

/** Every dish of the house once, on the day asked if it was last served before that. */
const dishesOn = (servings: readonly ServingRecord[], date: string): readonly KeptDish[] =>
  pickPerDish(servings, date).map((serving) => (isOver(serving, date) ? { ...serving, brief: { ...serving.brief, date } } : serving))

const slab: Study<{ readonly date?: string }, Untold<Slab>> = async (desk, kitchen, asked) => {
  const { id, today, zone } = kitchen
  const date = asked.date ?? today
  const { sheetOf, pricesOn } = await desk.openSheets(kitchen)
  return stepSlab({
    ...{ today, date, sheetOf, dishes: dishesOn(await desk.servings.list(id), date) },
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

const alerts: Study<null, Untold<DecisionAlert[]>> = async (desk, kitchen) => {
  const { sheetOf } = await desk.openSheets(kitchen)
  const standing = await desk.decisions.listStanding(kitchen.id)
  const coming = listComing(await desk.servings.list(kitchen.id), kitchen.today)
  const decided = coming.flatMap((kept): DecidedDish[] => {
    const then = standing.get(kept.id)
    const { choice } = kept
    return choice && then && then.offerId === choice.offerId ? [{ kept, choice, then }] : []
  })
  return stepAlerts(decided, { today: kitchen.today, sheetOf })
}

/** What the day does to the kitchen: the slab, the price of one fish over time, and what happened to decisions already taken. */
export const marketDayStudies = { slab, priceHistory, alerts }
