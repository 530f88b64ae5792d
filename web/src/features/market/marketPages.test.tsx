import type { Season, Stock } from '@tender-gill/contract'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const SEASONS: readonly Season[] = [
  {
    species: 'Gadus morhua',
    water: 'Sound',
    landings: [9, 9, 8, 6, 4, 3, 3, 3, 4, 6, 8, 9],
    condition: [8, 6, 3, 3, 5, 7, 8, 8, 9, 9, 9, 9],
  },
  { species: 'Scomber scombrus', water: 'Banks', landings: [0, 0, 0, 2, 7, 10, 10, 9, 8, 5, 3, 1] },
]
const STOCKS: readonly Stock[] = [
  { species: 'Gadus morhua', water: 'Sound', origin: 'wild', biomassRatio: { value: 0.4, year: 2025 } },
  { species: 'Salmo salar', origin: 'farmed', feed: { value: 60, year: 2025 } },
]
const MARKET = { ...KITCHEN, seasons: SEASONS, stocks: STOCKS }

describe('the waters', () => {
  it('show each water with its fish, and a year painted with the keyboard is kept', async () => {
    const server = await openPage('/market/waters?water=Sound', MARKET)
    const year = within(await screen.findByRole('region', { name: 'The year of Atlantic cod' }))
    const landings = within(year.getByRole('group', { name: 'Landed, of the best month' }))
    const june = landings.getByRole('slider', { name: 'June' })
    expect(june.getAttribute('aria-valuenow')).toBe('3')
    fireEvent.keyDown(june, { key: 'ArrowUp' })
    expect(landings.getByRole('slider', { name: 'June' }).getAttribute('aria-valuenow')).toBe('4')
    await waitFor(async () => expect((await server.seasons())[0]?.landings[5]).toBe(4))
    fireEvent.click(year.getByRole('button', { name: 'As it was' }))
    await waitFor(async () => expect((await server.seasons())[0]?.landings[5]).toBe(3))
  })

  it('keep what was painted by one who walks on at once', async () => {
    const server = await openPage('/market/waters?water=Sound', MARKET)
    const year = within(await screen.findByRole('region', { name: 'The year of Atlantic cod' }))
    const landings = within(year.getByRole('group', { name: 'Landed, of the best month' }))
    fireEvent.keyDown(landings.getByRole('slider', { name: 'May' }), { key: 'End' })
    fireEvent.click(screen.getByRole('button', { name: 'Banks' }))
    await waitFor(async () => expect((await server.seasons())[0]?.landings[4]).toBe(10))
  })

  it('walk to another water, and take a fish’s year away with a way back', async () => {
    const server = await openPage('/market/waters', MARKET)
    fireEvent.click(await screen.findByRole('button', { name: 'Sound' }))
    await screen.findByRole('region', { name: 'The year of Atlantic cod' })
    expect(window.location.search).toContain('water=Sound')
    fireEvent.click(screen.getByRole('button', { name: 'Take this year away' }))
    expect(await screen.findByText('The year of Atlantic cod was taken away.')).toBeDefined()
    expect(await server.seasons()).toHaveLength(1)
  })
})

describe('the stocks', () => {
  it('stand in order, tell what they rest on, and a better figure moves the standing and is kept', async () => {
    const server = await openPage('/market/stocks', MARKET)
    const list = within(await screen.findByRole('list', { name: 'Stocks, the best standing first' }))
    await list.findByRole('button', { name: 'Atlantic cod' })
    expect(list.getAllByRole('button').map(({ textContent }) => textContent)).toEqual(['Atlantic salmon', 'Atlantic cod'])
    fireEvent.click(list.getByRole('button', { name: 'Atlantic cod' }))
    const evidence = within(await screen.findByRole('region', { name: 'Evidence on Atlantic cod' }))
    expect(evidence.getAllByText(/weakest: how much is left/)).toHaveLength(2)
    fireEvent.change(evidence.getByLabelText('How much is left'), { target: { value: '1' } })
    await waitFor(async () => expect((await server.stocks())[0]?.biomassRatio).toEqual({ value: 1, year: 2025 }))
    expect(evidence.queryByText(/weakest: how much is left/)).toBeNull()
    fireEvent.change(evidence.getByLabelText('How much is left'), { target: { value: 'plenty' } })
    expect(evidence.getByText('a number from 0 to 10')).toBeDefined()
    expect((await server.stocks())[0]?.biomassRatio).toEqual({ value: 1, year: 2025 })
  })
})

describe('a dish over the year', () => {
  it('says who leads when in the chart’s words, and sets the dish in another month', async () => {
    const brief = {
      dish: 'Pan fish',
      method: 'pan-sear',
      format: 'portion',
      waters: ['Sound'],
      pool: ['Gadus morhua', 'Merlangius merlangus'],
      draws: 400,
    } as const
    const server = await openPage('/dishes/pan/year', {
      ...MARKET,
      dishes: [{ id: 'pan', brief: { ...brief, waters: [...brief.waters], pool: [...brief.pool] } }],
    })
    const rows = within(await screen.findByRole('list', { name: 'Month by month' })).getAllByRole('listitem')
    expect(rows).toHaveLength(12)
    for (const row of rows) expect(row.textContent).toMatch(/first in (over |under )?\d+ of 100|No fish can/)
    fireEvent.click(screen.getByRole('link', { name: 'Set the dish in October' }))
    await waitFor(async () => expect((await server.brief('pan'))?.date).toBe('2026-10-15'))
  })

  it('leads to the brief where no waters are named', async () => {
    await openPage('/dishes/stew/year', MARKET)
    expect(await screen.findByRole('heading', { name: 'No year is counted' })).toBeDefined()
    expect(screen.getByRole('link', { name: 'Name the waters' }).getAttribute('href')).toBe('/k/lantern/dishes/stew/brief')
  })
})
