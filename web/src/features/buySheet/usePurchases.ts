import type { BuyLine, BuyOrder, Purchase, PurchaseRecord } from '@tender-gill/contract'
import { useCallback } from 'react'
import { useCreatePurchaseMutation, useRemovePurchaseMutation, useSavePurchaseMutation } from '../../api/api.ts'
import { useUndoable } from '../../notices/index.ts'
import { nameFish } from './buyWords.ts'

/** What came of something that was ordered. */
export type Came = Pick<Purchase, 'state' | 'g' | 'perKg' | 'currency'>
const NOT_YET: Came = { state: 'ordered', g: null, perKg: null, currency: null }

const WORDS: Readonly<Record<Purchase['state'], (fish: string) => string>> = {
  ordered: (fish) => `${fish} is ordered.`,
  bought: (fish) => `${fish} is bought. Its price counts from now on.`,
  short: (fish) => `${fish} came short.`,
  'not-come': (fish) => `${fish} did not come.`,
}

/** What has come was bought today. */
const paidOn = ({ g }: Came, today: string): string | null => (g === null ? null : today)

const toPurchase = (line: BuyLine, { merchant, delivery }: BuyOrder, today: string, came: Came): Purchase => ({
  ...{ line: line.key, merchant, date: delivery ?? line.servings[0]?.date ?? today, paidOn: paidOn(came, today) },
  ...{ species: line.species, offerId: line.offerId, form: line.form, orderedG: line.buy.g },
  ...(line.perKg && { expectedPerKg: line.perKg.typical }),
  ...{ servings: line.servings.map(({ servingId }) => servingId), ...came },
})

/** Ordering a line, and saying what came of it: each kept at once, and undone in one press. */
export function usePurchases(today: string) {
  const [create] = useCreatePurchaseMutation()
  const [save] = useSavePurchaseMutation()
  const [remove] = useRemovePurchaseMutation()
  const undoable = useUndoable()
  const tick = useCallback(
    (line: BuyLine, order: BuyOrder, came: Came = NOT_YET): Promise<boolean> => {
      const words = { done: WORDS[came.state](line.common), undone: `${line.common}: as it was before.` }
      const before = line.purchase
      if (!before)
        return undoable(() => create({ purchase: toPurchase(line, order, today, came) }).unwrap(), {
          ...words,
          undo: ({ id, revision }) => remove({ id, revision }).unwrap(),
        })
      const put = (id: string, revision: number, purchase: Purchase) => save({ id, revision, input: { purchase } }).unwrap()
      return undoable(() => put(before.id, before.revision, { ...before.purchase, ...came, paidOn: paidOn(came, today) }), {
        ...words,
        undo: ({ id, revision }) => put(id, revision, before.purchase),
      })
    },
    [create, remove, save, today, undoable],
  )
  /** All of some lines ordered, or none. */
  const orderAll = useCallback(
    (lines: readonly BuyLine[], order: BuyOrder): Promise<boolean> => {
      const takeBack = (made: readonly PurchaseRecord[]) => Promise.all(made.map(({ id, revision }) => remove({ id, revision }).unwrap()))
      const orderThem = async () => {
        const made: PurchaseRecord[] = []
        try {
          for (const line of lines) made.push(await create({ purchase: toPurchase(line, order, today, NOT_YET) }).unwrap())
        } catch (error) {
          await takeBack(made)
          throw error
        }
        return made
      }
      const fish = nameFish(lines)
      return undoable(orderThem, {
        done: `${fish} ${lines.length === 1 ? 'is' : 'are'} ordered from ${order.merchant ?? 'whoever has it'}.`,
        undone: `${fish} ${lines.length === 1 ? 'is' : 'are'} no longer ordered.`,
        undo: takeBack,
      })
    },
    [create, remove, today, undoable],
  )
  /** Taken off altogether: nothing was ordered. */
  const forget = useCallback(
    ({ id, revision, purchase }: PurchaseRecord, common: string): Promise<boolean> =>
      undoable(() => remove({ id, revision }).unwrap(), {
        done: `${common} is no longer ordered.`,
        undone: `${common} is ordered again.`,
        undo: () => create({ purchase }).unwrap(),
      }),
    [create, remove, undoable],
  )
  return { tick, orderAll, forget }
}
export type Purchases = ReturnType<typeof usePurchases>
