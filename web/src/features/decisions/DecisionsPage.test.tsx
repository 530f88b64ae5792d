import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

describe('decisions', () => {
  it('teach the next step where there is none', async () => {
    await openPage('/dishes/stew/decisions', KITCHEN)
    expect(await screen.findByText(/Nothing yet\. Take a fish in the/)).toBeDefined()
  })

  it('take along what was typed a moment before, and clash with nothing of their own', async () => {
    const server = await openPage('/dishes/stew/line-up', KITCHEN)
    const list = await screen.findByRole('list', { name: 'Fish that can do it' })
    fireEvent.keyDown(await screen.findByRole('slider', { name: 'Firmness from' }), { key: 'ArrowLeft' })
    const first = within(list).getAllByRole('listitem')[0] as HTMLElement
    fireEvent.click(within(first).getAllByRole('button')[0] as HTMLElement)
    fireEvent.click(within(first).getByRole('button', { name: /^Take / }))
    await waitFor(async () => expect(await server.taken('stew')).toBeDefined())
    expect((await server.brief('stew'))?.asks?.firmness).toBeDefined()
    // Longer than what is typed rests before it is sent by itself.
    await new Promise((resolve) => setTimeout(resolve, 900))
    expect(server.asked.slice(server.asked.indexOf('POST /api/decisions')).filter((one) => /^PUT/.test(one))).toEqual([])
    expect(screen.queryByText(/changed in the meantime/)).toBeNull()
  })

  it('are kept when a fish is taken, reopened as they were, and told apart from today', async () => {
    const server = await openPage('/dishes/stew/line-up', KITCHEN)
    const status = await screen.findByRole('status', { name: 'Who stands first' })
    await waitFor(() => expect(status.textContent).toMatch(/can do it$/))
    const first = within(await screen.findByRole('list', { name: 'Fish that can do it' })).getAllByRole('listitem')[0] as HTMLElement
    fireEvent.click(within(first).getAllByRole('button')[0] as HTMLElement)
    fireEvent.click(within(first).getByRole('button', { name: /^Take / }))
    await waitFor(() => expect(server.asked).toContain('POST /api/decisions'))
    fireEvent.click(screen.getByRole('link', { name: 'Decisions' }))
    const list = await screen.findByRole('list', { name: 'Decisions, newest first' })
    await waitFor(() => expect(within(list).getAllByRole('listitem')).toHaveLength(1))
    expect(list.textContent).toContain('number 1, fit')
    fireEvent.click(within(list).getByRole('button', { name: 'Open it as it was' }))
    const then = await screen.findByRole('list', { name: 'The line-up then' })
    expect(within(then).getAllByRole('listitem').length).toBeGreaterThan(1)
    fireEvent.click(screen.getByRole('button', { name: 'Run it again' }))
    expect((await screen.findByRole('region', { name: 'On the same inputs' })).textContent).toContain('The same answer')
    expect(screen.getByRole('region', { name: 'On the dish, the prices and the book of today' })).toBeDefined()
    fireEvent.click(within(list).getByRole('button', { name: 'Close it' }))
    await waitFor(() => expect(screen.queryByRole('list', { name: 'The line-up then' })).toBeNull())
  })
})
