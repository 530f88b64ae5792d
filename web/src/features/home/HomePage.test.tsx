import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

describe('home', () => {
  it('lists the dishes with who leads each, and the fish there are prices for', async () => {
    await openPage('/', KITCHEN)
    const rows = within(await screen.findByRole('list', { name: 'Dishes' })).getAllByRole('listitem')
    expect(rows.map((row) => within(row).getByRole('heading').textContent)).toEqual(['Staff lunch', 'Friday fry', 'Harbour stew'])
    for (const row of rows) await waitFor(() => expect(row.textContent).toMatch(/leads, fit \d+, of \d+ that can/))
    expect(await screen.findByRole('link', { name: 'Atlantic cod' })).toHaveProperty('pathname', '/k/lantern/fish/Gadus%20morhua')
  })

  it('finds a fish by a misspelt name, with the keyboard, and opens what it is good for', async () => {
    await openPage('/', KITCHEN)
    // The field that is there at first gives way to the one with the list.
    const search = () => screen.findByRole('combobox', { name: 'Which fish?' })
    fireEvent.change(await search(), { target: { value: 'makerel' } })
    const list = await screen.findByRole('listbox', { name: 'Fish found' })
    await waitFor(() => expect(within(list).getAllByRole('option')[0]?.textContent).toContain('Scomber scombrus'))
    fireEvent.keyDown(await search(), { key: 'ArrowDown' })
    fireEvent.keyDown(await search(), { key: 'ArrowUp' })
    fireEvent.keyDown(await search(), { key: 'Enter' })
    expect(await screen.findByRole('heading', { level: 1, name: 'Atlantic mackerel' })).toBeDefined()
    expect(window.location.pathname).toBe('/k/lantern/fish/Scomber%20scombrus')
  })

  it('says when no fish goes by a name, and Escape clears it', async () => {
    await openPage('/', KITCHEN)
    // The field that is there at first gives way to the one with the list.
    const search = () => screen.findByRole('combobox', { name: 'Which fish?' })
    fireEvent.change(await search(), { target: { value: 'xqzwv' } })
    expect(await screen.findByText('No fish of the book is sold as “xqzwv”.')).toBeDefined()
    fireEvent.keyDown(await search(), { key: 'Escape' })
    expect(await search()).toHaveProperty('value', '')
  })

  it('has what comes first, and what was cooked before below, each dish once, to be served once more', async () => {
    const brief = (dish: string, date?: string) => ({ dish, method: 'stew' as const, format: 'chunk' as const, ...(date ? { date } : {}) })
    await openPage('/', {
      dishes: [
        { id: 'late', brief: brief('Late stew', '2026-06-20') },
        { id: 'soon', brief: brief('Soon stew', '2026-06-13') },
        { id: 'some', brief: brief('Some day') },
        { id: 'past', brief: brief('Old stew', '2026-05-01') },
      ],
    })
    const coming = within(await screen.findByRole('list', { name: 'Dishes' })).getAllByRole('listitem')
    expect(coming.map((row) => within(row).getByRole('heading').textContent)).toEqual(['Soon stew', 'Late stew', 'Some day'])
    const before = within(screen.getByRole('list', { name: 'Cooked before' })).getAllByRole('listitem')
    expect(before.map((row) => within(row).getByRole('link').textContent)).toEqual(['Old stew'])
    fireEvent.click(screen.getByRole('button', { name: 'Serve Old stew once more' }))
    await waitFor(() => expect(window.location.pathname).toMatch(/\/brief$/))
    expect((await screen.findByRole('group', { name: 'Served on' })).textContent).toContain('14')
  })

  it('brings back a dish that was taken away, and takes it away again, by button and by key', async () => {
    const server = await openPage('/', KITCHEN)
    const there = async () => (await server.servings()).filter(({ id, deletedAt }) => id === 'stew' && deletedAt === null).length
    fireEvent.click(await screen.findByRole('button', { name: 'Take Harbour stew away' }))
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }))
    fireEvent.click(await screen.findByRole('button', { name: 'Redo' }))
    expect(await screen.findByText('“Harbour stew” was taken away.')).toBeDefined()
    expect(await there()).toBe(0)
    fireEvent.keyDown(window, { key: 'z', ctrlKey: true })
    expect(await screen.findByText('“Harbour stew” is back.')).toBeDefined()
    expect(await there()).toBe(1)
    fireEvent.keyDown(window, { key: 'z', ctrlKey: true, shiftKey: true })
    expect(await screen.findByText('“Harbour stew” was taken away.')).toBeDefined()
    expect(await there()).toBe(0)
  })

  it('teaches the first step where there is no dish yet', async () => {
    await openPage('/', { dishes: [] })
    expect(await screen.findByText(/No dishes yet/)).toBeDefined()
    expect(screen.getByRole('link', { name: 'Stewed in a pot' })).toHaveProperty('search', '?method=stew')
  })
})
