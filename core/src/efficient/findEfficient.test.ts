import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dominates, findEfficient, type Worth } from './index.ts'
import { cases } from '../testing/cases.ts'

const worth: fc.Arbitrary<Worth> = fc.record({
  fit: fc.integer({ min: 0, max: 20 }),
  cost: fc.integer({ min: 1, max: 20 }),
  stock: fc.constant(null),
})

describe('the efficient ones', () => {
  it('are dominated by none, and every other is dominated by one of them', () => {
    fc.assert(
      fc.property(fc.array(worth, { maxLength: 30 }), (all) => {
        const efficient = findEfficient(all)
        for (const one of efficient) expect(all.some((other) => dominates(other, one))).toBe(false)
        for (const one of all) if (!efficient.includes(one)) expect(efficient.some((other) => dominates(other, one))).toBe(true)
      }),
      { seed: 51, numRuns: cases(300) },
    )
  })

  it('cost more only for a better fit', () => {
    fc.assert(
      fc.property(fc.array(worth, { maxLength: 30 }), (all) => {
        const fits = findEfficient(all).map(({ fit }) => fit)
        expect(fits).toEqual([...fits].sort((a, b) => a - b))
      }),
      { seed: 52, numRuns: cases(200) },
    )
  })

  it('keep a dearer fish whose stock stands better', () => {
    const cheap = { fit: 90, cost: 3, stock: 20 }
    const dear = { fit: 90, cost: 4, stock: 80 }
    expect(findEfficient([dear, cheap])).toEqual([cheap, dear])
    expect(findEfficient([{ ...dear, stock: null }, cheap])).toEqual([cheap])
  })
})
