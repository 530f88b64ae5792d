import type { CoverCard, Merchant, SlabFish } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { listOrders } from './ordersToPlace.ts'

const merchant = (name: string, orderBy: string): Merchant =>
  ({ name, delivers: [1, 2, 3, 4, 5, 6, 7], orderBy, daysAhead: 1, minimumOrder: null, feed: null }) as unknown as Merchant
const fish = (species: string, seller: string | null) => ({ species, merchant: seller }) as unknown as SlabFish
const row = (servingId: string, species: string | null, date: string | null) =>
  ({ servingId, date, fish: species && { species, common: `the ${species}` } }) as unknown as CoverCard['rows'][number]
const TRADE = {
  slab: [fish('cod', 'Quay'), fish('ling', 'Quay'), fish('bass', 'Boats'), fish('eel', null)],
  merchants: [merchant('Quay', '21:00'), merchant('Boats', '18:30')],
  now: { date: '2026-06-13', time: '10:00' },
}

describe('what is to be ordered', () => {
  it('is there on the day of its serving and not before, by merchant and delivery, the earliest hour first, each fish once', () => {
    const orders = listOrders(
      [
        row('a', 'cod', '2026-06-14'),
        row('b', 'bass', '2026-06-14'),
        row('c', 'cod', '2026-06-14'),
        row('d', 'ling', '2026-06-14'),
        row('e', 'cod', '2026-06-18'),
      ],
      TRADE,
    )
    expect(orders).toMatchObject([
      { order: { merchant: 'Boats', delivery: '2026-06-14', orderBy: { date: '2026-06-13', time: '18:30' } }, servings: ['b'] },
      { order: { merchant: 'Quay', delivery: '2026-06-14' }, fish: ['the cod', 'the ling'], servings: ['a', 'c', 'd'] },
      { order: { merchant: 'Quay', delivery: '2026-06-18', orderBy: { date: '2026-06-17', time: '21:00' } }, servings: ['e'] },
    ])
  })

  it('of a dish on no day yet is the next that can be had, and stands behind what is needed', () => {
    const orders = listOrders([row('a', 'bass', null), row('b', 'cod', '2026-06-18')], TRADE)
    expect(orders.map(({ dated, servings }) => [dated, ...servings])).toEqual([
      [true, 'b'],
      [false, 'a'],
    ])
  })

  it('is nothing where nobody offers it, no fish can do the dish, or it can no more come in time', () => {
    expect(listOrders([row('a', 'eel', null), row('b', 'hake', null), row('c', null, null), row('d', 'cod', '2026-06-13')], TRADE)).toEqual(
      [],
    )
  })
})
