import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { EXPLANATIONS } from '../../parts/explanations.ts'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

describe('help', () => {
  it('explains fit on the reader’s own dish, with points that add up, and has a place for every question mark', async () => {
    await openPage('/help', KITCHEN)
    const article = await screen.findByRole('article', { name: 'How to read it' })
    const example = await within(article).findByText(/^In your dish/)
    const fit = Number(/stands at\s*([\d.]+)/.exec(example.textContent ?? '')?.[1])
    const list = example.parentElement?.querySelector('ul')
    const lost = [...(list?.querySelectorAll('li > b') ?? [])].map(({ textContent }) => Number(textContent))
    expect(fit + lost.reduce((sum, points) => sum + points, 0)).toBeGreaterThan(99)
    expect(fit + lost.reduce((sum, points) => sum + points, 0)).toBeLessThan(101)
    for (const { at } of Object.values(EXPLANATIONS)) expect([at, document.getElementById(at)?.tagName]).toEqual([at, 'SECTION'])
  })

  it('is reached from a question mark beside what it explains', async () => {
    await openPage('/dishes/stew/stand-ins', KITCHEN)
    fireEvent.click(await screen.findByRole('button', { name: 'What is this: Ladder?' }))
    const told = await screen.findByRole('dialog', { name: 'Ladder' })
    expect(told.textContent).toContain(EXPLANATIONS.ladder.words)
    fireEvent.click(within(told).getByRole('link', { name: 'How it is worked out' }))
    await waitFor(() => expect(window.location.pathname + window.location.hash).toBe('/k/lantern/help#ladder'))
  })

  it('says so where there is no dish of one’s own yet', async () => {
    await openPage('/help', { dishes: [] })
    expect(await screen.findByText(/Once you have a dish/)).toBeDefined()
  })
})
