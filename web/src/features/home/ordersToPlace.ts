import type { CoverCard, OrderDay, SlabFish } from '@tender-gill/contract'

/** What is to be ordered from one merchant, and until when. */
export interface MerchantOrder {
  readonly merchant: string
  readonly order: OrderDay
  /** Common names of the fish, each once. */
  readonly fish: readonly string[]
  readonly servings: readonly string[]
}

/** Where each fish of the days to come is bought: by the merchants' lists of today. */
export function orderOf(species: string, slab: readonly SlabFish[]): Pick<MerchantOrder, 'merchant' | 'order'> | null {
  const found = slab.find((fish) => fish.species === species)
  return found?.merchant && found.order ? { merchant: found.merchant, order: found.order } : null
}

const momentOf = ({ orderBy: { date, time } }: OrderDay): string => `${date} ${time}`

/**
 * Who is to be called for what, the earliest hour first.
 * @param rows servings of the days to come, each with its fish   @param slab what merchants offer today
 */
export function listOrders(rows: CoverCard['rows'], slab: readonly SlabFish[]): readonly MerchantOrder[] {
  const orders = new Map<string, MerchantOrder>()
  for (const { servingId, fish } of rows) {
    const from = fish && orderOf(fish.species, slab)
    if (!fish || !from) continue
    const known = orders.get(from.merchant) ?? { ...from, fish: [], servings: [] }
    orders.set(from.merchant, {
      ...known,
      fish: known.fish.includes(fish.common) ? known.fish : [...known.fish, fish.common],
      servings: [...known.servings, servingId],
    })
  }
  return [...orders.values()].sort((a, b) => (momentOf(a.order) < momentOf(b.order) ? -1 : 1))
}
