import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import type { Lot, LotRecord } from '@tender-gill/contract'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { NOW } from '../../../../server/src/testing/clock.ts'
import { openPage } from '../../testing/openPage.tsx'
import type { RealServer, TestKitchen } from '../../testing/realServer.ts'

const KITCHEN: TestKitchen = {
  dishes: [
    { id: 'grill', brief: { dish: 'From the grill', method: 'grill', format: 'fillet-skin-on', covers: 4, draws: 400 } },
    { id: 'raw', brief: { dish: 'Raw slices', method: 'raw', format: 'slice', covers: 4, draws: 400 } },
  ],
}
const ago = (hours: number): string => new Date(Date.now() - hours * 3_600_000).toISOString()
const lot = (patch: Partial<Lot> = {}): Lot => ({
  ...{ species: 'Scomber scombrus', offerId: 'scomber-scombrus.wild.fresh.body', form: 'fillet-skin-on', g: 800, merchant: null },
  ...{ boughtAt: ago(6), use: 'cooked', ageIceDays: { low: 0.5, typical: 1, high: 2 }, servings: [], line: null, journey: null },
  ...{ stays: [{ from: ago(6), place: null, celsius: 3, iced: false }], state: 'here', freezing: null },
  ...patch,
})
const post = async (server: RealServer, path: string, body: object) => {
  const answer = await server.call(path, { method: 'POST', body })
  return (await answer.json()) as { id: string }
}
const lots = async (server: RealServer): Promise<readonly LotRecord[]> =>
  (await (await server.call('/lots', { method: 'GET' })).json()) as LotRecord[]
const card = () => screen.findByRole('article', { name: 'Atlantic mackerel' })

describe('fish in the house', () => {
  // The page's clock goes as the server's does: a reading of tomorrow is refused.
  beforeEach(() => void vi.useFakeTimers({ toFake: ['Date'], now: NOW }))
  afterEach(() => void vi.useRealTimers())

  it('is told by its clock, stopped where histamine may have formed, and thrown away with a way back', async () => {
    const server = await openPage('/cold', KITCHEN)
    expect((await screen.findByRole('status', { name: 'What to use first' })).textContent).toBe('No fish is in the house.')
    await post(server, '/lots', { lot: lot() })
    // Another phone wrote it down: the page hears of it by itself.
    expect((await card()).textContent).toMatch(/days on ice left/)
    const warm = lot({ boughtAt: ago(9), stays: [{ from: ago(9), place: null, celsius: 12, iced: false }], g: 500 })
    await post(server, '/lots', { lot: warm })
    await waitFor(async () =>
      expect((await screen.findByRole('status', { name: 'What to use first' })).textContent).toBe('Atlantic mackerel: throw it away.'),
    )
    const [stopped] = await screen.findAllByRole('article', { name: 'Atlantic mackerel' })
    expect(stopped?.textContent).toContain('cooking does not undo it')
    fireEvent.click(within(stopped as HTMLElement).getByRole('button', { name: 'Thrown away' }))
    await waitFor(async () => expect((await lots(server)).map((one) => one.lot.state).sort()).toEqual(['here', 'thrown']))
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }))
    await waitFor(async () => expect((await lots(server)).map((one) => one.lot.state)).toEqual(['here', 'here']))
  })

  it('is moved to another dish with the engine’s word on whether it suits', async () => {
    const server = await openPage('/cold', KITCHEN)
    await post(server, '/lots', { lot: lot() })
    fireEvent.click(within(await card()).getByRole('button', { name: 'For another dish' }))
    const dishes = await screen.findByRole('list', { name: 'Dishes for Atlantic mackerel' })
    const rowOf = (dish: string) => within(dishes).getByText(dish).closest('li') as HTMLElement
    expect(rowOf('From the grill').textContent).toMatch(/Fit \d+ of 100; feeds \d of 4/)
    // A wild host of parasites is not served raw: the reason stands there, and nothing can be pressed.
    expect(within(rowOf('Raw slices')).getByRole('button').hasAttribute('disabled')).toBe(true)
    fireEvent.click(within(rowOf('From the grill')).getByRole('button', { name: 'For this' }))
    await waitFor(async () => expect((await lots(server))[0]?.lot.servings).toEqual(['grill']))
  })

  it('is frozen to be eaten raw as a task, and its places are told and read', async () => {
    const server = await openPage('/cold', KITCHEN)
    await post(server, '/lots', { lot: lot({ freezing: { celsius: -20, hours: 168, since: ago(200), done: null } }) })
    const one = await card()
    expect(within(one).getByText(/Freezing to be eaten raw: −?-?20 °C for 168 hours/)).toBeDefined()
    const done = within(one).getByRole('button', { name: 'It is done' })
    expect(done.hasAttribute('disabled')).toBe(true)
    fireEvent.change(within(one).getByLabelText('By whom'), { target: { value: 'Morning shift' } })
    fireEvent.click(done)
    await waitFor(async () => expect((await lots(server))[0]?.lot.freezing?.done?.by).toBe('Morning shift'))
    fireEvent.click(screen.getByRole('button', { name: 'Add the fridge' }))
    const places = screen.getByRole('region', { name: 'Where it is kept' })
    fireEvent.change(await within(places).findByLabelText('I read, °C'), { target: { value: '6,5' } })
    fireEvent.click(within(places).getByRole('button', { name: 'Write it down' }))
    expect(await within(places).findByText('6.5 °C')).toBeDefined()
  })
})
