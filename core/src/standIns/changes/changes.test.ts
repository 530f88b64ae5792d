import type { Method, StandInsRequest } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { TODAY, buildBrief, buildOffer, buildSheet, mustTell as must, type OfferPatch } from '../../testing/builders.ts'
import { findStandIns } from '../index.ts'

const ask = (patch: Partial<StandInsRequest>, sheet: ReturnType<typeof buildSheet>) =>
  findStandIns({ ...buildBrief(), missing: 'Piscis absens', ...patch } as StandInsRequest, sheet, { today: TODAY })

/** What changes when one fish takes the place of another in a dish. */
const changesOf = (absent: OfferPatch, other: OfferPatch, patch: Partial<StandInsRequest> = {}) =>
  must(ask(patch, buildSheet(buildOffer('Piscis absens', absent), buildOffer('Piscis alter', other)))).ladder[0]?.changes ?? []
const sentenceOf = (kind: string, ...swap: Parameters<typeof changesOf>) => changesOf(...swap).find((one) => one.kind === kind)?.sentence
const deep = (mm: number) => ({ low: mm - 2, typical: mm, high: mm + 2, basis: 'compiled' as const })

describe('what changes with a swap', () => {
  it('computes minutes for a deeper fish where a medium tells them, and how much longer where none does', () => {
    const sheet = buildSheet(buildOffer('Piscis absens', { depthMm: deep(20) }), buildOffer('Piscis alter', { depthMm: deep(30) }))
    const changeOf = (method: 'poach' | 'smoke', kind: string, patch: object = {}) =>
      must(ask({ method, format: 'portion', missing: 'Piscis absens', ...patch }, sheet)).ladder[0]?.changes.find(
        (one) => one.kind === kind,
      )
    const poached = changeOf('poach', 'cook-time')
    expect(poached?.unit).toBe('min')
    const [, minutes, was] = /about ([\d.]+) min instead of ([\d.]+)/.exec(poached?.sentence ?? '') ?? []
    expect(poached?.delta).toBeCloseTo(Number(minutes) - Number(was), 6)
    // Half as deep again takes about twice as long in water: time grows nearly as the square of depth.
    expect(Number(minutes) / Number(was)).toBeGreaterThan(1.8)
    expect(Number(minutes) / Number(was)).toBeLessThan(2.3)
    expect(changeOf('smoke', 'cook-time')).toMatchObject({ unit: '%', delta: 90 })
    expect(changeOf('poach', 'cook-time', { thicknessMm: 18 })).toBeUndefined()
  })

  it('advises nothing that cannot be done: no turning of mince, no basting in a pot, no depth of what is minced', () => {
    const fragile = { flesh: { cohesion: 2, tolerance: 5, fat: 0.5 }, depthMm: deep(16) }
    const firm = { flesh: { cohesion: 7, tolerance: 6, fat: 8 }, depthMm: deep(38) }
    const told = (method: Method, format: StandInsRequest['format']) =>
      changesOf(firm, fragile, { method, format, asks: { cohesion: { pull: 0, loosens: true }, fat: { pull: 0, loosens: true } } })
        .map(({ sentence }) => sentence)
        .join(' ')
    const minced = told('mince', 'mince')
    expect(minced).not.toBe('')
    expect(minced).not.toMatch(/turn|lift|larger|baste|deep/)
    for (const method of ['braise', 'stew', 'curry', 'poach', 'steam', 'deep-fry', 'sous-vide'] as const) {
      const words = told(
        method,
        method === 'poach' || method === 'steam' || method === 'deep-fry' || method === 'sous-vide' ? 'portion' : 'chunk',
      )
      expect([method, words]).toEqual([method, expect.not.stringMatching(/baste|brush|turn once/)])
    }
  })

  it('computes what changes in numbers: weight, price, fat, bones and handling', () => {
    const market = {
      prices: [
        { species: 'Piscis absens', form: 'fillet-skinless' as const, price: 20, currency: 'EUR', unit: 'kg' as const },
        { species: 'Piscis alter', form: 'gutted' as const, price: 9, currency: 'EUR', unit: 'kg' as const },
      ],
    }
    const other = buildOffer('Piscis alter', {
      flesh: { fat: 12, cohesion: 4, flavour: 5 },
      bones: { ...buildOffer('x y').bones, 'fillet-pinned': { low: 2, typical: 2.5, high: 3, basis: 'compiled' } },
    })
    const { ladder } = must(
      ask(
        { method: 'curry', format: 'chunk', missing: 'Piscis absens', market, budget: { perPortion: 9, currency: 'EUR' } },
        buildSheet(buildOffer('Piscis absens'), other),
      ),
    )
    const deltas = Object.fromEntries((ladder[0]?.changes ?? []).map(({ kind, delta }) => [kind, delta]))
    expect(deltas).toMatchObject({ bones: 2, fat: 8, handling: -2, seasoning: 2 })
    const readyG = (4 * 150) / (0.94 * 0.8)
    expect(deltas.weight).toBe(Math.round(readyG * (0.88 / 0.42) - readyG))
    expect(deltas.price).toBeCloseTo((readyG / 4000) * (9 * (0.88 / 0.42) - 20), 2)
  })

  it.each(['pan-sear', 'shallow-fry', 'deep-fry', 'grill', 'broil', 'roast', 'sous-vide', 'steam', 'braise'] as const)(
    'tells minutes for a deeper fish: %s',
    (method: Method) => {
      const format = method === 'braise' ? 'chunk' : 'portion'
      const time = changesOf({ depthMm: deep(18) }, { depthMm: deep(28) }, { method, format }).find(({ kind }) => kind === 'cook-time')
      expect(time).toMatchObject({ unit: 'min' })
      expect(time?.delta).toBeGreaterThan(0)
      expect(time?.sentence).toContain('±20 %, check the middle')
    },
  )

  it('tells minutes for a whole fish by its build: a round one of the same weight takes longer than a flat one', () => {
    const whole = { method: 'roast-whole', format: 'whole', wholeServes: null } as const
    const time = changesOf({ body: 'flat' }, { body: 'round' }, whole).find(({ kind }) => kind === 'cook-time')
    expect(time).toMatchObject({ unit: 'min', sentence: expect.stringContaining('the fish') })
  })

  it('asks for a short brine where a soft lean fish comes to dry heat, and drops it for a firm one', () => {
    const soft = { flesh: { firmness: 3.5, fat: 1 } }
    const firm = { flesh: { firmness: 6, fat: 1 } }
    expect(sentenceOf('seasoning', firm, soft)).toMatch(/5 % brine/)
    expect(sentenceOf('seasoning', soft, firm)).toMatch(/^No brine/)
    expect(sentenceOf('seasoning', firm, soft, { method: 'poach' })).toBeUndefined()
  })

  it('saves a fragile fish in the way of the dish: a basket on the grill, larger chunks in a stew', () => {
    const fragile = { flesh: { cohesion: 4.4 } }
    expect(sentenceOf('handling', {}, fragile, { method: 'grill' })).toMatch(/basket/)
    expect(sentenceOf('handling', {}, fragile, { method: 'stew', format: 'chunk' })).toMatch(/larger chunks/)
  })

  it('tells better and poorer flesh where the kitchen keeps the year of both', () => {
    const market = {
      seasons: ['Piscis absens', 'Piscis alter'].map((species, i) => ({
        species,
        water: 'bay',
        landings: Array.from({ length: 12 }, () => 5),
        condition: Array.from({ length: 12 }, () => (i === 0 ? 4 : 8)),
      })),
    }
    expect(sentenceOf('season', {}, {}, { waters: 'bay', market })).toBe('In better flesh at this time of year: 8 of 10 against 4.')
    expect(sentenceOf('season', {}, {})).toBeUndefined()
  })
})
