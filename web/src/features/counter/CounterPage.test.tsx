import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import type { LookRecord, PurchaseRecord } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { PRICES } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'
import type { RealServer, TestKitchen } from '../../testing/realServer.ts'

const COD = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skin-on' } as const
const TRADE: TestKitchen = {
  dishes: [
    { id: 'a', choice: COD, brief: { dish: 'Supper', method: 'stew', format: 'chunk', covers: 10, date: '2026-06-14', draws: 400 } },
    {
      ...{ id: 'b', choice: COD },
      brief: { dish: 'Lunch', method: 'stew', format: 'chunk', covers: 4, date: '2026-06-18', diners: { pregnant: 1 }, draws: 400 },
    },
  ],
  prices: PRICES.map((price) => ({ ...price, merchant: 'Quay' })),
  merchants: [{ name: 'Quay', delivers: [1, 2, 3, 4, 5, 6, 7], orderBy: '21:00', daysAhead: 1, minimumOrder: null, feed: null }],
}
const list = async <T,>(server: RealServer, of: string): Promise<readonly T[]> =>
  (await (await server.call(`/${of}`, { method: 'GET' })).json()) as T[]
const bag = () => screen.findByRole('status', { name: 'What is in the bag' })
const verdict = () => screen.findByRole('status', { name: 'What to do with it' })
const see = async (level: number) => {
  const sign = (await screen.findByRole('heading', { level: 1 })).textContent ?? ''
  fireEvent.click(within(screen.getByRole('group', { name: sign })).getAllByRole('button')[level] as HTMLElement)
}
const lookAt = async (fish: RegExp) => {
  const links = await screen.findAllByRole('link', { name: fish })
  fireEvent.click(links[0] as HTMLElement)
  await screen.findByRole('group', { name: 'Every sign' })
}

