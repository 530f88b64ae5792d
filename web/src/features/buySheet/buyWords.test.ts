import type { BuyLine, BuyOrder, BuySheet, PurchaseState } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { describeAmount, describeNext, describePurchase, describeShort, describeState, listOpen, nameFish } from './buyWords.ts'

const TODAY = '2026-06-13'
interface Patch {
  readonly common?: string
  readonly state?: PurchaseState
  readonly buy?: Partial<BuyLine['buy']>
  readonly grade?: BuyLine['grade']
  readonly orderedG?: number
  readonly g?: number | null
  readonly perKg?: number | null
}
const line = ({ common = 'cod', state, buy = {}, grade = null, orderedG = 3000, g = null, perKg = null }: Patch = {}): BuyLine =>
  ({
    ...{ common, grade, buy: { g: 3000, count: null, packs: null, packG: null, roundedUpG: 0, ...buy } },
    purchase: state === undefined ? null : { purchase: { state, orderedG, g, perKg, currency: perKg === null ? null : 'EUR' } },
  }) as unknown as BuyLine
const order = (lines: readonly BuyLine[], patch: Partial<BuyOrder> = {}): BuyOrder => ({
  ...{ merchant: 'Quay', state: 'open', delivery: '2026-06-15', orderBy: { date: TODAY, time: '21:00' }, note: null },
  ...{ lines: [...lines], goods: [], minimum: null },
  ...patch,
})
const sheet = (orders: readonly BuyOrder[], covers = 10) => ({ orders, covers, now: { date: TODAY, time: '10:00' } }) as unknown as BuySheet

describe('what to order next', () => {
  it('is the first that is open and not ordered, with what its least order misses', () => {
    const minimum = { amount: 40, currency: 'EUR', missing: 14 }
    const orders = [order([line({ state: 'ordered' })], { merchant: 'Boats' }), order([line(), line({ common: 'ling' })], { minimum })]
    expect(describeNext(sheet(orders))).toBe(
      'Order next: cod and ling from Quay by 21:00 today, for Monday; €14.00 short of their least order.',
    )
  })

  it.each([
    ['Everything is ordered.', [order([line({ state: 'ordered' })])], 10],
    [
      'Nothing more can be ordered in time. What is left is below.',
      [order([line()], { state: 'late', delivery: null, orderBy: null })],
      10,
    ],
    ['Nothing of these days can be ordered.', [], 10],
    ['No dish is served on these days.', [], 0],
  ] as const)('%s', (words, orders, covers) => {
    expect(describeNext(sheet(orders, covers))).toBe(words)
  })
})

describe('how it stands with an order', () => {
  it.each([
    ['Order by 21:00 today for Monday', order([line(), line({ state: 'ordered' })])],
    ['All of it is ordered, for Monday', order([line({ state: 'ordered' }), line({ state: 'not-come' })])],
    ['All of it is bought', order([line({ state: 'bought' })])],
    ['They can no longer bring it in time', order([line()], { state: 'late', delivery: null, orderBy: null })],
    ['Nobody has said when they deliver', order([line()], { state: 'no-days', delivery: null, orderBy: null })],
    ['Nobody on your lists has it', order([line()], { state: 'nobody', merchant: null, delivery: null, orderBy: null })],
  ])('%s', (words, one) => {
    expect(describeState(one, TODAY)).toBe(words)
  })

  it('counts what is open, and tells a least order only where it is not met', () => {
    expect(listOpen(order([line(), line({ state: 'ordered' })]))).toHaveLength(1)
    expect(describeShort(order([], { minimum: { amount: 40, currency: 'EUR', missing: 0 } }))).toBeNull()
  })
})

describe('how much of a line', () => {
  it.each([
    ['3.00 kg', null, line()],
    ['2 boxes', 'of 5.00 kg, 10.0 kg in all', line({ buy: { g: 10_000, packs: 2, packG: 5000 } })],
    ['7 fish', 'of 300 g to 400 g, 2.45 kg in all', line({ buy: { g: 2450, count: 7 }, grade: { fromG: 300, toG: 400 } })],
    ['1 fish', '450 g in all', line({ buy: { g: 450, count: 1 }, grade: { fromG: 450, toG: 450 } })],
  ])('%s', (amount, detail, one) => {
    expect(describeAmount(one)).toEqual({ amount, detail })
  })
})

describe('what came of it', () => {
  it.each([
    [null, line()],
    ['Ordered', line({ state: 'ordered' })],
    ['Ordered 2.00 kg; now 3.00 kg is needed', line({ state: 'ordered', orderedG: 2000 })],
    ['Did not come', line({ state: 'not-come' })],
    ['Bought: 3.00 kg at €12.00 a kilo', line({ state: 'bought', g: 3000, perKg: 12 })],
    ['Came short: 1.20 kg', line({ state: 'short', g: 1200 })],
  ])('%s', (words, one) => {
    expect(describePurchase(one)).toBe(words)
  })

  it('names few fish, and counts many', () => {
    expect(nameFish([line(), line(), line({ common: 'ling' })])).toBe('cod and ling')
    expect(nameFish(['a', 'b', 'c', 'd'].map((common) => line({ common })))).toBe('4 fish')
  })
})
