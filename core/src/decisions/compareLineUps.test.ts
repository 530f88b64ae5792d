import { createOfferSheet } from '@tender-gill/catalogue/book'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { rankLineUp } from '../lineUp/index.ts'
import { cases } from '../testing/cases.ts'
import { briefArbitrary } from '../testing/arbitraries.ts'
import { TODAY, buildBrief, must } from '../testing/builders.ts'
import { compareLineUps } from './index.ts'

const book = createOfferSheet(TODAY)
const rank = (patch: object = {}) =>
  must(rankLineUp(buildBrief({ method: 'stew', format: 'chunk', ...patch }), book, { today: TODAY, shares: false, leftOut: false }))
const monk = { species: 'Lophius piscatorius', common: 'Anglerfish (monkfish)' }

describe('a line-up beside itself', () => {
  it('is identical on the same inputs, for any brief', () => {
    fc.assert(
      fc.property(briefArbitrary, (brief) => {
        const run = () => must(rankLineUp(brief, book, { today: TODAY, shares: false, leftOut: false }))
        expect(compareLineUps(run(), run(), monk)).toMatchObject({ identical: true, moved: [] })
      }),
      { seed: 61, numRuns: cases(15) },
    )
  })

  it('says who led, who leads, and where the chosen one went', () => {
    const before = rank()
    const leader = before.ranked[0]
    const after = rank({ unavailable: [leader?.species] })
    const difference = compareLineUps(before, after, { species: leader?.species ?? '', common: leader?.common ?? '' })
    expect(difference).toMatchObject({ identical: false, leaderThen: leader?.common, leaderNow: before.ranked[1]?.common })
    expect(difference.chosen).toMatchObject({ placeThen: 1, placeNow: null, fitThen: leader?.fit, fitNow: null })
    expect(difference.moved[0]?.species).toBe(leader?.species)
    expect(difference.moved.length).toBeLessThanOrEqual(12)
  })
})
