import { describe, expect, it } from 'vitest'
import { describeYear, listRuns } from './yearWords.ts'

const year = (leaders: string) =>
  [...leaders].map((letter, i) => ({
    month: i + 1,
    date: `2026-${i + 1}-15`,
    able: 1,
    leader: letter === '.' ? null : { species: letter, common: { c: 'cod', h: 'hake', l: 'ling' }[letter] ?? '', fit: 90, firstShare: 0.5 },
    shares: [],
  }))

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
