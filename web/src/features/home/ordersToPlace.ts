import type { BuyLine, BuyOrder, BuySheet, OrderDay, PurchaseState } from '@tender-gill/contract'
import { sayDay } from '../../parts/orderWords.ts'

/** What is still to be ordered from one merchant for one delivery, and until when. */
export interface MerchantOrder {
  readonly order: OrderDay
  /** Common names of the fish, each once. */
  readonly fish: readonly string[]
  /** How much of their least order is missing; null where nothing is. */
  readonly short: { readonly amount: number; readonly currency: string } | null
  /** Whether a serving of a day needs it; else its dishes are on no day yet, and this is the next that can be had. */
  readonly dated: boolean
}

const isDated = ({ servings }: BuyLine): boolean => servings.some(({ date }) => date !== null)

function toOrder({ merchant, delivery, orderBy, lines, minimum }: BuyOrder): readonly MerchantOrder[] {
  const open = lines.filter(({ purchase }) => purchase === null)
  if (merchant === null || delivery === null || orderBy === null || open.length === 0) return []
  return [
    {
      order: { merchant, delivery, orderBy },
      fish: [...new Set(open.map(({ common }) => common))],
      short: minimum && minimum.missing > 0 ? { amount: minimum.missing, currency: minimum.currency } : null,
      dated: open.some(isDated),
    },
  ]
}

/** Who is to be called for what: what a day needs first, and of that the earliest hour. What can no longer come in time is not among it. */
export const listOrders = ({ orders }: Pick<BuySheet, 'orders'>): readonly MerchantOrder[] =>
  orders
    .filter(({ state }) => state === 'open')
    .flatMap(toOrder)
    .sort((a, b) => Number(b.dated) - Number(a.dated))

const STATE_WORDS: Readonly<Record<PurchaseState, string>> = {
  ordered: 'ordered',
  bought: 'bought',
  short: 'came short',
  'not-come': 'did not come',
}
/** What most wants to be known of several fish of one dish, first. */
const WORST: readonly PurchaseState[] = ['not-come', 'short', 'ordered', 'bought']

function describeServing(lines: readonly (BuyLine & Pick<BuyOrder, 'orderBy' | 'state'>)[], today: string): string | undefined {
  const open = lines.find(({ purchase, state }) => purchase === null && state === 'open')
  if (open?.orderBy) return `${isDated(open) ? 'order' : 'could be ordered'} by ${open.orderBy.time} ${sayDay(open.orderBy.date, today)}`
  const worst = WORST.find((state) => lines.some(({ purchase }) => purchase?.purchase.state === state))
  if (worst) return STATE_WORDS[worst]
  return lines.some(({ state }) => state === 'late') ? 'too late to order' : undefined
}

/** What is here for each serving, with the days it has left: said before anything that is still to be ordered. */
export const describeHere = (
  lots: readonly {
    readonly servings: readonly { readonly id: string }[]
    readonly cold: { readonly leftDays: { readonly typical: number } }
    readonly advice: string
  }[],
): ReadonlyMap<string, string> =>
  new Map(
    lots.flatMap(({ servings, cold, advice }) =>
      servings.map(({ id }) => {
        const days = Math.max(0, Math.floor(cold.leftDays.typical))
        const words =
          advice === 'throw'
            ? 'here, to be thrown away'
            : advice === 'frozen'
              ? 'here, frozen'
              : `here, ${days} ${days === 1 ? 'day' : 'days'} left`
        return [id, words] as const
      }),
    ),
  )

/** How it stands with the fish of each serving, in a word or two, by its id. */
export function describeServings({ orders, now }: Pick<BuySheet, 'orders' | 'now'>): ReadonlyMap<string, string> {
  const lines = orders.flatMap(({ lines: own, orderBy, state }) => own.map((line) => ({ ...line, orderBy, state })))
  const ids = new Set(lines.flatMap(({ servings }) => servings.map(({ servingId }) => servingId)))
  return new Map(
    [...ids].flatMap((id) => {
      const words = describeServing(
        lines.filter(({ servings }) => servings.some(({ servingId }) => servingId === id)),
        now.date,
      )
      return words === undefined ? [] : [[id, words] as const]
    }),
  )
}
