import { listTaken, type KeptDish, type KeptDishes } from '../kept/index.ts'
import { say, type BuySheet, type PurchaseRecord } from '../facts/index.ts'
import { USUAL_SHORT_CHANCE } from '../purchase/index.ts'
import { ENGINE_VERSION } from '../tables/constants.ts'
import type { Trade } from './findSeller.ts'
import { createDishAnswers, type DishAnswers } from './dishAnswers.ts'
import { mergeOrders, sumMoney } from './merge.ts'
import { sumFoodCost } from './sumFoodCost.ts'
import { findWanted, type Wanted, type WantedFish } from './wanted.ts'

/** The days a sheet is for. */
export interface BuyDays {
  readonly from: string
  readonly to: string
  /** Whether what waits for a day is bought with it, at the next delivery. */
  readonly undated?: boolean
}

/** The servings of a kitchen, what can be ordered from whom, and what was. */
export interface BuyContext extends KeptDishes, Trade {
  readonly purchases: readonly PurchaseRecord[]
}

/** What one serving wants: the fish taken for it, or the one that leads what can be bought. */
function listFish(kept: KeptDish, { sheetOf }: BuyContext, answers: DishAnswers): readonly WantedFish[] {
  const { id, brief, choice } = kept
  const serving = { servingId: id, dish: brief.dish, date: brief.date ?? null, covers: brief.covers ?? 1, taken: choice !== null }
  if (choice) {
    const taken = listTaken(choice)
    return taken.map((fish) => ({ serving, brief, fish, kinds: taken.length }))
  }
  const leader = answers.leaderOf(brief, sheetOf(brief))
  return leader ? [{ serving, brief, fish: leader, kinds: 1 }] : []
}

/** Purchases beside their lines; those of these servings that no line asks for any more stand apart. */
function placePurchases(sheet: Pick<BuySheet, 'orders' | 'from' | 'to'>, { purchases }: BuyContext) {
  const byLine = new Map(purchases.map((one) => [one.purchase.line, one]))
  const orders = sheet.orders.map((order) => ({
    ...order,
    lines: order.lines.map((line) => ({ ...line, purchase: byLine.get(line.key) ?? null })),
  }))
  const keys = new Set(orders.flatMap(({ lines }) => lines.map(({ key }) => key)))
  const elsewhere = purchases.filter(({ purchase: { line, date } }) => !keys.has(line) && date >= sheet.from && date <= sheet.to)
  return { orders, elsewhere }
}

/**
 * What to order from whom until when, for some days: every serving with its fish, put together where they use one quote in one delivery.
 * Runs a serving at a time; yields how many are done.
 */
export function* stepBuySheet({ from, to, undated = false }: BuyDays, context: BuyContext): Generator<number, BuySheet> {
  const { dishes, sheetOf, today, now } = context
  const waiting = dishes.filter(({ brief }) => brief.date === undefined)
  const due = dishes.filter(({ brief: { date } }) => (date === undefined ? undated : date >= from && date <= to))
  const answers = createDishAnswers(today)
  const wanted: Wanted[] = []
  const nothing: BuySheet['nothing'] = []
  for (const [i, kept] of due.entries()) {
    yield i
    const { id, brief } = kept
    const sheet = sheetOf(brief)
    const shortChance = sheet.leanings?.shortChance ?? USUAL_SHORT_CHANCE
    const fish = listFish(kept, context, answers)
    const refuse = (because: BuySheet['nothing'][number]['because']) =>
      nothing.push({ servingId: id, dish: brief.dish, date: brief.date ?? null, because })
    if (fish.length === 0) refuse(say('buy.nothing.no-fish'))
    for (const one of fish) {
      const found = findWanted(one, { ...context, today, sheet, answers, shortChance })
      if (found.ok) wanted.push(found.value)
      else refuse(found.error)
    }
  }
  const { orders, elsewhere } = placePurchases({ orders: mergeOrders(wanted), from, to }, context)
  return {
    ...{ from, to, now: { date: now.date, time: now.time }, orders, nothing, elsewhere },
    undated: waiting.map(({ id, brief }) => ({ servingId: id, dish: brief.dish })),
    foodCost: sumFoodCost(orders, due, due[0] && sheetOf(due[0].brief).leanings?.foodCostShare),
    covers: due.reduce((sum, { brief }) => sum + (brief.covers ?? 1), 0),
    spend: sumMoney(orders.flatMap(({ lines }) => lines)),
    engineVersion: ENGINE_VERSION,
  }
}

/** The sheet in one go. */
export function writeBuySheet(days: BuyDays, context: BuyContext): BuySheet {
  const steps = stepBuySheet(days, context)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
