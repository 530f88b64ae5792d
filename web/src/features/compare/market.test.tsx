import { createOfferSheet } from '@tender-gill/catalogue'
import type { Brief, LineUp, RankedFish, ResolvedOffer, SpeciesSheet } from '@tender-gill/contract'
import { rankLineUp } from '@tender-gill/core'
import { createWords } from '@tender-gill/words'
import { render, screen } from '../../testing/page.tsx'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SHOAL_SIZE, Shoal, describeShoal, fillShoal } from '../../drawings/Shoal.tsx'
import { findStanding, pickColumns } from './columns.ts'
import { MarketRows, describeSeason, type MarketColumn } from './MarketRows.tsx'
import { dotRadius } from './WorthChart.tsx'

const today = '2026-06-13'
const sheet = createOfferSheet(today)
const months = (value: number) => Array.from({ length: 12 }, () => value)
const { tell } = createWords()
const brief: Brief = {
  dish: 'Poached',
  method: 'poach',
  format: 'portion',
  pool: ['Gadus morhua', 'Salmo salar'],
  waters: ['sound'],
  market: {
    prices: [{ species: 'Gadus morhua', form: 'fillet-skin-on', price: 20, currency: 'EUR', unit: 'kg' }],
    seasons: [{ species: 'Gadus morhua', water: 'sound', landings: months(4), condition: months(8) }],
    stocks: [{ species: 'Gadus morhua', biomassRatio: { value: 0.8, year: 2025 }, pressureRatio: { value: 1, year: 2025 } }],
  },
  asks: { landings: { from: 0.5 }, condition: { from: 6 }, stock: { from: 60 } },
}
const offerOf = (species: string, origin: 'wild' | 'farmed'): ResolvedOffer => {
  const found = sheet.offers.find((offer) => offer.species === species && offer.origin === origin && offer.state === 'fresh')
  if (!found) throw new Error(`no ${origin} ${species}`)
  return found
}
const rows = ((): readonly RankedFish[] => {
  const answer = tell(rankLineUp(brief, sheet, { today, shares: false }))
  return answer.ok ? answer.value.ranked : []
})()
const column = (species: string, origin: 'wild' | 'farmed'): MarketColumn => ({
  species,
  offer: offerOf(species, origin),
  row: rows.find((row) => row.species === species),
})

describe('the shoal', () => {
  it('is filled from the left, by as much as the stock stands', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), (standing) => {
        const shares = fillShoal(standing)
        expect(shares).toHaveLength(SHOAL_SIZE)
        expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo((standing / 100) * SHOAL_SIZE, 9)
        expect([...shares].sort((a, b) => b - a)).toEqual(shares)
      }),
    )
  })

  it('says its figure, its range and its weakest part, or that no evidence is kept', () => {
    render(<Shoal standing={{ low: 40, typical: 62, high: 80 }} weakest="fishing pressure" />)
    expect(screen.getByRole('img', { name: 'Stock 62 of 100, 40 to 80; weakest: fishing pressure' })).toBeDefined()
    expect(describeShoal(null, null)).toBe('Stock: no evidence kept')
  })
})

describe('the columns of a comparison', () => {
  const species = ['Gadus morhua', 'Salmo salar']
  const sheets = species.map(
    (name) => ({ species: name, offers: sheet.offers.filter((offer) => offer.species === name) }) as unknown as SpeciesSheet,
  )
  const all = ((): LineUp | null => {
    const answer = tell(
      rankLineUp({ dish: 'Poached', method: 'poach', format: 'portion', pool: species, allOffers: true }, sheet, { today, shares: false }),
    )
    return answer.ok ? answer.value : null
  })()

  it('show the offer that suits the dish best, unless another is picked', () => {
    const best = all?.ranked.find((row) => row.species === 'Salmo salar')?.offerId
    const ids = (picked: Record<string, string>, dish: LineUp | null) => pickColumns(sheets, picked, dish).map(({ offer }) => offer.id)
    expect(ids({}, all)[1]).toBe(best)
    expect(ids({}, null)).toEqual(sheets.map(({ offers }) => offers[0]?.id))
    const other = sheets[1]?.offers.find(({ id }) => id !== best)?.id ?? ''
    expect(ids({ 'Salmo salar': other }, all)[1]).toBe(other)
  })

  it('say how exactly that offer does, or why it does not', () => {
    const cod = offerOf('Gadus morhua', 'wild')
    expect(findStanding(cod, all).row?.offerId).toBe(cod.id)
    expect(findStanding(cod, null)).toEqual({})
    const without = all && { ...all, ranked: all.ranked.filter(({ offerId }) => offerId !== cod.id) }
    expect(findStanding(cod, without).left).toContain('another of its kind can')
    const raw = tell(rankLineUp({ dish: 'Raw', method: 'raw', format: 'slice', pool: species }, sheet, { today, shares: false }))
    expect(raw.ok && findStanding(cod, raw.value).left).toContain('parasites')
  })
})

describe('the market rows of a comparison', () => {
  it('tell the year of a wild fresh fish, and that a farmed one has none', () => {
    expect(describeSeason(column('Gadus morhua', 'wild'), ['sound'])).toBe('Landings 100 of 100 of its best month, condition 8 of 10')
    expect(describeSeason(column('Salmo salar', 'farmed'), ['sound'])).toBe('Farmed: the same all year')
    expect(describeSeason({ ...column('Gadus morhua', 'wild'), row: undefined }, null)).toBe('No waters are set: the year is not counted')
    expect(describeSeason({ ...column('Gadus morhua', 'wild'), row: undefined }, ['sound'])).toBe('No evidence kept of its year here')
  })

  it('show cost, stock and what is not known', () => {
    render(<MarketRows columns={[column('Gadus morhua', 'wild'), column('Salmo salar', 'farmed')]} brief={null} grid={{}} />)
    const cells = screen.getAllByRole('cell').map((cell) => cell.textContent)
    expect(cells[0]).toMatch(/^€\d+\.\d\d€\d+\.\d\d to \d+\.\d\d a portion$/)
    expect(cells[1]).toBe('no price known')
    expect(cells[4]).toMatch(/of 100, \d+ to \d+/)
    expect(cells[5]).toContain('no evidence kept')
  })

  it('draw a better stock as a larger dot', () => {
    expect(dotRadius(90)).toBeGreaterThan(dotRadius(20))
    expect(dotRadius(null)).toBe(5)
  })
})
