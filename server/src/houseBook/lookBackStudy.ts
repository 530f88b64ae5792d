import type { LookBack } from '@tender-gill/contract'
import { addDays, answerAmounts, listTaken, lookBack as lookBackOn, type LookBackContext } from '@tender-gill/core'
import type { Desk } from '../compute/desk.ts'
import type { Study } from '../compute/study.ts'
import { refuse } from '../http/errors.ts'

/** Days that one look back may span: three years. */
const MOST_DAYS = 1100

/** Rest of the fish that went into something else, with what the house credits for it, by the day it was used. */
async function listRest(desk: Desk, kitchen: Parameters<typeof lookBack>[1], from: string, to: string): Promise<LookBackContext['rest']> {
  const [uses, servings, sheets] = await Promise.all([
    desk.restUses.list(kitchen.id),
    desk.servings.list(kitchen.id),
    desk.openSheets(kitchen),
  ])
  const rest: LookBackContext['rest'][number][] = []
  for (const { use } of uses) {
    const serving = servings.find(({ id }) => id === use.servingId)
    const day = serving?.brief.date
    const [taken] = serving?.choice ? listTaken(serving.choice) : []
    if (!serving || !taken || day === undefined || day < from || day > to) continue
    const asked = { ...serving.brief, fish: taken.species, offer: taken.offerId, form: taken.form }
    const amounts = answerAmounts(asked, sheets.sheetOf(serving.brief), { today: kitchen.today })
    const part = amounts.ok ? amounts.value.rest.find((one) => one.part === use.part) : undefined
    if (!amounts.ok || !part) continue
    const currency = amounts.value.cost?.currency
    rest.push({ day, g: part.g, worth: part.worth !== null && currency !== undefined ? { currency, amount: part.worth } : null })
  }
  return rest
}

/** What was expected and what came: the year up to today where no days are named. */
export const lookBack: Study<{ readonly from?: string; readonly to?: string }, LookBack> = async (desk, kitchen, asked) => {
  const to = asked.to ?? kitchen.today
  const from = asked.from ?? addDays(to, -364)
  if (from > to) throw refuse([{ path: '/to', message: 'must not be before the first day' }])
  if (addDays(from, MOST_DAYS) < to) throw refuse([{ path: '/to', message: `at most ${MOST_DAYS} days at once` }])
  const [
    {
      book: { offers },
    },
    book,
    rest,
  ] = await Promise.all([desk.openSheets(kitchen), desk.readHouseBook(kitchen.id), listRest(desk, kitchen, from, to)])
  return lookBackOn(book.lines, { from, to }, { offers, rest })
}
