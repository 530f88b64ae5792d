import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays } from '../calendar/index.ts'
import { cases } from '../testing/cases.ts'
import { isOver, listComing, pickPerDish } from './servings.ts'

const TODAY = '2026-06-13'
const servingArbitrary = fc
  .record({ dishId: fc.constantFrom('pie', 'stew', 'rice'), days: fc.option(fc.integer({ min: -20, max: 20 }), { nil: undefined }) })
  .map(({ dishId, days }) => ({ dishId, brief: days === undefined ? {} : { date: addDays(TODAY, days) } }))
const menuArbitrary = fc.array(servingArbitrary, { maxLength: 12 })

describe('servings', () => {
  it('come in the order of their days, and none that is over comes', () => {
    fc.assert(
      fc.property(menuArbitrary, (menu) => {
        const coming = listComing(menu, TODAY)
        expect(coming.length + menu.filter((serving) => isOver(serving, TODAY)).length).toBe(menu.length)
        const days = coming.map(({ brief }) => brief.date ?? '9999')
        expect(days).toEqual([...days].sort())
        for (const day of days) expect(day >= TODAY).toBe(true)
      }),
      { seed: 401, numRuns: cases(200) },
    )
  })

  it('stand for each dish once, by one that is to come where there is any', () => {
    fc.assert(
      fc.property(menuArbitrary, (menu) => {
        const picked = pickPerDish(menu, TODAY)
        expect(new Set(picked.map(({ dishId }) => dishId))).toEqual(new Set(menu.map(({ dishId }) => dishId)))
        expect(new Set(picked.map(({ dishId }) => dishId)).size).toBe(picked.length)
        for (const one of picked) {
          const own = menu.filter(({ dishId }) => dishId === one.dishId)
          expect(isOver(one, TODAY)).toBe(own.every((serving) => isOver(serving, TODAY)))
          const later = own.filter(({ brief }) => (brief.date ?? '') > (one.brief.date ?? ''))
          if (isOver(one, TODAY)) expect(later).toEqual([])
        }
      }),
      { seed: 402, numRuns: cases(200) },
    )
  })
})
