import type { Season } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { describeTide } from '../../drawings/Tide.tsx'
import { curveOf, setGear, setLeastCm, setMonth, setStroke, shiftHalfYear, startYear } from './yearEdit.ts'

const months = fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 12, maxLength: 12 })
const seasonArbitrary: fc.Arbitrary<Season> = fc.record({
  species: fc.constant('Gadus morhua'),
  water: fc.constant('Sound'),
  landings: months,
  condition: months,
  closures: fc.constant([{ from: '02-01', to: '03-28' }]),
})

describe('painting a year', () => {
  it('sets one month of one curve within its scale, and no other', () => {
    const at = fc.record({
      season: seasonArbitrary,
      curve: fc.constantFrom('landings' as const, 'condition' as const),
      month: fc.integer({ min: 0, max: 11 }),
      value: fc.double({ min: -5, max: 20, noNaN: true }),
    })
    fc.assert(
      fc.property(at, ({ season, curve, month, value }) => {
        const after = setMonth(season, curve, month, value)
        const other = curve === 'landings' ? 'condition' : 'landings'
        expect(curveOf(after, other)).toEqual(curveOf(season, other))
        curveOf(after, curve).forEach((now, i) => {
          if (i !== month) expect(now).toBe(curveOf(season, curve)[i])
          expect(now).toBeGreaterThanOrEqual(0)
          expect(now).toBeLessThanOrEqual(10)
          expect(Number.isInteger(now)).toBe(true)
        })
      }),
    )
  })

  it('shifted by six months twice is the same year', () => {
    fc.assert(
      fc.property(seasonArbitrary, (season) => {
        expect(shiftHalfYear(shiftHalfYear(season))).toEqual(season)
        expect(shiftHalfYear(season).landings[0]).toBe(season.landings[6])
      }),
    )
    expect(shiftHalfYear({ ...startYear('Gadus morhua', 'Sound'), closures: [{ from: '12-15', to: '01-15' }] }).closures).toEqual([
      { from: '06-15', to: '07-15' },
    ])
  })
})

describe('the limits of a year', () => {
  it('are painted by a stroke without a gap, between its ends, and as one point where it stays', () => {
    fc.assert(
      fc.property(seasonArbitrary, fc.nat(11), fc.nat(11), fc.nat(10), fc.nat(10), (season, a, b, from, to) => {
        const { landings } = setStroke(season, 'landings', { month: a, value: from }, { month: b, value: to })
        expect(landings[b]).toBe(to)
        if (a !== b) expect(landings[a]).toBe(from)
        landings.forEach((value, month) => {
          if (month < Math.min(a, b) || month > Math.max(a, b)) expect(value).toBe(season.landings[month])
          else if (a !== b) expect(value >= Math.min(from, to) && value <= Math.max(from, to)).toBe(true)
        })
      }),
      { seed: 904 },
    )
  })

  it('are set as typed and taken away when emptied', () => {
    const year = startYear('Gadus morhua', 'Sound')
    expect(setLeastCm(year, 35).leastCm).toBe(35)
    expect(describeTide(setLeastCm(year, 35), 6)).toContain('from 35 cm')
    expect(describeTide(setGear(year, 'gillnet'), 6)).toContain('Sound, gillnet: most landed')
    expect(setGear(setGear(year, 'gillnet'), '')).toEqual(year)
    expect(setLeastCm({ ...year, leastCm: 30 }, null)).toEqual(year)
  })
})
