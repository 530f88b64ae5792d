import type { BuyStandIn, ColdPlaceRecord, Look, Purchase, Range } from '@tender-gill/contract'
import { useCallback } from 'react'
import { useGive } from '../../outbox/index.ts'
import type { StandingLot } from '../cold/index.ts'
import type { CounterLine } from './counterLines.ts'

/** What was bought: how much, and for how much a kilogram. */
export interface Bought {
  readonly g: number
  readonly perKg: number | null
  readonly currency: string | null
}

/** A fish in hand: the one on the line, or the one taken instead for some of its servings. */
export interface InHand {
  readonly species: string
  readonly common: string
  readonly offerId: string
  readonly form: Purchase['form']
  readonly orderedG: number
  readonly servings: readonly string[]
}

const NOTHING = { g: null, perKg: null, currency: null, paidOn: null } as const
/** Less than this of what was wanted came short. */
const AS_ORDERED = 0.98

export const inHandOf = ({ line, purchase }: CounterLine): InHand => ({
  ...{ species: line.species, common: line.common, offerId: line.offerId, form: line.form },
  orderedG: purchase?.purchase.orderedG ?? line.buy.g,
  servings: line.servings.map(({ servingId }) => servingId),
})

interface House {
  readonly today: string
  readonly places: readonly ColdPlaceRecord[]
  readonly lots: readonly StandingLot[]
}

/** Writes down what happens at the counter, whether the server can be reached or not. */
export function useCounterNotes({ today, places, lots }: House) {
  const give = useGive()
  /** The purchase of a line as it stands from now on. */
  const put = useCallback(
    (
      { line, order, purchase }: CounterLine,
      came: Pick<Purchase, 'state' | 'g' | 'perKg' | 'currency' | 'paidOn'>,
      words: string,
    ): void => {
      const about = `purchase ${line.key}`
      if (purchase) {
        const arg = { id: purchase.id, revision: purchase.revision, input: { purchase: { ...purchase.purchase, ...came } } }
        return give('savePurchase', arg, { about, words })
      }
      const made: Purchase = {
        ...{ line: line.key, merchant: order.merchant, date: order.delivery ?? line.servings[0]?.date ?? today },
        ...{ species: line.species, offerId: line.offerId, form: line.form },
        orderedG: line.buy.g,
        ...(line.perKg && { expectedPerKg: line.perKg.typical }),
        ...{ servings: line.servings.map(({ servingId }) => servingId), ...came },
      }
      return give('createPurchase', { id: crypto.randomUUID(), purchase: made }, { about, words })
    },
    [give, today],
  )
  const look = useCallback(
    (seen: Look, common: string): void =>
      give(
        'createLook',
        { id: crypto.randomUUID(), look: seen },
        { about: `look ${crypto.randomUUID()}`, words: `${common}: what was seen of it.` },
      ),
    [give],
  )
  /** What came in is kept from now on: in ice, where the kitchen keeps its fish. */
  const keepLot = useCallback(
    (
      fish: InHand,
      { g }: Bought,
      merchant: string | null,
      { line, use, iceDays }: { line: string; use: 'raw' | 'cooked'; iceDays: Range | null },
    ): void => {
      const now = new Date().toISOString()
      const place = places.find((one) => one.place.kind === 'ice') ?? places.find((one) => one.place.kind === 'fridge')
      const stay = { from: now, place: place?.id ?? null, celsius: null, iced: true }
      const { species, offerId, form, servings } = fish
      const lot = {
        ...{ species, offerId, form, g, merchant, boughtAt: now, use, ageIceDays: iceDays, servings: [...servings], line },
        ...{ journey: null, stays: [stay], state: 'here' as const, freezing: null },
      }
      const id = crypto.randomUUID()
      give('createLot', { id, lot }, { about: `lot ${id}`, words: `${fish.common} came in.` })
    },
    [give, places],
  )
  const take = useCallback(
    (one: CounterLine, bought: Bought, kept: { use: 'raw' | 'cooked'; iceDays: Range | null }): void => {
      const fish = inHandOf(one)
      const state = bought.g < fish.orderedG * AS_ORDERED ? 'short' : 'bought'
      put(one, { state, ...bought, paidOn: today }, `${fish.common} is bought.`)
      keepLot(fish, bought, one.order.merchant, { line: one.line.key, ...kept })
    },
    [keepLot, put, today],
  )
  const leave = useCallback((one: CounterLine, words: string): void => put(one, { state: 'not-come', ...NOTHING }, words), [put])
  /** Out of the bag again: what was written down of it goes, and an order that stood before stands again. */
  const putBack = useCallback(
    (one: CounterLine): void => {
      const { line, purchase } = one
      const words = `${line.common} is still to be bought.`
      for (const { id, revision, lot } of lots)
        if (lot.line === line.key && lot.state === 'here') give('removeLot', { id, revision }, { about: `lot ${id}`, words })
      // Written down at the counter alone, it was never ordered.
      if (purchase?.revision === 1) give('removePurchase', { id: purchase.id, revision: 1 }, { about: `purchase ${line.key}`, words })
      else put(one, { state: 'ordered', ...NOTHING }, words)
    },
    [give, lots, put],
  )
  /** Another fish for the servings of a line: taken for each of them, and bought. */
  const takeInstead = useCallback(
    (one: CounterLine, standIns: readonly BuyStandIn[], bought: Bought, kept: { use: 'raw' | 'cooked'; iceDays: Range | null }): void => {
      const [first] = standIns
      if (!first) return
      const servings = standIns.map(({ servingId }) => servingId)
      for (const { servingId, species, offerId, form, common, dish } of standIns)
        give(
          'decide',
          { servingId, species, offerId, form, onlyOffered: true, note: `Instead of ${one.line.common}, at the counter` },
          { about: `serving ${servingId}`, words: `${common} is taken for ${dish}.` },
        )
      const { species, offerId, form, merchant, common } = first
      const line = `counter|${offerId}|${servings.join(',')}`
      const fish = { species, common, offerId, form, servings, orderedG: standIns.reduce((sum, { g }) => sum + g, 0) }
      const purchase: Purchase = {
        ...{ line, state: 'bought', merchant: merchant ?? one.order.merchant, date: today, paidOn: today },
        ...{ species, offerId, form, orderedG: fish.orderedG, ...bought, servings },
      }
      give('createPurchase', { id: crypto.randomUUID(), purchase }, { about: `purchase ${line}`, words: `${common} is bought.` })
      keepLot(fish, bought, purchase.merchant, { line, ...kept })
    },
    [give, keepLot, today],
  )
  return { look, take, leave, putBack, takeInstead }
}
export type CounterNotes = ReturnType<typeof useCounterNotes>
