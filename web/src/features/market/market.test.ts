import type { Season, Stock } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { describeTide, shareOfBest } from '../../drawings/Tide.tsx'
import { describePlace, partsOf, readNumber, setPart, setPlace, setYear } from './stockForm.ts'
import { curveOf, setGear, setLeastCm, setMonth, shiftHalfYear, startYear } from './yearEdit.ts'

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

describe('the tide', () => {
  it('says the best months, this month, the flesh and what is closed', () => {
    const season: Season = {
      species: 'Zeus faber',
      water: 'Sound',
      landings: [0, 0, 0, 0, 0, 5, 10, 10, 0, 0, 0, 0],
      condition: [5, 5, 5, 5, 5, 6, 7, 8, 8, 8, 7, 6],
      closures: [{ from: '02-01', to: '03-31' }],
    }
    expect(describeTide(season, 6)).toBe('Sound: most landed in July, August; in June 50 of 100, flesh 6 of 10; closed 02-01 to 03-31')
    expect(shareOfBest([0, 0])).toEqual([0, 0])
  })
})

describe('evidence on a stock', () => {
  const stock: Stock = { species: 'Gadus morhua', origin: 'wild', biomassRatio: { value: 0.8, year: 2020 } }

  it('asks the parts that belong to how the fish lives', () => {
    expect(partsOf(stock).map(({ part }) => part)).toEqual(['biomassRatio', 'pressureRatio', 'gearScore', 'managementScore'])
    expect(partsOf({ ...stock, origin: 'farmed' }).map(({ part }) => part)).toEqual(['feed', 'escapes', 'disease', 'discharge'])
  })

  it('keeps the year of a part whose value changes, names this year for a new one, and forgets an emptied one', () => {
    expect(setPart(stock, 'biomassRatio', 1, 2026).biomassRatio).toEqual({ value: 1, year: 2020 })
    expect(setPart(stock, 'gearScore', 70, 2026).gearScore).toEqual({ value: 70, year: 2026 })
    expect(setPart(stock, 'biomassRatio', undefined, 2026)).toEqual({ species: 'Gadus morhua', origin: 'wild' })
    expect(setYear(stock, 'biomassRatio', 2024).biomassRatio).toEqual({ value: 0.8, year: 2024 })
    expect(setYear(stock, 'gearScore', 2024)).toBe(stock)
  })

  it.each([
    ['', { kind: 'none' }],
    ['0,8', { kind: 'number', value: 0.8 }],
    ['101', { kind: 'wrong' }],
    ['-1', { kind: 'wrong' }],
    ['much', { kind: 'wrong' }],
  ])('reads %j', (text, read) => {
    expect(readNumber(text, 100)).toEqual(read)
  })
})

describe('places and limits', () => {
  it('are set as typed and taken away when emptied', () => {
    const stock: Stock = { species: 'Gadus morhua', origin: 'wild' }
    const caught = setPlace(setPlace(stock, 'water', 'Sound'), 'gear', 'longline')
    expect(describePlace(caught)).toBe('Sound, by longline')
    expect(setPlace(setPlace(caught, 'gear', ' '), 'water', '')).toEqual(stock)
    const year = startYear('Gadus morhua', 'Sound')
    expect(setLeastCm(year, '35').leastCm).toBe(35)
    expect(describeTide(setLeastCm(year, '35'), 6)).toContain('from 35 cm')
    expect(describeTide(setGear(year, 'gillnet'), 6)).toContain('Sound, gillnet: most landed')
    expect(setGear(setGear(year, 'gillnet'), '')).toEqual(year)
    for (const text of ['', '0', 'x', '900']) expect(setLeastCm({ ...year, leastCm: 30 }, text)).toEqual(year)
  })
})
