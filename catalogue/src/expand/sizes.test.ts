import { describe, expect, it } from 'vitest'
import { listSpecies } from '../book.ts'

describe('sizes to ask for', () => {
  it('cover what the market gives without a gap, from small to large, none empty, of every species that names none of its own', () => {
    for (const { species, grades, offers } of listSpecies()) {
      for (const { fromG, toG } of grades) expect([species, fromG > 0 && fromG < toG]).toEqual([species, true])
      for (const [i, grade] of grades.slice(1).entries()) expect([species, grade.fromG >= (grades[i]?.fromG ?? 0)]).toEqual([species, true])
      expect([species, new Set(grades.map(({ name }) => name)).size]).toEqual([species, grades.length])
      // Every offer of the fish knows them.
      for (const offer of offers) expect(offer.grades).toEqual(grades)
    }
  })

  it('are narrow enough that a fish of one may suit a plate, for most species', () => {
    const all = listSpecies().flatMap(({ grades }) => grades)
    const narrow = all.filter(({ fromG, toG }) => toG / fromG <= 1.6 / 0.85)
    expect(narrow.length / all.length).toBeGreaterThan(0.8)
  })
})
