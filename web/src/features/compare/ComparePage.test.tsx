import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const PAIR = '/book/compare?fish=Gadus%20morhua&fish=Lophius%20piscatorius'
const heads = async () => {
  const table = await screen.findByRole('table', { name: 'Comparison' })
  return within(table)
    .getAllByRole('columnheader')
    .slice(1)
    .map((head) => within(head).getByRole('heading').textContent)
}

describe('side by side', () => {
  it('shows each fish once, the differences that matter first', async () => {
    await openPage(PAIR, KITCHEN)
    expect(await heads()).toEqual(['Atlantic cod', 'Anglerfish (monkfish)'])
    const rows = screen.getAllByRole('rowheader').map(({ textContent }) => textContent ?? '')
    expect(rows.slice(0, 3)).toEqual(['Cost a portion', 'Season', 'Stock'])
    const differs = rows.slice(3).map((row) => row.includes('they differ'))
    expect(differs.indexOf(false)).toBeGreaterThan(0)
    expect(differs.lastIndexOf(true)).toBeLessThan(differs.indexOf(false))
  })

  it('says what each loses in a dish, adding up, and what a portion of it costs', async () => {
    await openPage(`${PAIR}&dish=lunch`, KITCHEN)
    const points = await screen.findByRole('list', { name: 'Points each loses' })
    for (const row of within(points).getAllByRole('listitem')) {
      const [, fit = '0', missing = '0'] = /([\d.]+) = 100 − ([\d.]+)/.exec(row.textContent ?? '') ?? []
      expect(Number(fit) + Number(missing)).toBeCloseTo(100, 5)
    }
    expect(screen.getAllByRole('cell')[0]?.textContent).toMatch(/^€[\d.]+ to [\d.]+ a portion$|^€[\d.]+/)
    expect(await screen.findByRole('region', { name: 'Fit against cost' })).toBeDefined()
  })

  it('leaves a fish out and takes another dish, and the address follows', async () => {
    await openPage(`${PAIR}&dish=lunch`, KITCHEN)
    await heads()
    fireEvent.click(screen.getByRole('button', { name: 'Leave Atlantic cod out' }))
    await waitFor(async () => expect(await heads()).toEqual(['Anglerfish (monkfish)']))
    fireEvent.mouseDown(screen.getByRole('combobox', { name: /^For the dish/ }))
    fireEvent.click(await screen.findByRole('option', { name: 'none: the flesh alone' }))
    await waitFor(() => expect(new URLSearchParams(window.location.search).get('dish')).toBeNull())
    expect(new URLSearchParams(window.location.search).getAll('fish')).toEqual(['Lophius piscatorius'])
  })

  it('teaches the first step where there is no fish', async () => {
    await openPage('/book/compare', KITCHEN)
    expect(await screen.findByText('Add two to four fish to see where they part.')).toBeDefined()
  })
})
