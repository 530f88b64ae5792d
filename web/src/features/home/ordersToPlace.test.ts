import type { CoverCard, SlabFish } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { listOrders, orderOf } from './ordersToPlace.ts'

const fish = (species: string, merchant: string | null, time: string) =>
  ({
    species,
    merchant,
    order: merchant ? { merchant, delivery: '2026-06-14', orderBy: { date: '2026-06-13', time } } : null,
  }) as unknown as SlabFish
const row = (servingId: string, species: string | null) =>
  ({ servingId, fish: species && { species, common: `the ${species}` } }) as unknown as CoverCard['rows'][number]
const SLAB = [fish('cod', 'Quay', '21:00'), fish('ling', 'Quay', '21:00'), fish('bass', 'Boats', '18:30'), fish('eel', null, '')]

describe('what is to be ordered', () => {
  it('stands by merchant, the earliest hour first, each fish once', () => {
    const orders = listOrders([row('a', 'cod'), row('b', 'bass'), row('c', 'cod'), row('d', 'ling')], SLAB)
    expect(orders).toMatchObject([
      { merchant: 'Boats', fish: ['the bass'], servings: ['b'] },
      { merchant: 'Quay', fish: ['the cod', 'the ling'], servings: ['a', 'c', 'd'] },
    ])
  })

  it('leaves out what nobody offers, and dishes without a fish', () => {
    expect(listOrders([row('a', 'eel'), row('b', 'hake'), row('c', null)], SLAB)).toEqual([])
    expect(orderOf('eel', SLAB)).toBeNull()
  })
})
