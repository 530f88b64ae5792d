import type { Form, Price } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createFindSpecies } from '../brief/index.ts'
import { applyMarket } from '../market/index.ts'
import { TODAY, buildBrief, buildOffer, buildSheet, mustTell } from '../testing/builders.ts'
import { cases } from '../testing/cases.ts'
import { compareForms } from './index.ts'

const OFFERS = [buildOffer('Piscis unus'), buildOffer('Piscis unus', { state: 'frozen' })]
const FORMS: readonly Form[] = ['whole', 'gutted', 'fillet-skin-on', 'fillet-skinless']
const quote = (form: Form, price: number): Price => ({
  species: 'Piscis unus',
  state: 'fresh',
  form,
  price,
  currency: 'EUR',
  unit: 'kg',
  date: TODAY,
})
const sheetOf = (prices: readonly Price[]) =>
  buildSheet(...applyMarket(OFFERS, { prices: [...prices] }, { date: TODAY, waters: null, findSpecies: createFindSpecies(OFFERS) }))
const request = { ...buildBrief({ method: 'poach', format: 'chunk', covers: 8 }), fish: 'Piscis unus' }
const rowsOf = (prices: readonly Price[], labourPerHour = 0) =>
  mustTell(
    compareForms(
      request,
      { ...sheetOf(prices), ...(labourPerHour > 0 ? { leanings: { labour: { perHour: labourPerHour, currency: 'EUR' } } } : {}) },
      { today: TODAY },
    ),
  )
const priced = (rows: ReturnType<typeof rowsOf>) => rows.filter(({ perPortion }) => perPortion !== null)

describe('one fish in every form it can be bought in', () => {
  const pricesArbitrary = fc.tuple(...FORMS.map(() => fc.integer({ min: 4, max: 40 })))

  it('stands by the cost of an edible portion, and at its break-even price costs what the cheapest other does', () => {
    fc.assert(
      fc.property(pricesArbitrary, fc.constantFrom(0, 20, 60), (prices, labour) => {
        const quotes = FORMS.map((form, i) => quote(form, prices[i] ?? 10))
        const rows = priced(rowsOf(quotes, labour))
        expect(rows.length).toBe(FORMS.length)
        expect(rows.map(({ perPortion }) => perPortion)).toEqual(
          rows.map(({ perPortion }) => perPortion).sort((a, b) => (a ?? 0) - (b ?? 0)),
        )
        for (const row of rows) {
          const others = Math.min(...rows.filter((other) => other !== row).map(({ perPortion }) => perPortion ?? Infinity))
          if (!row.breakEvenPerKg) continue
          const again = priced(
            rowsOf(
              quotes.map((one) => (one.form === row.form ? quote(row.form, row.breakEvenPerKg ?? 0) : one)),
              labour,
            ),
          )
          expect(again.find(({ form }) => form === row.form)?.perPortion).toBeCloseTo(others, 6)
        }
      }),
      { seed: 101, numRuns: cases(30) },
    )
  })

  it('costs more the more is to be done, never less where work is dearer', () => {
    const quotes = FORMS.map((form) => quote(form, 12))
    const [none, dear] = [priced(rowsOf(quotes)), priced(rowsOf(quotes, 60))]
    for (const row of none) expect(dear.find(({ form }) => form === row.form)?.perPortion ?? 0).toBeGreaterThan(row.perPortion ?? 0)
    const minutesOf = (form: Form) => none.find((row) => row.form === form)?.minutes ?? 0
    expect(minutesOf('whole')).toBeGreaterThan(minutesOf('gutted'))
    expect(minutesOf('gutted')).toBeGreaterThan(minutesOf('fillet-skinless'))
  })

  it('says what is not known, and how long each keeps: frozen fish begins its clock when it is thawed', () => {
    const rows = rowsOf([quote('whole', 9)])
    expect(priced(rows).map(({ form }) => form)).toEqual(['whole'])
    const unknown = rows.find(({ form, offerId }) => form === 'fillet-skinless' && offerId.includes('fresh'))
    expect(unknown).toMatchObject({ perPortion: null, perKg: null })
    expect(unknown?.breakEvenPerKg).toBeGreaterThan(9)
    const daysOf = (state: string) => rows.find(({ offerId }) => offerId.includes(state))?.daysLeft
    expect(daysOf('frozen')?.low).toBe(daysOf('frozen')?.high)
    expect(daysOf('fresh')?.low).toBeLessThan(daysOf('fresh')?.high ?? 0)
  })
})
