import type { BuyLine, BuyOrder, BuySheet } from '@tender-gill/contract'
import { joinWords } from '../../parts/dishWords.ts'
import { sayDay, sayOrder } from '../../parts/orderWords.ts'
import { formatMassToBuy, formatMoney } from '../../reader/index.ts'

const MOST_NAMED = 3

/** Fish of some lines, each once; a number where they are many. */
export function nameFish(lines: readonly BuyLine[]): string {
  const names = [...new Set(lines.map(({ common }) => common))]
  return names.length > MOST_NAMED ? `${names.length} fish` : joinWords(names)
}

/** What of an order is still to be ordered. */
export const listOpen = ({ lines }: Pick<BuyOrder, 'lines'>): readonly BuyLine[] => lines.filter(({ purchase }) => purchase === null)

/** What an order falls short of its merchant's least, in words; nothing where it does not. */
export const describeShort = ({ minimum }: BuyOrder): string | null =>
  minimum && minimum.missing > 0 ? `${formatMoney(minimum.missing, minimum.currency)} short of their least order` : null

/** The answer of a sheet: what to order next, from whom, until when. */
export function describeNext({ orders, now, covers }: BuySheet): string {
  const next = orders.find((order) => order.state === 'open' && listOpen(order).length > 0)
  if (next?.orderBy && next.delivery && next.merchant) {
    const short = describeShort(next)
    const by = `by ${next.orderBy.time} ${sayDay(next.orderBy.date, now.date)}, for ${sayDay(next.delivery, now.date)}`
    return `Order next: ${nameFish(listOpen(next))} from ${next.merchant} ${by}${short ? `; ${short}` : ''}.`
  }
  if (orders.some((order) => listOpen(order).length > 0)) return 'Nothing more can be ordered in time. What is left is below.'
  if (orders.length > 0) return 'Everything is ordered.'
  return covers > 0 ? 'Nothing of these days can be ordered.' : 'No dish is served on these days.'
}

/** How it stands with an order, in one line. */
export function describeState({ state, delivery, orderBy, merchant, lines }: BuyOrder, today: string): string {
  const states = lines.map(({ purchase }) => purchase?.purchase.state)
  if (states.every((one) => one === 'bought')) return 'All of it is bought'
  if (states.every((one) => one !== undefined))
    return delivery ? `All of it is ordered, for ${sayDay(delivery, today)}` : 'All of it is ordered'
  if (state === 'open' && delivery && orderBy && merchant) {
    const words = sayOrder({ merchant, delivery, orderBy }, today)
    return words.charAt(0).toUpperCase() + words.slice(1)
  }
  if (state === 'late') return 'They can no longer bring it in time'
  if (state === 'no-days') return 'Nobody has said when they deliver'
  return 'Nobody on your lists has it'
}

/** How much of a line is asked for, the larger figure first. */
export function describeAmount({ buy: { g, count, packs, packG }, grade }: BuyLine): {
  readonly amount: string
  readonly detail: string | null
} {
  if (packs !== null && packG !== null)
    return { amount: `${packs} ${packs === 1 ? 'box' : 'boxes'}`, detail: `of ${formatMassToBuy(packG)}, ${formatMassToBuy(g)} in all` }
  if (count === null) return { amount: formatMassToBuy(g), detail: null }
  const size = grade && grade.fromG < grade.toG ? `of ${formatMassToBuy(grade.fromG)} to ${formatMassToBuy(grade.toG)}, ` : ''
  return { amount: `${count} fish`, detail: `${size}${formatMassToBuy(g)} in all` }
}

/** How a purchase stands, in words. */
export function describePurchase({ purchase, buy }: BuyLine): string | null {
  if (!purchase) return null
  const { state, g, orderedG, perKg, currency } = purchase.purchase
  if (state === 'ordered')
    return Math.abs(orderedG - buy.g) > 1 ? `Ordered ${formatMassToBuy(orderedG)}; now ${formatMassToBuy(buy.g)} is needed` : 'Ordered'
  if (state === 'not-come') return 'Did not come'
  const paid = perKg !== null && currency !== null ? ` at ${formatMoney(perKg, currency)} a kilo` : ''
  return `${state === 'short' ? 'Came short' : 'Bought'}: ${formatMassToBuy(g ?? 0)}${paid}`
}
