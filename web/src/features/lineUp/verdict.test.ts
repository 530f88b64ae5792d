import type { RankedFish } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { describeVerdict } from './verdict.ts'

const fish = (common: string, firstShare: number, tossUp = false) => ({ common, firstShare, tossUp, fit: 90 + firstShare }) as RankedFish

describe('the verdict over a line-up', () => {
  it('is nothing where nobody stands in line', () => {
    expect(describeVerdict([])).toBeNull()
  })

  it.each([
    [[fish('Hake', 1)], 'Hake', 'The only one that can do it.'],
    [[fish('Hake', 0.83), fish('Cod', 0.1)], 'Hake, clearly', 'It stands first in 83 of 100 draws.'],
    [[fish('Hake', 0.41), fish('Cod', 0.2)], 'Hake, narrowly', 'It stands first in 41 of 100 draws; the others share the rest.'],
    [
      [fish('Hake', 0.4, true), fish('Cod', 0.35, true), fish('Ling', 0.1)],
      'A toss-up: Hake and Cod',
      'First in 40, 35 of 100 draws. Let price, or the look of it, decide.',
    ],
    [
      [fish('Hake', 0.3, true), fish('Cod', 0.25, true), fish('Ling', 0.2, true)],
      'A toss-up: Hake, Cod and Ling',
      'First in 30, 25, 20 of 100 draws. Let price, or the look of it, decide.',
    ],
  ])('of %j is “%s”', (ranked, headline, words) => {
    expect(describeVerdict(ranked)).toEqual({ headline, words })
  })

  it('names four at most and says how many more', () => {
    const level = ['Hake', 'Cod', 'Ling', 'Tusk', 'Saithe', 'Pollack'].map((name, i) => fish(name, i === 0 ? 0.3 : 0.14, true))
    expect(describeVerdict(level)?.headline).toBe('A toss-up: Hake, Cod, Ling, Tusk and 2 more')
  })

  it('says that nobody stands out where none of many comes first in a fifth of the draws', () => {
    const level = ['Hake', 'Cod', 'Ling', 'Tusk', 'Saithe', 'Pollack'].map((name, i) => fish(name, i === 2 ? 0.12 : 0.09, true))
    expect(describeVerdict(level)).toEqual({
      headline: 'Nobody stands out: 6 fish do it alike',
      words:
        'Hake, Cod, Ling and Tusk among them; none comes first in more than 12 of 100 draws. Take the cheapest, or the one that looks best.',
    })
  })

  it('always names the leader, and nobody who is told apart from it', () => {
    const anyFish = fc.record({
      common: fc.constantFrom('Hake', 'Cod', 'Ling', 'Tusk'),
      firstShare: fc.double({ min: 0, max: 1, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.uniqueArray(anyFish, { minLength: 1, maxLength: 4, selector: ({ common }) => common }), fc.nat(4), (all, level) => {
        const ranked = all.map(({ common, firstShare }, i) => fish(common, firstShare, level > 1 && i < level))
        const headline = describeVerdict(ranked)?.headline ?? ''
        expect(headline).toContain(ranked[0]?.common)
        for (const { common } of ranked.slice(Math.max(1, level))) expect(headline).not.toContain(common)
      }),
    )
  })

  it('says of those that meet everything alike which stands first, and why', () => {
    const alike = ['Cod', 'Haddock', 'Hake'].map((common) => ({ ...fish(common, 0.33, true), fit: 100 }))
    expect(describeVerdict(alike)).toEqual({
      headline: 'Cod, among equals',
      words: '3 fish meet this as well, Haddock and Hake among them: the best known stands first. Let price, or the look of it, decide.',
    })
    expect(describeVerdict(alike, true)?.words).toContain('the dear ones stand last')
  })
})
