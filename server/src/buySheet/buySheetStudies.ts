import type { BuySheet, Kitchen, Price, Problem, Untold } from '@tender-gill/contract'
import { addDays, countDays, stepBuySheet } from '@tender-gill/core'
import type { Desk } from '../compute/desk.ts'
import type { Study } from '../compute/study.ts'
import { refuse } from '../http/errors.ts'
import { computeHour } from '../kitchens/today.ts'

/** Days one sheet may be for. */
const MOST_DAYS = 31
/** A quote that is older says nothing of what can be ordered. */
const QUOTE_LIFE_DAYS = 365

export interface SheetAsked {
  readonly from?: string
  readonly to?: string
  readonly undated?: 'yes' | 'no'
}

function checkSpan(from: string, to: string): readonly Problem[] {
  const days = countDays(from, to) + 1
  if (days < 1) return [{ path: '/to', message: 'must not be before the first day' }]
  return days > MOST_DAYS ? [{ path: '/to', message: `at most ${MOST_DAYS} days on one sheet` }] : []
}

/** Everything that is quoted: the latest list of each merchant, and what was typed in. */
async function readQuotes(desk: Desk, { id, today }: Kitchen): Promise<readonly Price[]> {
  const [listed, typed] = await Promise.all([desk.lists.listLatestQuotes(id, today), desk.prices.list(id)])
  const since = addDays(today, -QUOTE_LIFE_DAYS)
  return [...listed, ...typed.map(({ price }) => price)].filter(({ date = today }) => date >= since && date <= today)
}

/** What to order: for the week to come, where no days are named. */
const buySheet: Study<SheetAsked, Untold<BuySheet>> = async (desk, kitchen, asked) => {
  const { id, today, zone } = kitchen
  const from = asked.from ?? today
  const to = asked.to ?? addDays(from, 6)
  const problems = checkSpan(from, to)
  if (problems.length > 0) throw refuse(problems)
  const [{ sheetOf }, dishes, merchants, quotes, purchases] = await Promise.all([
    desk.openSheets(kitchen),
    desk.servings.list(id),
    desk.merchants.list(id),
    readQuotes(desk, kitchen),
    desk.purchases.list(id),
  ])
  return stepBuySheet(
    { from, to, undated: asked.undated === 'yes' },
    {
      ...{ today, dishes, sheetOf, quotes, purchases },
      now: { date: today, time: computeHour(desk.now(), zone) },
      merchants: merchants.map(({ merchant }) => merchant),
    },
  )
}

/** The buy sheet of some days. */
export const buySheetStudies = { buySheet }
