import { createOfferSheet, listSpecies } from '@tender-gill/catalogue'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BOOK_TRAITS, listBookRows, stepMethodFits } from '../../engine/bookRows.ts'
import {
  GOOD_FIT,
  SORTS,
  STEP_NAMES,
  countSteps,
  describeFlesh,
  filterBook,
  layFits,
  listBest,
  readFilter,
  sortBook,
  stepOf,
} from './bookFilter.ts'
import { listDifferences } from './NameLookup.tsx'

const today = '2026-06-13'
const plain = listBookRows(listSpecies())
function fitAll() {
  const work = stepMethodFits(createOfferSheet(today), today)
  for (;;) {
    const step = work.next()
    if (step.done) return step.value
  }
}
const rows = layFits(plain, fitAll()).map((row) => ({ ...row, fits: row.fits ?? {} }))
const find = (address: string) => {
  const filter = readFilter(new URLSearchParams(address))
  return sortBook(filterBook(rows, filter), filter)
}
const row = (species: string) => rows.find((one) => one.species === species) as (typeof rows)[number]

describe('the lines of the book', () => {
  it('hold every species once, by name', () => {
    expect(rows).toHaveLength(listSpecies().length)
    expect(rows.map(({ common }) => common)).toEqual(rows.map(({ common }) => common).sort((a, b) => a.localeCompare(b, 'en')))
  })

  it('never call a river fish, a bivalve or a protected one good raw', () => {
    for (const { species, fits, warnings, allergen } of rows) {
      if (fits.raw === undefined) continue
      expect(warnings, species).not.toContain('protected')
      expect(warnings, species).not.toContain('wax ester')
      if (allergen === 'fish')
        expect(
          listSpecies()
            .find((sheet) => sheet.species === species)
            ?.offers.some(({ water }) => water === 'sea'),
          species,
        ).toBe(true)
    }
    expect(row('Cyprinus carpio').fits.raw).toBeUndefined()
    expect(row('Magallana gigas').fits.raw).toBeUndefined()
  })

  it('tell a sardine’s flesh in words and what an eel does best', () => {
    expect(describeFlesh(row('Sardina pilchardus'))).toBe('medium firm, medium flakes, oily, strong, some bones')
    expect(listBest(row('Anguilla anguilla')).map(([method]) => method)).toContain('smoke')
    expect(row('Lepidocybium flavobrunneum').warnings).toContain('wax ester')
  })
})

describe('looking for a kind of flesh', () => {
  it('finds what is firm, lean, with few bones and good for a grill, best first', () => {
    const found = find('firmness=high&fat=low&bones=low&method=grill')
    expect(found.length).toBeGreaterThan(5)
    for (const { traits, fits } of found) {
      expect(traits.firmness).toBeGreaterThan(6)
      expect(traits.fat).toBeLessThan(2.5)
      expect(fits?.grill).toBeGreaterThanOrEqual(GOOD_FIT)
    }
    const fits = found.map(({ fits }) => fits?.grill ?? 0)
    expect(fits).toEqual([...fits].sort((a, b) => b - a))
  })

  it('counts on each step what choosing it would leave', () => {
    const step = fc.constantFrom(...STEP_NAMES)
    const trait = fc.constantFrom(...BOOK_TRAITS)
    fc.assert(
      fc.property(trait, trait, step, step, (a, b, stepA, stepB) => {
        const filter = readFilter(new URLSearchParams({ [b]: stepB }))
        expect(countSteps(rows, filter, a)[stepA]).toBe(filterBook(rows, { ...filter, traits: { ...filter.traits, [a]: [stepA] } }).length)
      }),
      { seed: 12, numRuns: 60 },
    )
  })

  it('puts every fish on one step of every trait', () => {
    for (const trait of BOOK_TRAITS) {
      const counts = countSteps(rows, readFilter(new URLSearchParams()), trait)
      expect(counts.low + counts.middle + counts.high).toBe(rows.length)
    }
    expect([stepOf('fat', 2.4), stepOf('fat', 2.5), stepOf('fat', 8.1)]).toEqual(['low', 'middle', 'high'])
  })

  it('passes over what an address says that it does not know', () => {
    expect(find('firmness=rock&region=moon&method=fry')).toHaveLength(rows.length)
  })

  it.each(SORTS.map(([key]) => key))('loses no fish when sorted by %s', (sort) => {
    expect(new Set(find(`sort=${sort}`).map(({ species }) => species)).size).toBe(rows.length)
  })

  it('says in what fish of one name differ', () => {
    const named = ['Anoplopoma fimbria', 'Pampus argenteus', 'Lepidocybium flavobrunneum'].map(row)
    expect(listDifferences(named)).toContain('fat')
    expect(listDifferences([row('Gadus morhua'), row('Gadus morhua')])).toEqual([])
  })
})
