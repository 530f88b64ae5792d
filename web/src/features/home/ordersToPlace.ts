import type { CoverCard, Merchant, OrderDay, SlabFish } from '@tender-gill/contract'
import { planOrder, type LocalMoment } from '@tender-gill/core'

/** What is to be ordered from one merchant for one delivery, and until when. */
export interface MerchantOrder {
  readonly order: OrderDay
  /** Common names of the fish, each once. */
  readonly fish: readonly string[]
  readonly servings: readonly string[]
  /** Whether a serving of a day needs it; else its dishes are on no day yet, and this is the next that can be had. */
  readonly dated: boolean
}

interface Trade {
  /** What merchants offer today. */
  readonly slab: readonly SlabFish[]
  readonly merchants: readonly Merchant[]
  readonly now: LocalMoment
}

/** Dated before undated, then the earliest hour. */
const placeOf = ({ dated, order: { orderBy } }: MerchantOrder): string => `${dated ? 0 : 1} ${orderBy.date} ${orderBy.time}`

/**
 * Who is to be called for what, so that each fish is there on the day of its serving: what is dated first, the earliest hour first. What no
 * merchant lists, or none can bring in time any more, is not among it.
 * @param rows servings of the days to come, each with its fish
 */
export function listOrders(rows: CoverCard['rows'], { slab, merchants, now }: Trade): readonly MerchantOrder[] {
  const orders = new Map<string, MerchantOrder>()
  for (const { servingId, fish, date } of rows) {
    const seller = fish && slab.find(({ species }) => species === fish.species)?.merchant
    const merchant = merchants.find(({ name }) => name === seller)
    const order = merchant && planOrder(merchant, now, date)
    if (!fish || !order) continue
    const dated = date !== null
    const key = `${order.merchant}|${order.delivery}|${dated}`
    const known = orders.get(key) ?? { order, dated, fish: [], servings: [] }
    orders.set(key, {
      ...known,
      fish: known.fish.includes(fish.common) ? known.fish : [...known.fish, fish.common],
      servings: [...known.servings, servingId],
    })
  }
  return [...orders.values()].sort((a, b) => placeOf(a).localeCompare(placeOf(b)))
}
