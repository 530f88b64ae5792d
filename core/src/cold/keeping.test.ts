import { describe, expect, it } from 'vitest'
import { computeDaysLeft, computeIceDays, computeSpoilageRate } from './index.ts'

describe('spoilage', () => {
  it.each([
    [-1, 0.81],
    [0, 1],
    [4, 1.96],
    [10, 4],
    [15, 6.25],
    [-12, 0],
  ])('runs at %f °C %f times as fast as on ice', (tempC, rate) => {
    expect(computeSpoilageRate(tempC)).toBeCloseTo(rate, 9)
  })

  it('uses 3.92 days on ice in 48 hours at 4 °C', () => {
    expect(computeIceDays({ hours: 48, tempC: 4 })).toBeCloseTo(3.92, 9)
  })

  it('leaves a lean fish 9 days of 12 at a usual age, half its days for raw use, and starts a frozen one at thawing', () => {
    expect(computeDaysLeft({ storage: 'lean', state: 'fresh' }, { servedRaw: false })).toEqual({ low: 6, typical: 9, high: 11 })
    expect(computeDaysLeft({ storage: 'lean', state: 'fresh' }, { servedRaw: true }).typical).toBe(3)
    expect(computeDaysLeft({ storage: 'lean', state: 'frozen' }, { servedRaw: false }).typical).toBe(9)
    expect(computeDaysLeft({ storage: 'small-pelagic', state: 'fresh' }, { servedRaw: false }).low).toBe(0)
  })
})