describe('the counter', () => {
  it('looks at a fish sign by sign, the most telling first, and puts it into the bag with what was paid', async () => {
    const server = await openPage('/counter', TRADE)
    expect((await bag()).textContent).toBe('0 of 2 in the bag')
    await lookAt(/^Atlantic cod.*Supper/)
    expect((await verdict()).textContent).toContain('Look at it first')
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Smell')
    await see(0)
    await waitFor(async () => expect((await verdict()).textContent).toMatch(/Buy it.*sure in \d\d of 100/))
    // The next one comes by itself, and what was seen can be seen again.
    expect(screen.getByRole('heading', { level: 1 }).textContent).not.toBe('Smell')
    expect(screen.getByRole('button', { name: 'Smell: of the sea' })).toBeDefined()
    await see(1)

    // A price by the pound is held against what is usual.
    fireEvent.click(screen.getByRole('button', { name: 'What do they ask for it?' }))
    fireEvent.change(screen.getByLabelText('They ask, EUR'), { target: { value: '90' } })
    fireEvent.click(screen.getByRole('button', { name: 'a pound' }))
    expect((await screen.findByRole('status', { name: 'How the price stands' })).textContent).toMatch(/^Past the /)
    fireEvent.change(screen.getByLabelText('They ask, EUR'), { target: { value: '5' } })
    await waitFor(async () => expect((await screen.findByRole('status', { name: 'How the price stands' })).textContent).toMatch(/^Cheap: /))

    fireEvent.click(screen.getByRole('button', { name: 'Take it' }))
    fireEvent.change(await screen.findByLabelText('Weight, kg'), { target: { value: '3,5' } })
    fireEvent.click(screen.getByRole('button', { name: 'In the bag' }))
    expect((await bag()).textContent).toBe('1 of 2 in the bag')
    await waitFor(async () => expect(await list(server, 'lots')).toHaveLength(1))
    const [look] = await list<LookRecord>(server, 'looks')
    expect(look?.look).toMatchObject({ outcome: 'buy', view: 'fillet', signs: { smell: 0 }, asked: { currency: 'EUR' } })
    const [bought] = await list<PurchaseRecord>(server, 'purchases')
    expect(bought?.purchase).toMatchObject({ g: 3500, state: 'bought' })
    expect(bought?.purchase.perKg).toBeCloseTo(5 / 0.45359237, 2)
    // Out of the bag again, neither a purchase nor a lot stands any more.
    fireEvent.click((await screen.findAllByRole('link', { name: /^Atlantic cod.*3\.50 kg/ }))[0] as HTMLElement)
    fireEvent.click(await screen.findByRole('button', { name: 'Take it out of the bag' }))
    await waitFor(async () => expect(await list(server, 'lots')).toHaveLength(0))
    await waitFor(async () => expect(await list(server, 'purchases')).toHaveLength(0))
  })

  it('walks away from what smells, or is not shown, to the next rung with its own weight; a vulnerable eater has the stricter line', async () => {
    const server = await openPage('/counter', TRADE)
    await lookAt(/^Atlantic cod.*Lunch/)
    // A week until it is eaten, and somebody is pregnant: nothing is bought on hope.
    await see(2)
    await waitFor(async () => expect((await verdict()).textContent).toMatch(/^(Walk away|Cook it today)/))
    fireEvent.click(screen.getByRole('button', { name: /^Smell: / }))
    await see(3)
    await waitFor(async () => expect((await verdict()).textContent).toContain('Nothing else makes up for that.'))
    // No excuse turns it.
    for (const excuse of screen.queryAllByRole('button', { name: /rinsed in something sour|soft by nature|was frozen/ }))
      fireEvent.click(excuse)
    expect((await verdict()).textContent).toContain('Walk away')
    expect(screen.queryByRole('button', { name: 'Take it' })).toBeNull()
    fireEvent.click(screen.getByRole('button', { name: 'Something else' }))
    expect((await screen.findByRole('status', { name: 'Why not' })).textContent).toContain('sour, or of ammonia')
    expect(await screen.findByText(/^“.+, please.”$/)).toBeDefined()
    // The stand-in is looked at as any other fish, and is bought for the dish.
    fireEvent.click(screen.getByRole('button', { name: /^Look at .+ first$/ }))
    expect(await screen.findByText(/, instead of atlantic cod$/)).toBeDefined()
    await see(0)
    await see(0)
    await see(0)
    await waitFor(async () => expect((await verdict()).textContent).toMatch(/^(Buy it|Cook it today)/))
    fireEvent.click(screen.getByRole('button', { name: 'Take it' }))
    fireEvent.click(await screen.findByRole('button', { name: 'In the bag' }))
    expect(await screen.findByText('Walked away')).toBeDefined()
    await waitFor(async () => expect(await list(server, 'looks')).toHaveLength(2), { timeout: 20_000 })
    const looks = await list<LookRecord>(server, 'looks')
    expect(looks.map(({ look }) => look.outcome)).toContain('walk-away')
    await waitFor(async () => expect(await list(server, 'lots')).toHaveLength(1), { timeout: 20_000 })
    const purchases = await list<PurchaseRecord>(server, 'purchases')
    expect(purchases.map(({ purchase: { state } }) => state).sort()).toEqual(['bought', 'not-come'])
    const [serving] = (await list<{ id: string; choice: { species: string } }>(server, 'servings')).filter(({ id }) => id === 'b')
    expect(serving?.choice.species).toBe(purchases.find(({ purchase }) => purchase.state === 'bought')?.purchase.species)
  })

  it('goes without a fish that is not there, and no look is kept of it', async () => {
    const server = await openPage('/counter', TRADE)
    await lookAt(/^Atlantic cod.*Supper/)
    fireEvent.click(screen.getByRole('button', { name: 'It is not here' }))
    fireEvent.click(await screen.findByRole('button', { name: 'Go without it for now' }))
    expect(await screen.findByText('Not there')).toBeDefined()
    await waitFor(async () => expect(await list(server, 'purchases')).toHaveLength(1))
    expect(await list(server, 'looks')).toHaveLength(0)
  })

  it('leaves what they will not show', async () => {
    await openPage('/dishes/a/counter', TRADE)
    fireEvent.click(await screen.findByRole('button', { name: 'They will not show it' }))
    await waitFor(async () => expect((await verdict()).textContent).toContain('who will not show a fish has a reason'))
  })
})
