import type { AfterService, Choice, ServingRecord, TakenFish } from '@tender-gill/contract'
import { countDays, createBoard, findCutForm, findLeader, listTaken, servedKey, isServedLine, type Candidate } from '@tender-gill/core'
import type { Study } from '../compute/study.ts'
import type { KitchenSheets } from '../sheets/kitchenSheets.ts'

type ServedDish = AfterService['dishes'][number]
type Served = Pick<ServedDish, 'key' | 'fish'>

/** Days told beside one on which nothing was served. */
const OTHER_DAYS = 3

/** What a fish of a dish is, and as what it is weighed once it is trimmed: nothing where it is bought as the cut, or comes whole to the table. */
function tellFish({ offer, form }: Candidate, { brief: { format, skin } }: ServingRecord, taken: boolean): ServedDish['fish'] {
  const { id, species, common, label } = offer
  const cut = format === 'whole' ? undefined : findCutForm(offer, format, skin === 'off')
  return { species, common, offerId: id, offer: label, form, taken, weighedAs: cut === undefined || cut === form ? null : cut }
}

/** The fish of a dish: those taken, each by itself; else the one that led its line-up. */
function listFish(serving: ServingRecord, sheets: KitchenSheets, today: string): readonly Served[] {
  const { id: servingId, brief, choice } = serving
  const sheet = sheets.sheetOf(brief)
  const find = ({ offerId, form }: TakenFish): ServedDish['fish'] => {
    const offer = sheet.offers.find(({ id }) => id === offerId)
    return offer ? tellFish({ offer, form }, serving, true) : null
  }
  const listTold = (taken: Choice): readonly Served[] =>
    listTaken(taken).map((one, i) => ({ key: i === 0 ? servedKey(servingId) : servedKey(servingId, one.offerId), fish: find(one) }))
  if (choice) return listTold(choice)
  const board = createBoard(brief, sheet, today)
  const leader = board.ok ? findLeader(board.value, { onlyOffered: true })?.candidate : undefined
  return [{ key: servedKey(servingId), fish: leader ? tellFish(leader, serving, false) : null }]
}

/** The servings of a day, a row for each fish of each, with what was meant to be in its place and what is written already. */
export const afterService: Study<{ readonly day?: string }, AfterService> = async (desk, kitchen, { day = kitchen.today }) => {
  const [servings, decisions, purchases, sheets, book] = await Promise.all([
    desk.servings.list(kitchen.id),
    desk.decisions.list(kitchen.id),
    desk.purchases.list(kitchen.id),
    desk.openSheets(kitchen),
    desk.readHouseBook(kitchen.id),
  ])
  const toDish = ({ id, brief }: ServingRecord, { key, fish }: Served): ServedDish => {
    const first =
      key === servedKey(id) ? decisions.filter(({ servingId }) => servingId === id).sort((a, b) => a.revision - b.revision)[0] : undefined
    const bought = purchases.flatMap(({ purchase }) =>
      purchase.servings.includes(id) && purchase.offerId === fish?.offerId && purchase.g !== null ? [purchase] : [],
    )
    // What was bought for several dishes is no weight of this one.
    const boughtG = bought.reduce((sum, { servings: fed, g }) => sum + (fed.length === 1 ? (g ?? 0) : 0), 0)
    return {
      ...{ key, servingId: id, dish: brief.dish, method: brief.method, format: brief.format, covers: brief.covers ?? 1, fish },
      missing: first && fish && first.species !== fish.species ? { species: first.species, common: first.common } : null,
      merchant: bought[0]?.merchant ?? null,
      boughtG: boughtG > 0 ? boughtG : null,
      lines: book.lines.filter((line) => isServedLine(line.id, key)),
    }
  }
  const days = [...new Set(servings.flatMap(({ brief: { date } }) => (date === undefined || date === day ? [] : [date])))]
  return {
    day,
    dishes: servings
      .filter(({ brief }) => brief.date === day)
      .flatMap((serving) => listFish(serving, sheets, kitchen.today).map((served) => toDish(serving, served))),
    others: days
      .sort((a, b) => Math.abs(countDays(day, a)) - Math.abs(countDays(day, b)))
      .slice(0, OTHER_DAYS)
      .sort(),
  }
}
