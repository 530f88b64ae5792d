import type { Brief } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { briefArbitrary } from '../testing/arbitraries.ts'
import { TODAY, buildBrief, buildOffer } from '../testing/builders.ts'
import { cases } from '../testing/cases.ts'
import { createFindSpecies, createNormalise, normaliseBrief } from './index.ts'

const options = { findSpecies: createFindSpecies([buildOffer('Piscis unus')]), today: TODAY }
const market = (from: string): NonNullable<Brief['market']> => ({
  seasons: [{ species: 'Piscis unus', water: 'bay', landings: [0, 0, 0, 0, 8, 10, 8, 0, 0, 0, 0, 0], closures: [{ from, to: '05-31' }] }],
})

describe('briefs that are read once each', () => {
  it('are read as each would be by itself, in whatever order they come and however often', () => {
    fc.assert(
      fc.property(fc.array(briefArbitrary, { minLength: 1, maxLength: 6 }), (briefs) => {
        const normalise = createNormalise(options)
        for (const brief of [...briefs, ...briefs]) expect(normalise(brief)).toEqual(normaliseBrief(brief, options))
      }),
      { seed: 501, numRuns: cases(60) },
    )
  })

  it('are told apart by their markets, and known again by what they say and not by the object', () => {
    const normalise = createNormalise(options)
    const [one, other] = [market('05-01'), market('05-15')]
    const first = normalise(buildBrief({ market: one }))
    expect(normalise(buildBrief({ market: one }))).toBe(first)
    expect(normalise(buildBrief({ market: other }))).not.toBe(first)
    expect(normalise(buildBrief())).not.toBe(first)
    expect(normalise(buildBrief())).toBe(normalise(buildBrief()))
  })
})
