import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { openPage } from '../../testing/openPage.tsx'
import type { TestKitchen } from '../../testing/realServer.ts'

const date = '2026-06-13'
const KITCHEN: TestKitchen = {
  dishes: [
    { id: 'fried', brief: { dish: 'Fried', method: 'deep-fry', format: 'portion', covers: 4, date, draws: 400 } },
    { id: 'crisp', brief: { dish: 'Crisp', method: 'deep-fry', format: 'portion', covers: 4, date, thicknessMm: 20, draws: 400 } },
    { id: 'pot', brief: { dish: 'From the pot', method: 'stew', format: 'chunk', covers: 4, date, draws: 400 } },
    { id: 'raw', brief: { dish: 'Raw slices', method: 'raw', format: 'slice', covers: 4, date, draws: 400 } },
  ],
}
const begin = () => screen.findByRole('status', { name: 'When to begin' })

describe('a run sheet', () => {
  it('works the dishes of a day back from the table, says what clashes, and what is not cooked', async () => {
    await openPage('/run-sheet', KITCHEN)
    expect((await begin()).textContent).toMatch(/^Begin at 19:\d\d for 20:00$/)
    const order = await screen.findByRole('region', { name: 'In order' })
    const times = [...order.querySelectorAll('li > b')].map((one) => one.textContent)
    expect([...times].sort()).toEqual(times)
    expect(times.at(-1)).toBe('20:00')
    // One fryer for two dishes that may hardly wait.
    expect(screen.getAllByText(/want one fryer at once|want one pair of hands at once/).length).toBeGreaterThan(0)
    expect(screen.getByText(/no minutes: it is not cooked/)).toBeDefined()
  })

  it('is worked anew for another hour, more fryers, and without a dish', async () => {
    await openPage('/run-sheet?at=19:00&fryer=2&hand=4', KITCHEN)
    await waitFor(async () => expect((await begin()).textContent).toMatch(/for 19:00$/))
    await waitFor(() => expect(screen.queryByText(/want one fryer/)).toBeNull())
    const dishes = screen.getByRole('region', { name: 'Dishes of the day' })
    fireEvent.click(within(dishes).getByRole('checkbox', { name: 'From the pot, 4' }))
    await waitFor(() => expect(screen.getByRole('region', { name: 'In order' }).textContent).not.toContain('From the pot'))
    expect(window.location.search).toContain('without=pot')
  })
})
