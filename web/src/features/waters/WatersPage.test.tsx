import type { Season, SeasonRecord } from '@tender-gill/contract'
import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { MARKET } from '../../testing/market.ts'
import { openPage } from '../../testing/openPage.tsx'
import type { RealServer } from '../../testing/realServer.ts'

/** Somebody else changes the year that is painted here. */
async function paintElsewhere(server: RealServer, patch: Partial<Season>): Promise<void> {
  const [record] = (await (await server.call('/seasons', { method: 'GET' })).json()) as readonly SeasonRecord[]
  if (!record) throw new Error('there is no year')
  const { id, revision, season } = record
  const answer = await server.call(`/seasons/${id}`, { method: 'PUT', revision, body: { season: { ...season, ...patch } } })
  if (!answer.ok) throw new Error(`somebody else could not: ${answer.status}`)
}
/** While the server is away from this page, this is typed here and that is changed elsewhere. */
async function meanwhile(server: RealServer, here: () => unknown, there: Partial<Season>): Promise<void> {
  server.setDown(true)
  here()
  await paintElsewhere(server, there)
  server.setDown(false)
}

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

  it('are put together with what somebody else painted in other months meanwhile, and nobody is asked', async () => {
    const server = await openPage('/market/waters?water=Sound', MARKET)
    const year = within(await screen.findByRole('region', { name: 'The year of Atlantic cod' }))
    const slider = (month: string) =>
      within(year.getByRole('group', { name: 'Landed, of the best month' })).getByRole('slider', { name: month })
    await meanwhile(server, () => fireEvent.keyDown(slider('June'), { key: 'ArrowUp' }), { gear: 'longline' })
    await waitFor(async () => expect((await server.seasons())[0]).toMatchObject({ gear: 'longline' }))
    await waitFor(async () => expect((await server.seasons())[0]?.landings[5]).toBe(4))
    expect(screen.queryByText(/was changed elsewhere/)).toBeNull()
  })

  it('show both versions where two changed the same, and keep mine or theirs as one says', async () => {
    const server = await openPage('/market/waters?water=Sound', MARKET)
    const year = within(await screen.findByRole('region', { name: 'The year of Atlantic cod' }))
    const gear = year.getByRole('textbox', { name: 'Caught by, where it matters' })
    const type = (value: string) => () => fireEvent.change(gear, { target: { value } })
    await meanwhile(server, type('handline'), { gear: 'trawl' })
    expect(await screen.findByText(/This year was changed elsewhere while you worked on it/)).toBeDefined()
    expect(gear).toHaveProperty('value', 'handline')
    expect((await server.seasons())[0]).toMatchObject({ gear: 'trawl' })
    fireEvent.click(screen.getByRole('button', { name: 'Keep mine' }))
    await waitFor(async () => expect((await server.seasons())[0]).toMatchObject({ gear: 'handline' }))
    await waitFor(() => expect(screen.queryByText(/was changed elsewhere/)).toBeNull())

    await meanwhile(server, type('pots'), { gear: 'net' })
    fireEvent.click(await screen.findByRole('button', { name: 'Take theirs' }))
    await waitFor(() => expect(year.getByRole('textbox', { name: 'Caught by, where it matters' })).toHaveProperty('value', 'net'))
    expect((await server.seasons())[0]).toMatchObject({ gear: 'net' })
  })
})
