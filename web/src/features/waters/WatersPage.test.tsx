import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { MARKET } from '../../testing/market.ts'
import { openPage } from '../../testing/openPage.tsx'

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
