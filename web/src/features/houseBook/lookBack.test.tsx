import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import type { Entry, HouseLearnt } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { openPage } from '../../testing/openPage.tsx'
import type { RealServer } from '../../testing/realServer.ts'
import { pricesAgainst, sayAgainst, sayServices } from './lookBackWords.ts'

const COD = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skin-on' } as const
const on = (day: string) => ({
  ...{ at: `${day}T20:00:00Z`, day, servingId: null, dish: 'Supper', method: 'grill' as const, ...COD },
  ...{ merchant: 'Quay & Son', words: null },
})
const BOUGHT = { kind: 'bought', orderedG: 1000, g: 1000, expectedPerKg: 10, currency: 'EUR', state: 'bought' } as const
const served = (day: string, firmness: number): Entry => ({
  ...{ kind: 'served', ...on(day), covers: 4, notes: { firmness }, bones: null, again: true, photo: null },
})
const write = async (server: RealServer, ...entries: readonly Entry[]) => {
  const body = { entries: entries.map((entry) => ({ id: crypto.randomUUID(), entry })) }
  expect((await server.call('/house-book', { method: 'POST', body })).status).toBe(200)
}

describe('looking back', () => {
  it('says what a time came to, and of a month alone where a month is chosen', async () => {
    const server = await openPage('/house-book/look-back', { dishes: [] })
    const came = await screen.findByRole('status', { name: 'What the time came to' })
    expect(came.textContent).toBe('No dish was written down in this time.')
    await write(
      server,
      served('2026-06-01', 0),
      served('2026-04-20', 0),
      { ...BOUGHT, ...on('2026-04-20'), perKg: 12 },
      { ...BOUGHT, ...on('2026-04-21'), perKg: 14 },
      { ...BOUGHT, ...on('2026-06-02'), state: 'not-come', g: null, perKg: null },
    )
    await waitFor(() => expect(came.textContent).toContain('2 dishes written down: 2 would be taken again'))
    const prices = within(screen.getByRole('region', { name: 'Price against the estimate' }))
    await prices.findByText('Usually 30 of 100 more than expected, over 2 prices.')
    const merchants = within(screen.getByRole('region', { name: 'Merchants side by side' }))
    expect((await merchants.findByRole('row', { name: /Quay & Son/ })).textContent).toContain('2 of 3')
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Over' }))
    fireEvent.click(await screen.findByRole('option', { name: 'June 2026' }))
    await waitFor(() => expect(screen.getByRole('status', { name: 'What the time came to' }).textContent).toContain('1 dish written down'))
    await screen.findByText('No prices in this time.')
    screen.getByText(/1 June 2026 to 30 June 2026/)
  })
})

describe('what it taught', () => {
  it('tells every learnt value with the book’s beside it, and puts the book’s back and lets it count again', async () => {
    const server = await openPage('/house-book/learnt', { dishes: [] })
    await screen.findByText('Nothing is written yet, so nothing is learnt.')
    await write(server, served('2026-06-01', -2), served('2026-06-02', -2), served('2026-06-03', -2))
    const fish = within(await screen.findByRole('region', { name: 'Fish' }))
    const row = within((await fish.findByRole('heading', { name: /firmness$/ })).closest('li') as HTMLElement)
    row.getByText(/^House: (much )?softer than the book, from 3 servings$/)
    row.getByText(/here; the book: /)
    expect(row.getByRole('link', { name: 'Entries behind it' }).getAttribute('href')).toContain(encodeURIComponent(COD.offerId))
    const learnt = async () => (await (await server.call('/house-book/learnt', { method: 'GET' })).json()) as HouseLearnt
    const isAside = async () => (await learnt()).traits.find(({ trait }) => trait === 'firmness')?.setAside
    fireEvent.click(row.getByRole('button', { name: 'Put the book’s back' }))
    await waitFor(async () => expect(await isAside()).toBe(true))
    fireEvent.click(await row.findByRole('button', { name: 'Let it count' }))
    await waitFor(async () => expect(await isAside()).toBe(false))
    await row.findByRole('button', { name: 'Put the book’s back' })
  })
})

describe('what charts come to, in words', () => {
  // Prices that came to so many hundredths of what was expected, some of which expected nothing.
  const price = fc
    .record({ expectedPerKg: fc.integer({ min: 0, max: 90 }), ofHundred: fc.integer({ min: 1, max: 400 }) })
    .map(({ expectedPerKg, ofHundred }) => ({ expectedPerKg, perKg: (expectedPerKg * ofHundred) / 100 }))
  const points = (list: readonly { perKg: number; expectedPerKg: number }[]) =>
    pricesAgainst({ prices: list.map((one) => ({ ...one, day: '2026-06-13', common: 'cod', merchant: null, currency: 'EUR' })) as never })

  it('counts what was expected of anything at all, hangs on no order, and turns round with what came', () => {
    const words = { more: 'more', less: 'less', what: 'prices' }
    fc.assert(
      fc.property(fc.array(price, { maxLength: 9 }), (list) => {
        const told = points(list)
        expect(told).toHaveLength(list.filter(({ expectedPerKg }) => expectedPerKg > 0).length)
        expect(sayAgainst([...told].reverse(), words)).toBe(sayAgainst(told, words))
        const mirrored = told.map((one) => ({ ...one, ofHundred: 200 - one.ofHundred }))
        const swap = (text: string) => text.replace(/more|less/, (word) => (word === 'more' ? 'less' : 'more'))
        expect(sayAgainst(mirrored, words)).toBe(swap(sayAgainst(told, words)))
      }),
    )
  })

  it('says one dish and one portion as one', () => {
    const services = { dishes: 1, again: 1, notAgain: 0, portionsBack: 1 }
    expect(sayServices({ services })).toBe('1 dish written down: 1 would be taken again, 0 not; 1 portion came back.')
    expect(sayServices({ services: { ...services, dishes: 2, portionsBack: 0 } })).toContain('2 dishes written down')
  })
})
