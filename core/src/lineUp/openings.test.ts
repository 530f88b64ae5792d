import { createOfferSheet } from '@tender-gill/catalogue'
import type { Brief, OfferSheet } from '@tender-gill/contract'
import type { Told } from '@tender-gill/words'
import type { LeftOutFish } from '../facts/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applyOpenings } from '../gates/index.ts'
import { cases } from '../testing/cases.ts'
import { briefArbitrary } from '../testing/arbitraries.ts'
import { TODAY, around, buildBrief, buildOffer, buildSheet, must } from '../testing/builders.ts'
import { rankLineUp } from './index.ts'
import { told } from '../testing/told.ts'

const book = createOfferSheet(TODAY)
const run = (brief: Brief, sheet: OfferSheet) => must(rankLineUp(brief, sheet, { today: TODAY, shares: false }))
const whyOut = (brief: Brief, sheet: OfferSheet, species: string): Told<LeftOutFish> => {
  const row = run(brief, sheet).leftOut.find((fish) => fish.species === species)
  if (!row) throw new Error(`${species} was not left out`)
  return told(row)
}
/** Landed from May to July alone, and closed in May. */
const summerOnly = {
  seasons: [
    {
      species: 'Piscis unus',
      water: 'bay',
      landings: [0, 0, 0, 0, 8, 10, 8, 0, 0, 0, 0, 0],
      closures: [{ from: '05-01', to: '05-31' }],
    },
  ],
}
const winter = buildBrief({ date: '2026-12-10', waters: 'bay', market: summerOnly })
const fresh = buildOffer('Piscis unus', { origin: 'wild', state: 'fresh' })
const frozen = buildOffer('Piscis unus', { origin: 'wild', state: 'frozen' })

describe('what would let a fish in', () => {
  it('names the nearest month in which it is landed and open', () => {
    const row = whyOut(winter, buildSheet(fresh), 'Piscis unus')
    expect(row).toMatchObject({ gate: 'not-landed', opens: [{ path: '/date', value: '2026-07-15' }] })
    expect(row.opensIf).toBe('Comes in if it is bought in July.')
    expect(run(applyOpenings(winter, row.opens ?? []), buildSheet(fresh)).ranked.map(({ species }) => species)).toEqual(['Piscis unus'])
  })

  it('leads out of a closed season into the month after it, not before it', () => {
    const may = { ...winter, date: '2026-05-20' }
    expect(whyOut(may, buildSheet(fresh), 'Piscis unus')).toMatchObject({
      gate: 'closed-season',
      opensIf: 'Comes in if it is bought in June.',
    })
  })

  it('offers it frozen before it offers waiting for the summer', () => {
    const row = whyOut({ ...winter, state: 'fresh' }, buildSheet(fresh, frozen), 'Piscis unus')
    expect(row).toMatchObject({ gate: 'not-landed', opensIf: 'Comes in if frozen fish is allowed.' })
  })

  it('names no month where the kitchen keeps no year for it', () => {
    const closed = { ...fresh, season: { water: 'bay', landings: 0, condition: null, closed: true } }
    expect(whyOut(buildBrief({ waters: 'bay' }), buildSheet(closed), 'Piscis unus').opensIf ?? '').not.toMatch(/bought in/)
  })

  it('sends a fish that falls apart to a gentler way before it gives up that the dish must hold together', () => {
    const soft = buildOffer('Piscis mollis', { flesh: { cohesion: 1.5, flake: 7 } })
    const row = whyOut(buildBrief({ method: 'grill', format: 'portion' }), buildSheet(soft), 'Piscis mollis')
    expect(row.gate).toBe('cohesion')
    expect(row.opens?.map(({ path }) => path)).toContain('/method')
    expect(row.opensIf).toMatch(/^Comes in if it is cooked another way: /)
  })

  it('cooks what may not be served raw, and keeps the cut where the way takes it', () => {
    const carp = buildOffer('Piscis fluvialis', { water: 'fresh' })
    const row = whyOut(buildBrief({ method: 'raw', format: 'slice', diners: { pregnant: 1 } }), buildSheet(carp), 'Piscis fluvialis')
    expect(row.gates).toEqual(['raw-unsafe', 'vulnerable'])
    expect(row.opens?.[0]?.path).toBe('/method')
    expect(row.opens?.[0]?.value).not.toBe('raw')
  })

  it('prefers a thinner cut to another way of cooking', () => {
    const thin = buildOffer('Piscis tenuis', { depthMm: around(18, 2) })
    expect(whyOut(buildBrief({ thicknessMm: 30 }), buildSheet(thin), 'Piscis tenuis').opensIf).toBe(
      'Comes in if the cut is 20 mm or thinner.',
    )
  })

  it('opens nothing that makes people ill or the law protects, whatever the brief', () => {
    fc.assert(
      fc.property(briefArbitrary, (brief) => {
        for (const { gates, opens } of run(brief, book).leftOut)
          if (gates.some((gate) => ['allergy', 'wax-ester', 'protected'].includes(gate))) expect(opens).toBeUndefined()
      }),
      { seed: 20_261_201, numRuns: cases(25) },
    )
  })

  it('lets every fish in by the months and ways it names, for any brief and any year', () => {
    const names = ['Gadus morhua', 'Scomber scombrus', 'Merluccius merluccius', 'Clupea harengus', 'Sparus aurata']
    const year = fc.array(fc.constantFrom(0, 0, 5, 10), { minLength: 12, maxLength: 12 }).filter((months) => months.some((n) => n > 0))
    const yearly = fc.record({
      brief: briefArbitrary,
      years: fc.tuple(...names.map(() => year)),
      state: fc.constantFrom('any' as const, 'fresh' as const),
    })
    const paths = new Set<string>()
    fc.assert(
      fc.property(yearly, ({ brief, years, state }) => {
        const seasons = names.map((species, i) => ({ species, water: 'bay', landings: years[i] ?? [] }))
        const full: Brief = {
          ...brief,
          ...{ kinds: ['fish'], part: 'any', habitat: 'any', doneness: 'set', spend: 'any' },
          state,
          pool: names,
          waters: 'bay',
          date: '2026-02-15',
          market: { seasons },
        }
        for (const { species, opens, opensIf } of run(full, book).leftOut) {
          if (!opens) continue
          for (const { path } of opens) paths.add(path)
          expect(
            run(applyOpenings(full, opens), book).ranked.map((row) => row.species),
            JSON.stringify(opensIf),
          ).toContain(species)
        }
      }),
      { seed: 20_261_202, numRuns: cases(120) },
    )
    expect([...paths]).toEqual(expect.arrayContaining(['/date', '/method', '/state']))
  })
})
