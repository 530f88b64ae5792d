import { fireEvent, screen, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const heading = async (name: string) => await screen.findByRole('heading', { level: 1, name })

describe('the swap map', () => {
  it('says in the list what it draws, and walks from fish to fish by either, each step in the address', async () => {
    await openPage('/book/swaps?method=poach&fish=Gadus%20morhua', KITCHEN)
    await heading('Instead of Atlantic cod')
    const list = within(screen.getByRole('list', { name: 'Stand-ins for Atlantic cod, nearest first' }))
    const drawn = within(screen.getByRole('group', { name: 'Round Atlantic cod: who stands in for it' })).getAllByRole('button')
    const named = list.getAllByRole('button').map(({ textContent }) => textContent ?? '')
    expect(drawn).toHaveLength(8)
    for (const [i, name] of named.entries()) expect(drawn[i]?.getAttribute('aria-label')).toMatch(`Walk to ${name}, `)
    fireEvent.click(list.getAllByRole('button')[0] as HTMLElement)
    await heading(`Instead of ${named[0] ?? ''}`)
    expect(window.location.search).toMatch(/^\?method=poach&fish=/)
    const [first] = within(screen.getByRole('group')).getAllByRole('button')
    const next = first?.getAttribute('aria-label')?.replace(/^Walk to (.*), \d+ of 100$/, '$1') ?? ''
    fireEvent.click(first as HTMLElement)
    await heading(`Instead of ${next}`)
  })

  it('says why a fish does not do this itself, and shows its neighbours all the same', async () => {
    await openPage('/book/swaps?method=raw&fish=Oreochromis%20niloticus', KITCHEN)
    expect(await screen.findByText(/^It does not do this itself: It comes from fresh water/)).toBeDefined()
    expect(await screen.findByText('It is nobody’s near stand-in')).toBeDefined()
    expect(within(screen.getByRole('group')).getAllByRole('button').length).toBeGreaterThan(2)
  })

  it('begins with the best fish of the way of cooking, and keeps the fish when the way changes', async () => {
    await openPage('/book/swaps', KITCHEN)
    const first = (await screen.findByRole('heading', { level: 1 })).textContent
    expect(first).toMatch(/^Instead of /)
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Cooked' }))
    fireEvent.click(await screen.findByRole('option', { name: 'Poached' }))
    expect(await screen.findByText(/fish do it poached/)).toBeDefined()
    expect((await screen.findByRole('heading', { level: 1 })).textContent).toBe(first)
  })
})
