import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { describeSupply } from './supply.ts'

describe('how far what lies there goes', () => {
  it.each([
    [null, ''],
    [1.02, 'What lies there is just enough.'],
    [1.5, 'What lies there is enough, with 2.00 kg over.'],
    [0.5, 'What lies there feeds 12 of 24: 2.00 kg more is needed.'],
    [0.02, 'What lies there is not enough for one: 3.92 kg more is needed.'],
  ])('of a share of %s says “%s”', (share, words) => {
    expect(describeSupply({ share, buyG: 4000 }, 24)).toBe(words)
  })

  it('never feeds more than it can', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.999, noNaN: true }), fc.integer({ min: 1, max: 500 }), (share, covers) => {
        const fed = Number(/feeds (\d+)/.exec(describeSupply({ share, buyG: 1000 }, covers))?.[1] ?? 0)
        expect(fed).toBeLessThanOrEqual(share * covers + 1e-6)
      }),
    )
  })
})
