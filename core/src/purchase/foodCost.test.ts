import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { computeFoodCost } from './index.ts'

const euro = (low: number, typical: number, high: number) => ({ low, typical, high, currency: 'EUR' })

describe('the fish as a share of the menu price', () => {
  it('is the cost over the price, end by end, whatever the money', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 60, noNaN: true }), fc.double({ min: 1, max: 90, noNaN: true }), (cost, perPortion) => {
        const told = computeFoodCost(euro(cost * 0.9, cost, cost * 1.2), { perPortion, currency: 'EUR' }, 0.3)
        expect((told?.share.typical ?? NaN) * perPortion).toBeCloseTo(cost, 9)
        expect(told?.share.low).toBeLessThanOrEqual(told?.share.typical ?? NaN)
        expect(told?.share.high).toBeGreaterThanOrEqual(told?.share.typical ?? NaN)
      }),
      { seed: 151 },
    )
  })

  it('is not told without a price on either side, nor across two currencies', () => {
    const menuPrice = { perPortion: 16, currency: 'EUR' }
    expect(computeFoodCost(null, menuPrice, 0.3)).toBeNull()
    expect(computeFoodCost(euro(3, 4, 5), undefined, 0.3)).toBeNull()
    expect(computeFoodCost({ ...euro(3, 4, 5), currency: 'GBP' }, menuPrice, 0.3)).toBeNull()
    expect(computeFoodCost(euro(3, 4, 5), menuPrice, undefined)?.target).toBeNull()
  })
})
