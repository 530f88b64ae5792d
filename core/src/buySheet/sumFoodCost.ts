import type { KeptDish } from '../kept/index.ts'
import type { BuyOrder, BuySheet } from '../facts/index.ts'

/** What a serving's fish costs: its part of each line it is on; undefined where a line has no price, or in more than one currency. */
function costServings(
  orders: readonly BuyOrder[],
): ReadonlyMap<string, { readonly amount: number; readonly currency: string } | undefined> {
  const costs = new Map<string, { amount: number; currency: string } | undefined>()
  for (const { servings, goods, currency, needG } of orders.flatMap(({ lines }) => lines))
    for (const { servingId, needG: own } of servings) {
      const before = costs.has(servingId) ? costs.get(servingId) : { amount: 0, currency: currency ?? '' }
      const priced = before && goods !== null && currency === before.currency && needG > 0
      costs.set(servingId, priced ? { amount: before.amount + (goods * own) / needG, currency } : undefined)
    }
  return costs
}

/**
 * What the fish of some servings takes of what they bring in: of those whose menu price is set, in the currency of the first of them.
 * @param target what the house aims at, 0..1   @returns null where no menu price is set
 */
export function sumFoodCost(orders: readonly BuyOrder[], dishes: readonly KeptDish[], target: number | undefined): BuySheet['foodCost'] {
  const costs = costServings(orders)
  const known = dishes.flatMap(({ id, brief: { menuPrice, covers = 1 } }) => {
    const cost = costs.get(id)
    return menuPrice && cost && cost.currency === menuPrice.currency
      ? [{ cost: cost.amount, takings: covers * menuPrice.perPortion, currency: cost.currency }]
      : []
  })
  const [first] = known
  if (!first) return null
  const own = known.filter(({ currency }) => currency === first.currency)
  const goods = own.reduce((sum, { cost }) => sum + cost, 0)
  const takings = own.reduce((sum, one) => sum + one.takings, 0)
  return { goods, takings, currency: first.currency, share: goods / takings, target: target ?? null, servings: own.length }
}
