import type { BuySheet, PurchaseState } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { describeServings, listOrders } from './ordersToPlace.ts'

interface Line {
  readonly common: string
  readonly serving: string
  readonly date?: string | null
  readonly state?: PurchaseState
}
const line = ({ common, serving, date = '2026-06-14', state }: Line) => ({
  ...{ common, purchase: state === undefined ? null : { purchase: { state } } },
  servings: [{ servingId: serving, date }],
})
const order = (merchant: string | null, time: string, lines: readonly Line[], patch: object = {}) => ({
  ...{ merchant, state: 'open', delivery: '2026-06-14', orderBy: { date: '2026-06-13', time }, minimum: null, lines: lines.map(line) },
  ...patch,
})
const sheet = (...orders: readonly object[]) => ({ orders, now: { date: '2026-06-13', time: '10:00' } }) as unknown as BuySheet

describe('what is to be ordered', () => {
  it('is what nothing was ordered of yet, each fish once, what a day needs before what waits for one', () => {
    const orders = listOrders(
      sheet(
        order('Boats', '18:30', [{ common: 'bass', serving: 'b', date: null }]),
        order('Quay', '21:00', [
          { common: 'cod', serving: 'a' },
          { common: 'cod', serving: 'c' },
          { common: 'ling', serving: 'd', state: 'ordered' },
        ]),
      ),
    )
    expect(orders).toMatchObject([
      { order: { merchant: 'Quay', delivery: '2026-06-14', orderBy: { time: '21:00' } }, fish: ['cod'], dated: true, short: null },
      { order: { merchant: 'Boats' }, fish: ['bass'], dated: false },
    ])
  })

  it('says what is missing of the least order, and leaves out what is ordered, too late, or on nobody’s list', () => {
    const short = { minimum: { amount: 40, currency: 'EUR', missing: 14 } }
    const [one, ...others] = listOrders(
      sheet(
        order('Quay', '21:00', [{ common: 'cod', serving: 'a' }], short),
        order('Boats', '18:30', [{ common: 'bass', serving: 'b', state: 'bought' }]),
        order('Van', '18:30', [{ common: 'eel', serving: 'c' }], { state: 'late', delivery: null, orderBy: null }),
        order(null, '', [{ common: 'hake', serving: 'd' }], { state: 'nobody', delivery: null, orderBy: null }),
      ),
    )
    expect(one?.short).toEqual({ amount: 14, currency: 'EUR' })
    expect(others).toEqual([])
  })
})

describe('how it stands with a serving', () => {
  it.each([
    [[{ common: 'cod', serving: 'a' }], 'order by 21:00 today'],
    [[{ common: 'cod', serving: 'a', date: null }], 'could be ordered by 21:00 today'],
    [[{ common: 'cod', serving: 'a', state: 'ordered' as const }], 'ordered'],
    [
      [
        { common: 'cod', serving: 'a', state: 'bought' as const },
        { common: 'ling', serving: 'a', state: 'not-come' as const },
      ],
      'did not come',
    ],
  ])('%j: %s', (lines, words) => {
    expect(describeServings(sheet(order('Quay', '21:00', lines))).get('a')).toBe(words)
  })
})
