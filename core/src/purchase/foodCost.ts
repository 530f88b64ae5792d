import type { Brief, PortionCost, Range } from '@tender-gill/contract'

type MenuPrice = NonNullable<Brief['menuPrice']>

/** What the fish of a plate takes of the price on the menu. */
export interface FoodCost {
  /** 0 and up: of the menu price. */
  readonly share: Range
  readonly menuPrice: MenuPrice
  /** What the house aims at, 0..1; null where it says nothing. */
  readonly target: number | null
}

/**
 * The fish of a plate as a share of its menu price, with the range of its price.
 * @returns null where either is not known, or in two currencies, which are never compared without a rate
 */
export function computeFoodCost(cost: PortionCost | null, menuPrice: MenuPrice | undefined, target: number | undefined): FoodCost | null {
  if (!cost || !menuPrice || cost.currency !== menuPrice.currency) return null
  const of = (amount: number) => amount / menuPrice.perPortion
  return { share: { low: of(cost.low), typical: of(cost.typical), high: of(cost.high) }, menuPrice, target: target ?? null }
}
