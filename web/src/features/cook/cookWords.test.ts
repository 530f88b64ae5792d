import { COOK_MEDIA, type CookedStage, type CookStage } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sayMinutes, sayRange, saySalt, sayStage, toAsked } from './cookWords.ts'
import { readStages, writeStages } from './stagesInAddress.ts'

describe('minutes as a cook says them', () => {
  it.each([
    [0.2, '½ min'],
    [4.26, '4½ min'],
    [7.1, '7 min'],
    [12.4, '12 min'],
    [119, '119 min'],
    [150, '2½ h'],
    [1440, '24 h'],
  ])('%d are %s', (minutes, text) => {
    expect(sayMinutes(minutes)).toBe(text)
  })

  it.each([
    [8, 12, '8 to 12 min'],
    [90, 150, '90 min to 2½ h'],
    [6.6, 9.9, '6½ to 10 min'],
    [5, 5.1, 'about 5 min'],
  ])('from %d to %d is a range, never a bare minute', (low, high, text) => {
    expect(sayRange({ low, high })).toBe(text)
  })
})

describe('stages', () => {
  const stage: fc.Arbitrary<CookStage> = fc.record(
    {
      medium: fc.constantFrom(...COOK_MEDIA),
      celsius: fc.integer({ min: 20, max: 300 }),
      minutes: fc.integer({ min: 0, max: 400 }).map((quarters) => quarters / 4),
      share: fc.integer({ min: 1, max: 999 }).map((thousandths) => thousandths / 1000),
      turned: fc.constant(true),
    },
    { requiredKeys: ['medium'], noNullPrototype: true },
  )

  it('come back from the address as they went in', () => {
    fc.assert(
      fc.property(
        fc.array(stage, { minLength: 1, maxLength: 6 }),
        (stages) => void expect(readStages(writeStages(stages))).toEqual(stages),
      ),
    )
  })

  it.each([null, '', 'sun~200', '~~~'])('are none in %j', (text) => {
    expect(readStages(text)).toBeUndefined()
  })

  const shown = (patch: Partial<CookedStage>): CookedStage => ({
    ...{ medium: 'pan', celsius: 180, fromMinutes: 0, toMinutes: 9, face: 'skin', turned: false, place: 'burner', rest: false },
    ...patch,
  })

  it('are asked for again as they came out: shares of the whole, the rest at the end', () => {
    const stages = [
      shown({}),
      shown({ fromMinutes: 9, toMinutes: 12, turned: true, face: 'flesh' }),
      shown({ medium: 'rest-board', rest: true, fromMinutes: 12, toMinutes: 15 }),
    ]
    expect(toAsked(stages)).toEqual([
      { medium: 'pan', celsius: 180, share: 0.75 },
      { medium: 'pan', celsius: 180, share: 0.25, turned: true },
      { medium: 'rest-board' },
    ])
  })

  it('say what they are, how hot, and what lies on the heat', () => {
    expect(sayStage(shown({}))).toBe('Pan, 180 °C, skin down')
    expect(sayStage(shown({ medium: 'rest-foil', rest: true }))).toBe('Rest under foil')
  })

  it('weigh out salt for the fish, or for a litre', () => {
    expect(saySalt({ salt: { g: 1.2, to: '100g' } }, 600)).toBe('7 g of salt for 600 g of fish')
    expect(saySalt({ salt: { g: 50, to: 'litre' } }, 600)).toBe('50 g of salt in a litre of water')
    expect(saySalt({ salt: null }, 600)).toBeNull()
  })
})
