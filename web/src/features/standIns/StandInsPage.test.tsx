import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { BUDGETED, KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const everyone = async () =>
  within(await screen.findByRole('region', { name: 'Everyone who could stand in' }))
    .getAllByRole('listitem')
    .map((row) => ({
      name: within(row).getByRole('heading').textContent,
      cost: Number(/€([\d.]+)/.exec(row.textContent ?? '')?.[1] ?? NaN),
      score: Number(within(row).getByRole('button').previousElementSibling?.textContent),
    }))
const missing = async () => /^If (.*) isn’t there$/.exec((await screen.findByRole('heading', { level: 1 })).textContent ?? '')?.[1]

describe('stand-ins', () => {
  it('are in order, nearest first, and never the missing fish itself', async () => {
    await openPage('/dishes/stew/stand-ins', KITCHEN)
    // Where there are prices, of what can be bought; the rest of the book is a press away.
    const offered = await everyone()
    for (const { cost } of offered) expect(cost).toBeGreaterThan(0)
    fireEvent.click(screen.getByRole('switch', { name: /^Only what I can buy/ }))
    await waitFor(async () => expect((await everyone()).length).toBeGreaterThan(offered.length + 3))
    const rows = await everyone()
    const scores = rows.map(({ score }) => score)
    expect(scores).toEqual([...scores].sort((a, b) => b - a))
    expect(rows.map(({ name }) => name)).not.toContain(await missing())
  })

  it('show where each parts from the missing fish, the missing one as a ghost on the same strip', async () => {
    await openPage('/dishes/stew/stand-ins', KITCHEN)
    await everyone()
    const ladder = await screen.findByRole('list', { name: 'Stand-ins, nearest first' })
    const strips = await within(ladder).findAllByRole('img')
    expect(strips.length).toBeGreaterThan(0)
    const name = await missing()
    for (const strip of strips) expect(strip.getAttribute('aria-label')).toContain(`; ${name ?? ''} has `)
  })

  it('cost less, where the fish was too dear', async () => {
    await openPage('/dishes/lunch/stand-ins', KITCHEN)
    await everyone()
    const header = screen.getByRole('region', { name: 'The ladder' })
    const before = Number(/€([\d.]+) a portion/.exec(header.textContent ?? '')?.[1])
    fireEvent.click(screen.getByRole('button', { name: 'Too dear' }))
    await waitFor(async () => {
      const costs = (await everyone()).map(({ cost }) => cost)
      expect(costs.length).toBeGreaterThan(0)
      for (const cost of costs) expect(cost).toBeLessThan(before)
    })
  })

  it('are taken with one press, and kept as the decision', async () => {
    const server = await openPage('/dishes/lunch/stand-ins', KITCHEN)
    const [first] = await everyone()
    fireEvent.click(screen.getAllByRole('button', { name: 'Take' })[0] as HTMLElement)
    await waitFor(() => expect(server.asked).toContain('POST /api/decisions'))
    expect(first?.name).toBeDefined()
  })

  it('are none where no fish can do the dish, and the page says so', async () => {
    await openPage('/dishes/none/stand-ins', {
      dishes: [{ id: 'none', brief: { ...BUDGETED.brief, method: 'raw', format: 'slice', diners: { pregnant: 1 } } as never }],
    })
    expect(await screen.findByText(/nothing to stand in for/)).toBeDefined()
  })
})
