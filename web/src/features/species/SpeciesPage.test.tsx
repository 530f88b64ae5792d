import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const traits = () => screen.findByRole('list', { name: 'Traits' })

describe('one species', () => {
  it('shows every trait with its range and what that rests on, for each of its offers', async () => {
    await openPage('/book/Salmo%20salar', KITCHEN)
    expect(await screen.findByRole('heading', { level: 1, name: 'Atlantic salmon' })).toBeDefined()
    const before = (await traits()).textContent
    expect(within(await traits()).getAllByRole('listitem').length).toBeGreaterThanOrEqual(12)
    const kinds = within(screen.getByRole('group', { name: 'Which of it' })).getAllByRole('button')
    expect(kinds.length).toBeGreaterThan(2)
    const belly = kinds.find(({ textContent }) => textContent?.includes('belly')) as HTMLElement
    fireEvent.click(belly)
    await waitFor(async () => expect((await traits()).textContent).not.toBe(before))
  })

  it('says what can hurt, in words, and defers to the local authority', async () => {
    await openPage('/book/Thunnus%20albacares', KITCHEN)
    await screen.findByRole('heading', { level: 1, name: 'Yellowfin tuna' })
    expect(document.body.textContent).toMatch(/histamine/i)
    expect(document.body.textContent).toMatch(/mercury/i)
    expect(document.body.textContent).toMatch(/local authority/i)
  })

  it('names the ways to cook it and its nearest kin', async () => {
    await openPage('/book/Gadus%20morhua', KITCHEN)
    expect(await screen.findByRole('heading', { name: 'Nearest in the kitchen' })).toBeDefined()
    await waitFor(() => expect(document.body.textContent).toContain('Deep-fried'))
  })

  it('keeps no range of which an end is no number, and says which', async () => {
    await openPage('/book/Gadus%20morhua', KITCHEN)
    fireEvent.click(await screen.findByRole('button', { name: 'Change in the house’s hand' }))
    const keep = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Keep in the house’s hand' })
    fireEvent.change(screen.getByLabelText('Flake usual'), { target: { value: '' } })
    expect(await screen.findByText('wants three numbers, from low to high')).toBeDefined()
    expect(keep().disabled).toBe(true)
    fireEvent.change(screen.getByLabelText('Flake usual'), { target: { value: '5,5' } })
    expect(screen.queryByText('wants three numbers, from low to high')).toBeNull()
    expect(keep().disabled).toBe(false)
  })
})
