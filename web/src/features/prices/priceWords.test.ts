import type { PriceHistory } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { describeBasis, describeUsual } from './priceWords.ts'

const series = (typical: number, patch: object = {}): PriceHistory['series'][number] => ({
  ...{ offerId: 'x', offer: 'wild, fresh', form: 'whole', currency: 'EUR', usualPerKg: 20, portionCost: null, quotes: [], days: [] },
  now: { perKg: { low: typical * 0.9, typical, high: typical * 1.1 }, quotes: 12, ageDays: 3, halfLifeDays: 14, slips: 0, ...patch },
})

describe('a price in words', () => {
  it('is held against its usual price for the month, where that is known', () => {
    expect([18, 20.4, 26].map((typical) => describeUsual(series(typical)))).toEqual([
      '10 % below its usual price for the month, €20.00 a kilo.',
      'At its usual price for the month, €20.00 a kilo.',
      '30 % above its usual price for the month, €20.00 a kilo.',
    ])
    expect(describeUsual({ ...series(18), usualPerKg: null })).toContain('Too few days')
  })

  it('says what it rests on: quotes, their age, how long they count, and slips', () => {
    expect(describeBasis(series(20))).toBe(
      'From 12 quotes, the last 3 days old; a quote counts half after 14 days. Nine in ten days lie within €18.00 to 22.00.',
    )
    expect(describeBasis(series(20, { quotes: 1, ageDays: 0, halfLifeDays: 0.15, slips: 2 }))).toBe(
      'From 1 quote, the last from today; the last quote decides. Nine in ten days lie within €18.00 to 22.00. 2 days were set aside as a slip.',
    )
  })
})
