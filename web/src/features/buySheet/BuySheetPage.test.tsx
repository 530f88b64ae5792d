import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import type { Purchase } from '@tender-gill/contract'
import { describe, expect, it, vi } from 'vitest'
import { KITCHEN, PRICES } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'
import type { RealServer, TestKitchen } from '../../testing/realServer.ts'

const COD = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skin-on' } as const
const MONKFISH = { species: 'Lophius piscatorius', offerId: 'lophius-piscatorius.wild.fresh.body', form: 'fillet-skinless' } as const
const on = (id: string, date: string, covers: number, choice: typeof COD | typeof MONKFISH) => ({
  ...{ id, choice },
  brief: { dish: `Dish ${id}`, method: 'stew' as const, format: 'chunk' as const, covers, date, draws: 400 },
})
const TRADE: TestKitchen = {
  dishes: [on('a', '2026-06-15', 10, COD), on('b', '2026-06-15', 20, COD), on('c', '2026-06-17', 8, MONKFISH), ...KITCHEN.dishes],
  prices: PRICES.map((price) => ({ ...price, merchant: 'Quay' })),
  merchants: [
    {
      ...{ name: 'Quay', delivers: [1, 2, 3, 4, 5, 6, 7], orderBy: '21:00', daysAhead: 1, feed: null },
      minimumOrder: { amount: 500, currency: 'EUR' },
    },
  ],
}
const kept = async (server: RealServer): Promise<readonly Purchase[]> => {
  const answer = await server.call('/purchases', { method: 'GET' })
  return ((await answer.json()) as { purchase: Purchase; deletedAt: string | null }[])
    .filter(({ deletedAt }) => deletedAt === null)
    .map(({ purchase }) => purchase)
}
const orderOf = (name: RegExp) => screen.findByRole('region', { name })

describe('the buy sheet', () => {
  it('says what to order next, from whom and until when, and puts servings of one quote together', async () => {
    await openPage('/buy', TRADE)
    const next = await screen.findByRole('status', { name: 'What to order next' })
    expect(next.textContent).toMatch(
      /^Order next: Atlantic cod from Quay by 21:00 tomorrow, for Monday; €[\d.]+ short of their least order\.$/,
    )
    const lines = within(await orderOf(/^Quay, 15 June/)).getAllByRole('listitem')
    expect(lines).toHaveLength(1)
    expect(lines[0]?.textContent).toMatch(/Dish a [\d.]+ kg.*Dish b [\d.]+ kg/)
    expect(lines[0]?.textContent).toContain('pin bones drawn')
    // What waits for a day comes with a press.
    expect(screen.getByText(/Harbour stew.* wait for a day/)).toBeDefined()
    fireEvent.click(screen.getByRole('switch', { name: /^With what has no day yet \(3\)/ }))
    await waitFor(() => expect(screen.queryByText(/ wait for a day/)).toBeNull())
  })

  it('keeps what is ordered and what came of it, counts what was paid, and undoes each in one press', async () => {
    const server = await openPage('/buy', TRADE)
    const order = await orderOf(/^Quay, 15 June/)
    fireEvent.click(within(order).getByRole('button', { name: 'Ordered' }))
    await waitFor(() => expect(within(order).getByRole('status', { name: 'How it stands with Atlantic cod' }).textContent).toBe('Ordered'))
    expect(await kept(server)).toMatchObject([{ state: 'ordered', merchant: 'Quay', date: '2026-06-15', servings: ['a', 'b'] }])
    expect(await screen.findByText(/^Order next: Anglerfish/)).toBeDefined()

    fireEvent.click(within(order).getByRole('button', { name: 'Bought' }))
    const weight = within(order).getByLabelText('Weight that came, kg')
    fireEvent.change(weight, { target: { value: 'much' } })
    expect(weight.getAttribute('aria-invalid')).toBe('true')
    fireEvent.change(weight, { target: { value: '1,5' } })
    fireEvent.change(within(order).getByLabelText(/^Paid .*, EUR$/), { target: { value: '31' } })
    fireEvent.click(within(order).getByRole('button', { name: 'Keep it' }))
    await waitFor(() =>
      expect(within(order).getByRole('status', { name: 'How it stands with Atlantic cod' }).textContent).toBe(
        'Came short: 1.50 kg at €31.00 a kilo',
      ),
    )
    expect(await kept(server)).toMatchObject([{ state: 'short', g: 1500, perKg: 31, currency: 'EUR' }])
    await screen.findByText('Atlantic cod came short.')
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }))
    await waitFor(async () => expect(await kept(server)).toMatchObject([{ state: 'ordered', g: null }]))

    fireEvent.click(await within(order).findByRole('button', { name: 'Did not come' }))
    const instead = await within(order).findByRole('link', { name: / instead$/ })
    expect(instead.getAttribute('href')).toContain('/dishes/a/stand-ins?because=not-landed')
    fireEvent.click(within(order).getByRole('button', { name: 'Take it off' }))
    await waitFor(async () => expect(await kept(server)).toEqual([]))
  })

  it('orders all of a merchant at once, for the days that are asked for, and prints', async () => {
    const print = vi.fn()
    vi.stubGlobal('print', print)
    const server = await openPage('/buy?from=2026-06-15&to=2026-06-17', {
      ...TRADE,
      dishes: [on('a', '2026-06-15', 10, COD), on('c', '2026-06-15', 8, MONKFISH)],
    })
    const order = await orderOf(/^Quay, 15 June/)
    fireEvent.click(within(order).getByRole('button', { name: 'All 2 are ordered' }))
    await waitFor(async () => expect(await kept(server)).toHaveLength(2))
    expect(await screen.findByText('Everything is ordered.')).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'Print' }))
    expect(print).toHaveBeenCalledOnce()
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }))
    await waitFor(async () => expect(await kept(server)).toEqual([]))
    fireEvent.click(screen.getByRole('button', { name: 'One day' }))
    await waitFor(() => expect(window.location.search).toContain('to=2026-06-15'))
  })
})
