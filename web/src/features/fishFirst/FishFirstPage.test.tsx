import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const dishes = () => screen.findByRole('list', { name: 'Your dishes for it' })
const fitsOf = (list: HTMLElement) =>
  within(list)
    .getAllByRole('listitem')
    .map((row) => /(\d+|no)$/.exec(row.textContent ?? '')?.[1])
const type = (label: string | RegExp, text: string) =>
  fireEvent.change(screen.getByRole('textbox', { name: label }), { target: { value: text } })

describe('from a fish', () => {
  it('ranks the dishes and the ways to cook it, best first', async () => {
    await openPage('/fish/Gadus%20morhua', KITCHEN)
    const fits = fitsOf(await dishes()).map((fit) => (fit === 'no' ? -1 : Number(fit)))
    expect(fits).toHaveLength(3)
    expect(fits).toEqual([...fits].sort((a, b) => b - a))
    expect(within(screen.getByRole('list', { name: 'Ways to cook it' })).getAllByRole('listitem')).toHaveLength(21)
  })

  it('counts price and weight once it is known how the fish lies there, and keeps all of it in the address', async () => {
    await openPage('/fish/Gadus%20morhua', KITCHEN)
    await dishes()
    type('Price, EUR', '9')
    expect(await screen.findByText('say it, for price and weight to count')).toBeDefined()
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'How it lies there' }))
    fireEvent.click(await screen.findByRole('option', { name: 'whole' }))
    type(/One weighs/, '1500')
    type('How many', '2')
    await waitFor(async () => expect((await dishes()).textContent).toMatch(/What lies there (is enough|feeds|is just enough)/))
    await waitFor(() => expect(new URLSearchParams(window.location.search).get('f')).toContain('~whole~9~kg~1500~2'))
    type('How many', 'two')
    expect(await screen.findByText('a whole number')).toBeDefined()
    expect(screen.getByRole('textbox', { name: 'How many' })).toHaveProperty('value', 'two')
  })

  it('sets two fish side by side for each dish, and leaves one out again', async () => {
    await openPage('/fish/Gadus%20morhua?f=Gadus%20morhua&f=Scomber%20scombrus', KITCHEN)
    const list = await dishes()
    await waitFor(() => expect(list.textContent).toMatch(/Atlantic mackerel (\d+|cannot)/))
    fireEvent.click(screen.getByRole('button', { name: 'Leave Atlantic mackerel out' }))
    await waitFor(async () => expect((await dishes()).textContent).not.toContain('Atlantic mackerel'))
  })
})
