import type { OfferSheet, Season } from '@tender-gill/contract'
import { parseYearOfDish } from '@tender-gill/contract/validators'
import { describe, expect, it } from 'vitest'
import { rankLineUp } from '../lineUp/index.ts'
import { TODAY, buildBrief, buildOffer, buildSheet, mustTell as must } from '../testing/builders.ts'
import { findYearOfDish } from './index.ts'

const season = (species: string, landings: readonly number[]): Season => ({
  species,
  water: 'sound',
  landings: [...landings],
  condition: landings.map((n) => Math.min(10, n)),
})
const WINTER = [10, 10, 10, 8, 2, 0, 0, 0, 2, 8, 10, 10]
const SUMMER = [0, 0, 2, 6, 10, 10, 10, 10, 6, 2, 0, 0]
const sheet: OfferSheet = {
  ...buildSheet(buildOffer('Piscis hiemis'), buildOffer('Piscis aestatis')),
  seasons: [season('Piscis hiemis', WINTER), season('Piscis aestatis', SUMMER)],
}
const year = (patch = {}, on: OfferSheet = sheet) => must(findYearOfDish(buildBrief({ waters: 'sound', ...patch }), on, { today: TODAY }))

describe('a dish over the year', () => {
  it('is led in winter by the fish of winter, and in summer by that of summer', () => {
    const { months, known, fish } = year()
    expect(known).toBe(true)
    expect(months[0]?.leader?.species).toBe('Piscis hiemis')
    expect(months[6]?.leader?.species).toBe('Piscis aestatis')
    expect(fish.map(({ species }) => species).sort()).toEqual(['Piscis aestatis', 'Piscis hiemis'])
    for (const { shares } of months) expect(shares.reduce((sum, share) => sum + share, 0)).toBeLessThanOrEqual(1.001)
  })

  it('is in every month what the line-up of that day says', () => {
    for (const { date, leader, able } of year().months) {
      const { ranked } = must(rankLineUp(buildBrief({ waters: 'sound', date, draws: 400 }), sheet, { today: TODAY }))
      expect(ranked.length).toBe(able)
      expect(Math.max(...ranked.map(({ firstShare }) => firstShare))).toBe(leader?.firstShare)
      expect(ranked.find(({ species }) => species === leader?.species)).toMatchObject({ fit: leader?.fit, firstShare: leader?.firstShare })
    }
  })

  it('tells how good each month is for the dish and for each of its fish, the one taken among them though it never leads', () => {
    const clumsy = buildOffer('Piscis malus', { flesh: { tolerance: 0.5 } })
    const three: OfferSheet = {
      ...sheet,
      offers: [...sheet.offers, clumsy],
      seasons: [...(sheet.seasons ?? []), season('Piscis malus', SUMMER)],
    }
    const asked = buildBrief({ waters: 'sound' })
    const { fish, months } = must(findYearOfDish(asked, three, { today: TODAY, taken: 'Piscis malus' }))
    expect(fish.at(-1)?.species).toBe('Piscis malus')
    expect(year({}, three).fish.map(({ species }) => species)).not.toContain('Piscis malus')
    for (const { date, best, fits } of months) {
      const { ranked } = must(rankLineUp({ ...asked, date }, three, { today: TODAY, shares: false }))
      expect(best).toBe(ranked[0]?.fit ?? null)
      expect(fits).toEqual(fish.map(({ species }) => ranked.find((row) => row.species === species)?.fit ?? null))
    }
  })

  it('is the same all year where no year is kept, and says so', () => {
    const { months, known } = year({}, buildSheet(buildOffer('Piscis unus')))
    expect(known).toBe(false)
    expect(new Set(months.map(({ leader }) => leader?.fit)).size).toBe(1)
  })

  it('has months in which no fish can do it', () => {
    const { months } = year({ pool: ['Piscis aestatis'] })
    expect(months[0]).toMatchObject({ leader: null, able: 0 })
  })

  it('answers in the shape of the contract', () => {
    expect(parseYearOfDish(JSON.parse(JSON.stringify(year())))).toMatchObject({ ok: true })
  })
})
