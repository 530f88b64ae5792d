import type { Merchant, Price } from '@tender-gill/contract'
import { addDays } from '@tender-gill/core'
import { screen, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { TODAY } from '../../testing/realServer.ts'
import { openPage } from '../../testing/openPage.tsx'

const weekly = (species: string, form: Price['form'], perKg: (week: number) => number): Price[] =>
  Array.from({ length: 10 }, (_, week) => ({
    ...{ species, form, price: perKg(week), currency: 'EUR', unit: 'kg' as const, state: 'fresh' as const, merchant: 'Holt' },
    date: addDays(TODAY, -7 * week),
  }))
const PRICES = [
  ...weekly('Gadus morhua', 'fillet-skin-on', (week) => (week === 0 ? 30 : 22)),
  ...weekly('Pollachius virens', 'fillet-skinless', (week) => (week === 0 ? 9 : 11)),
]
const HOLT: Merchant = { name: 'Holt', delivers: [1, 2, 3, 4, 5], orderBy: '18:00', daysAhead: 1, minimumOrder: null, feed: 'holt' }
const MARKET = { ...KITCHEN, prices: PRICES, merchants: [HOLT], feeds: ['holt'] }

describe('the slab', () => {
  it('names the buy of the day, why, what a portion costs, until when to order, and the dishes it would do', async () => {
    await openPage('/market', MARKET)
    expect(await screen.findByText('Saithe (coley) is the buy of the day, then Atlantic cod')).toBeDefined()
    const rows = within(screen.getByRole('list', { name: 'Fish of the day, the best buy first' })).getAllByRole('heading', { level: 2 })
    expect(rows.map((row) => row.textContent)).toEqual([
      'Saithe (coley) wild, fresh, fillet, skinless',
      'Atlantic cod wild, fresh, fillet, skin on',
    ])
    expect(screen.getByText(/18 % below its usual price for the month/)).toBeDefined()
    expect(screen.getAllByText(/order by 18:00 (tomorrow|Sunday) for Monday/).length).toBeGreaterThan(0)
    const dishes = within(screen.getByRole('list', { name: 'Dishes for Saithe (coley)' })).getAllByRole('link')
    expect(dishes[0]).toHaveProperty('pathname', expect.stringMatching(/^\/k\/lantern\/dishes\/(stew|fry|lunch)\/line-up$/))
    expect((await screen.findByRole('list', { name: 'Feeds' })).textContent).toContain('it could not be reached')
  })

  it('teaches the first step where no list is kept', async () => {
    await openPage('/market', { ...KITCHEN, prices: [] })
    expect(await screen.findByText(/No list of the last days is kept/)).toBeDefined()
    expect(screen.getByRole('link', { name: 'Bring one in from a merchant' })).toHaveProperty('pathname', '/k/lantern/market/merchants')
  })
})
