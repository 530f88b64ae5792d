import { fireEvent, screen, waitFor } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'
import { nextDay } from './index.ts'

describe('a dish served once more', () => {
  it('is another serving of the same dish, opened to be changed, and undone in one press', async () => {
    const server = await openPage('/', KITCHEN)
    fireEvent.click(await screen.findByRole('button', { name: 'Serve Harbour stew once more' }))
    expect(await screen.findByText(/Harbour stew is served once more/)).toBeDefined()
    await waitFor(() => expect(window.location.pathname).toMatch(/\/dishes\/[\w-]+\/brief$/))
    const stews = async () => (await server.servings()).filter(({ brief }) => brief.dish === 'Harbour stew')
    expect((await stews()).map(({ dishId }) => dishId)).toEqual(['stew', 'stew'])
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }))
    await waitFor(async () => expect(await stews()).toHaveLength(1))
    await waitFor(() => expect(window.location.pathname.replace(/\/$/, '')).toBe('/k/lantern'))
  })

  it('stands a week later, and never on a day gone by', () => {
    expect(nextDay('2026-06-13', '2026-06-13')).toBe('2026-06-20')
    expect(nextDay('2026-05-01', '2026-06-13')).toBe('2026-06-14')
    expect(nextDay(undefined, '2026-06-13')).toBeUndefined()
  })
})
