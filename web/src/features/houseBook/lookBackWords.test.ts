import type { LookBack } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { minutesAgainst, pricesAgainst, sayAgainst, sayFish, sayServices, yieldsAgainst, type Against } from './lookBackWords.ts'

const WORDS = { more: 'dearer', less: 'cheaper', what: 'prices' }
const points = (...values: readonly number[]): readonly Against[] =>
  values.map((ofHundred, i) => ({ day: 20_000 + i, ofHundred, name: 'x' }))

describe('what a chart comes to', () => {
  it('is its middle against what was expected, and over how many', () => {
    expect(sayAgainst(points(104), WORDS)).toBe('Usually 4 of 100 dearer, over 1 prices.')
    expect(sayAgainst(points(90, 96, 150), WORDS)).toBe('Usually 4 of 100 cheaper, over 3 prices.')
    expect(sayAgainst(points(99, 101), WORDS)).toBe('Usually just as expected, over 2 prices.')
    expect(sayAgainst([], WORDS)).toBe('No prices in this time.')
  })

  it('is moved by no single slip, and is the same in whatever order the points stand', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 80, max: 120 }), { minLength: 3, maxLength: 15 }), (values) => {
        expect(sayAgainst(points(...[...values].reverse()), WORDS)).toBe(sayAgainst(points(...values), WORDS))
        const [least, most] = [Math.min(...values), Math.max(...values)]
        const told = Number(/(\d+) of 100/.exec(sayAgainst(points(...values, 10_000), WORDS))?.[1] ?? 0)
        expect(told).toBeLessThanOrEqual(Math.max(100 - least, most - 100))
      }),
    )
  })
})

describe('one thing against what was expected', () => {
  it('is told out of a hundred, with the day and what it was', () => {
    const of = { day: '2026-06-13', common: 'Haddock', currency: 'EUR' }
    const [price] = pricesAgainst({ prices: [{ ...of, perKg: 18, expectedPerKg: 16, merchant: 'Quay' }] } as unknown as LookBack)
    expect(price).toMatchObject({ ofHundred: 112.5, name: 'Haddock, Quay' })
    const [alone] = pricesAgainst({ prices: [{ ...of, perKg: 18, expectedPerKg: 16, merchant: null }] } as unknown as LookBack)
    expect(alone?.name).toBe('Haddock')
    const [yielded] = yieldsAgainst({ yields: [{ ...of, share: 0.4, book: { low: 0.3, typical: 0.5, high: 0.6 } }] } as unknown as LookBack)
    expect(yielded).toMatchObject({ ofHundred: 80, name: 'Haddock' })
    const cooked = { ...of, dish: 'Stew', minutes: 9, sheet: { low: 6, typical: 7.5, high: 9 } }
    expect(minutesAgainst({ minutes: [cooked] } as unknown as LookBack)[0]).toMatchObject({ ofHundred: 120, name: 'Stew' })
  })

  it('is left out where nothing was expected', () => {
    const of = { day: '2026-06-13', common: 'Haddock', currency: 'EUR', merchant: null }
    expect(pricesAgainst({ prices: [{ ...of, perKg: 18, expectedPerKg: 0 }] } as unknown as LookBack)).toEqual([])
  })
})

describe('what a time came to', () => {
  const services = { dishes: 12, again: 9, notAgain: 2, portionsBack: 0 }
  it('counts dishes, what would be taken again, and what came back', () => {
    expect(sayServices({ services })).toBe('12 dishes written down: 9 would be taken again, 2 not; nothing came back.')
    expect(sayServices({ services: { dishes: 1, again: 1, notAgain: 0, portionsBack: 1 } })).toBe(
      '1 dish written down: 1 would be taken again, 0 not; 1 portion came back.',
    )
    expect(sayServices({ services: { ...services, portionsBack: 3 } })).toContain('3 portions came back')
    expect(sayServices({ services: { ...services, dishes: 0 } })).toBe('No dish was written down in this time.')
  })

  it('says where fish went, over all the months, and what the rest saved', () => {
    const month = (usedG: number, thrownG: number, restG: number) => ({ month: '2026-06', usedG, thrownG, restG })
    const say = (fish: readonly ReturnType<typeof month>[], saved: LookBack['saved'] = []) =>
      sayFish({ fish, saved } as unknown as LookBack)
    expect(say([])).toBe('Nothing is written of where fish went.')
    expect(say([month(3_000, 500, 0), month(6_000, 500, 0)])).toMatch(/^1\.00 kg, 10 of 100, of what was kept over was thrown away\.$/)
    expect(say([month(0, 0, 900)])).toMatch(/900 g of the rest went into something else\.$/)
    expect(say([month(9_000, 1_000, 900)], [{ currency: 'EUR', amount: 4.5 }])).toMatch(/something else: €4\.50 saved\.$/)
  })
})
