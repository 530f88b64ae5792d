import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { MARKET } from '../../testing/market.ts'
import { openPage } from '../../testing/openPage.tsx'

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
    const table = screen.getByRole('table', { name: 'Fit of 100 in each month' })
    expect(within(table).getAllByRole('columnheader')).toHaveLength(12)
    for (const name of ['Pan fish', 'Atlantic cod', 'Whiting']) expect(within(table).getByRole('rowheader', { name })).toBeDefined()
    for (const row of rows) expect(row.textContent).toMatch(/first in (over |under )?\d+ of 100|No fish can/)
    fireEvent.click(screen.getByRole('link', { name: 'Set the dish in October' }))
    await waitFor(async () => expect((await server.brief('pan'))?.date).toBe('2026-10-15'))
  })

  it('where no waters are named, has those that are kept, one press away', async () => {
    const server = await openPage('/dishes/stew/year', MARKET)
    expect(await screen.findByRole('heading', { name: 'No year is counted' })).toBeDefined()
    fireEvent.click(await screen.findByRole('button', { name: /^It comes from Sound/ }))
    expect(await screen.findByRole('list', { name: 'Month by month' })).toBeDefined()
    await waitFor(async () => expect((await server.brief('stew'))?.waters).toEqual(['Sound']))
  })
})
