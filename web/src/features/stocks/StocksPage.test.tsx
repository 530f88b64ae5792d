import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { MARKET } from '../../testing/market.ts'
import { openPage } from '../../testing/openPage.tsx'

describe('the stocks', () => {
  it('stand in order, tell what they rest on, and a better figure moves the standing and is kept', async () => {
    const server = await openPage('/market/stocks', MARKET)
    const list = within(await screen.findByRole('list', { name: 'Stocks, the best standing first' }))
    await list.findByRole('button', { name: 'Atlantic cod' })
    expect(list.getAllByRole('button').map(({ textContent }) => textContent)).toEqual(['Atlantic salmon', 'Atlantic cod'])
    fireEvent.click(list.getByRole('button', { name: 'Atlantic cod' }))
    const evidence = within(await screen.findByRole('region', { name: 'Evidence on Atlantic cod' }))
    expect(evidence.getAllByText(/weakest: how much is left/)).toHaveLength(2)
    fireEvent.change(evidence.getByLabelText('How much is left'), { target: { value: '1' } })
    await waitFor(async () => expect((await server.stocks())[0]?.biomassRatio).toEqual({ value: 1, year: 2025 }))
    expect(evidence.queryByText(/weakest: how much is left/)).toBeNull()
    fireEvent.change(evidence.getByLabelText('How much is left'), { target: { value: 'plenty' } })
    expect(evidence.getByText('a number from 0 to 10')).toBeDefined()
    expect((await server.stocks())[0]?.biomassRatio).toEqual({ value: 1, year: 2025 })
  })
})
