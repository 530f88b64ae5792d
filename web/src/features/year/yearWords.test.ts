import { describe, expect, it } from 'vitest'
import { describeBest, describeYear, isAmongBest, listRuns } from './yearWords.ts'

const year = (leaders: string) =>
  [...leaders].map((letter, i) => ({
    month: i + 1,
    date: `2026-${i + 1}-15`,
    able: 1,
    leader: letter === '.' ? null : { species: letter, common: { c: 'cod', h: 'hake', l: 'ling' }[letter] ?? '', fit: 90, firstShare: 0.5 },
    shares: [],
    best: { c: 90, h: 80, l: 70 }[letter] ?? null,
    fits: [],
  }))

describe('when a dish is at its best', () => {
  it.each([
    ['hhhhcchhhhhh', 'Best from May to June'],
    ['chhhhhhhhhhc', 'Best from December to January'],
    ['hhchhhhhchhh', 'Best in March and in September'],
    ['ccchcccccccc', 'Good all year, less so in April'],
    ['cccccccccccc', 'As good in any month'],
    ['cccccc......', 'Best from January to June'],
    ['............', 'No fish can do it in any month'],
  ])('of %s is “%s”', (leaders, words) => {
    expect(describeBest({ months: year(leaders) })).toBe(words)
  })

  it('is in no month where all are alike, and in none in which it cannot be', () => {
    expect([90, 90.4, 89.6].map((fit) => isAmongBest([90, 90.4, 89.6], fit))).toEqual([false, false, false])
    expect([90, 60, null].map((fit) => isAmongBest([90, 60, null], fit))).toEqual([true, false, false])
  })
})

describe('who leads when', () => {
  it.each([
    ['cccccccccccc', 'cod, all the year round'],
    ['............', 'No fish can do it in any month'],
    ['ccchhhhhhccc', 'Hake from April to September and cod from October to March'],
    ['chhhhhhhhhhh', 'Cod in January and hake from February to December'],
    ['ccccllll....', 'Cod from January to April, ling from May to August and nobody from September to December'],
  ])('of %s is “%s”', (leaders, words) => {
    expect(describeYear({ months: year(leaders) })).toBe(words)
  })

  it('covers every month once', () => {
    const runs = listRuns(year('cchhllcchhcc'))
    const covered = runs.flatMap(({ from, to }) => Array.from({ length: ((to - from + 12) % 12) + 1 }, (_, i) => ((from - 1 + i) % 12) + 1))
    expect(covered.sort((a, b) => a - b)).toEqual(Array.from({ length: 12 }, (_, i) => i + 1))
  })
})
