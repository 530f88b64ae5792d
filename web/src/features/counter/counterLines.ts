import type { BuyLine, BuyOrder, BuySheet, Look, LookRecord, Purchase, PurchaseInput } from '@tender-gill/contract'
import type { Outbox } from '../../outbox/index.ts'

/** A purchase as it stands here: as the kitchen keeps it, or as it was written down and still waits to be sent. */
export interface StandingPurchase {
  readonly id: string
  readonly revision: number
  readonly purchase: Purchase
}

/** One thing to buy, with what came of it and what was last seen of it. */
export interface CounterLine {
  readonly line: BuyLine
  readonly order: BuyOrder
  readonly purchase: StandingPurchase | null
  readonly look: Look | null
}

/** What was bought and stands on no line: a fish taken instead of another, as long as the sheet does not know of it. */
export interface CounterSheet {
  readonly lines: readonly CounterLine[]
  readonly beside: readonly StandingPurchase[]
}

/** What waits to be sent, by the line it is about: the last word on each; null where nothing stands there any more. */
function readWaiting(waiting: Outbox, kept: readonly StandingPurchase[]): ReadonlyMap<string, StandingPurchase | null> {
  const standing = new Map<string, StandingPurchase | null>()
  for (const { command, arg, state } of waiting) {
    if (state === 'refused') continue
    if (command === 'createPurchase') {
      const { id = '', purchase } = arg as PurchaseInput
      standing.set(purchase.line, { id, revision: 1, purchase })
    }
    if (command === 'savePurchase') {
      const { id, revision, input } = arg as unknown as { id: string; revision: number; input: PurchaseInput }
      standing.set(input.purchase.line, { id, revision: revision + 1, purchase: input.purchase })
    }
    if (command === 'removePurchase') {
      const gone = [...kept, ...standing.values()].find((one) => one?.id === (arg as { id: string }).id)
      if (gone) standing.set(gone.purchase.line, null)
    }
  }
  return standing
}

const latest = (looks: readonly Look[], key: string): Look | null =>
  looks.filter(({ line }) => line === key).sort((a, b) => (a.at < b.at ? 1 : -1))[0] ?? null

/** The buy sheet as somebody at the counter has it, what was written down out of reach of the server laid over it. */
export function layCounterLines(sheet: BuySheet, looks: readonly LookRecord[], waiting: Outbox): CounterSheet {
  const kept = [...sheet.orders.flatMap((order) => order.lines.flatMap(({ purchase }) => purchase ?? [])), ...sheet.elsewhere]
  const standing = readWaiting(waiting, kept)
  const seen = [
    ...looks.map(({ look }) => look),
    ...waiting.flatMap(({ command, arg }) => (command === 'createLook' ? [(arg as { look: Look }).look] : [])),
  ]
  const lines = sheet.orders.flatMap((order) =>
    order.lines.map((line): CounterLine => ({
      ...{ line, order, look: latest(seen, line.key) },
      purchase: standing.has(line.key) ? (standing.get(line.key) ?? null) : line.purchase,
    })),
  )
  const known = new Set(lines.map(({ line }) => line.key))
  const elsewhere = new Map<string, StandingPurchase>(sheet.elsewhere.map((one) => [one.purchase.line, one]))
  for (const [key, one] of standing) {
    if (known.has(key)) continue
    if (one) elsewhere.set(key, one)
    else elsewhere.delete(key)
  }
  return { lines, beside: [...elsewhere.values()].filter(({ purchase }) => !known.has(purchase.line)) }
}

export type LineState = 'open' | 'in-the-bag' | 'left'
/** How it stands with a line: still to be got, got, or done without. */
export const stateOf = ({ purchase }: Pick<CounterLine, 'purchase'>): LineState => {
  const state = purchase?.purchase.state
  if (state === 'bought' || state === 'short') return 'in-the-bag'
  return state === 'not-come' ? 'left' : 'open'
}

/** What was paid so far, in the currency that most of it is in. */
export function sumPaid({ lines, beside }: CounterSheet): { readonly amount: number; readonly currency: string } | null {
  const sums = new Map<string, number>()
  for (const one of [...lines.flatMap(({ purchase }) => purchase ?? []), ...beside]) {
    const { g, perKg, currency } = one.purchase
    if (g !== null && perKg !== null && currency !== null) sums.set(currency, (sums.get(currency) ?? 0) + (g / 1000) * perKg)
  }
  const [most] = [...sums].sort((a, b) => b[1] - a[1])
  return most ? { amount: most[1], currency: most[0] } : null
}
