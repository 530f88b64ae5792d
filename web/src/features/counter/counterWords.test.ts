import type { BuyLine, ColdPlaceRecord, Purchase } from '@tender-gill/contract'
import { LOOK_OUTCOMES } from '@tender-gill/contract/vocabulary'
import { addDays } from '@tender-gill/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { describeBought, describeCame, describeFor, describeWanted, nameLine, OUTCOME_WORDS, saySo } from './counterWords.ts'
import { fridgeC, hoursUntil, readKeep } from './waiting.ts'

const TODAY = '2026-06-13'
const line = (patch: object = {}): BuyLine =>
  ({
    ...{ common: 'Haddock', form: 'fillet-skin-on', asks: [], buy: { g: 2_400, count: null, packs: null } },
    ...{ servings: [{ dish: 'Pie' }, { dish: 'Stew' }, { dish: 'Pie' }], limit: { perKg: 18 }, currency: 'EUR' },
    ...patch,
  }) as unknown as BuyLine

describe('what is to be bought, in words', () => {
  it('is the fish as one asks for it, how much of it, and what is to be done to it', () => {
    expect(nameLine(line())).toBe('Haddock, fillet, skin on')
    expect(describeWanted(line())).toBe('2.40 kg')
    expect(describeWanted(line({ buy: { g: 2_400, count: 6, packs: null }, asks: ['scaled'] }))).toBe('6 fish, 2.40 kg, scaled')
    expect(describeWanted(line({ buy: { g: 4_000, count: null, packs: 1 } }))).toBe('1 box, 4.00 kg')
    expect(describeWanted(line({ buy: { g: 8_000, count: null, packs: 2 } }))).toBe('2 boxes, 8.00 kg')
  })

  it('names each dish once, and the price that is not gone past where there is one', () => {
    expect(describeFor(line())).toBe('Pie and Stew. Not past €18.00 a kilo')
    expect(describeFor(line({ limit: null }))).toBe('Pie and Stew')
  })

  it('is said to the fishmonger in one breath, nothing twice', () => {
    const said = { common: 'Haddock', form: 'fillet-skin-on' as const, asks: ['skin on', 'pinned'], amount: '2.4 kg' }
    expect(saySo(said)).toBe('“2.4 kg of haddock, fillet, skin on, pinned, please.”')
  })

  it('has a word of its own for each thing that can be done', () => {
    expect(Object.keys(OUTCOME_WORDS).sort()).toEqual([...LOOK_OUTCOMES].sort())
    expect(new Set(Object.values(OUTCOME_WORDS)).size).toBe(LOOK_OUTCOMES.length)
  })
})

describe('what came', () => {
  const purchase = { state: 'bought', g: 2_000, perKg: 17.5, currency: 'EUR' } as unknown as Purchase
  it('is its weight and what was paid for all of it', () => {
    expect(describeBought(purchase)).toBe('2.00 kg at €17.50 a kilo, €35.00')
    expect(describeBought({ ...purchase, perKg: null })).toBe('2.00 kg')
    expect(describeBought({ ...purchase, state: 'short' })).toMatch(/^Came short: 2\.00 kg/)
  })

  it('is told once it came or did not, and not while it is still to be got', () => {
    const came = (state: string, outcome?: string) =>
      describeCame({ line: line(), purchase: { purchase: { ...purchase, state } }, look: outcome ? { outcome } : null } as never)
    expect(describeCame({ line: line(), purchase: undefined, look: undefined } as never)).toBeNull()
    expect(came('bought')).toBe(describeBought(purchase))
    expect(came('not-come')).toBe('Not there')
    expect(came('not-come', 'walk-away')).toBe('Walked away')
  })
})

describe('how long a fish waits', () => {
  const clock = fc
    .tuple(fc.integer({ min: 0, max: 23 }), fc.integer({ min: 0, max: 59 }))
    .map(([hour, minute]) => `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`)

  it('is a day longer for each day, at least an hour, and shorter as the day goes on', () => {
    fc.assert(
      fc.property(clock, clock, fc.integer({ min: 1, max: 9 }), (one, other, ahead) => {
        const until = (days: number, time: string) => hoursUntil(addDays(TODAY, days), TODAY, time)
        expect(until(ahead + 1, one) - until(ahead, one)).toBeCloseTo(24, 9)
        expect(until(0, one)).toBeGreaterThanOrEqual(1)
        if (one < other) expect(until(ahead, one)).toBeGreaterThan(until(ahead, other))
      }),
    )
    expect(hoursUntil(null, TODAY, '09:00')).toBe(24)
    expect(hoursUntil(addDays(TODAY, -3), TODAY, '09:00')).toBe(1)
  })

  it('is until the last of its dishes, as warm as the fridge is', () => {
    const places = [
      { place: { kind: 'freezer', usualC: -18 } },
      { place: { kind: 'fridge', usualC: 2.5 } },
    ] as unknown as readonly ColdPlaceRecord[]
    expect(fridgeC(places)).toBe(2.5)
    expect(fridgeC([])).toBe(3)
    const now = new Date('2026-06-13T10:00:00Z')
    const servings = [{ date: TODAY }, { date: addDays(TODAY, 2) }]
    const kitchen = { today: TODAY, zone: 'UTC' }
    const { hours, tempC } = readKeep(servings, kitchen, places, now)
    expect(tempC).toBe(2.5)
    expect(hours).toBeCloseTo(hoursUntil(addDays(TODAY, 2), TODAY, '10:00'), 9)
    expect(readKeep([...servings].reverse(), kitchen, places, now).hours).toBe(hours)
  })
})
