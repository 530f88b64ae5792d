import { fireEvent, screen, waitFor } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const region = () => screen.findByRole('region', { name: 'What to buy' })
const euros = (text: string) => Number(/€([\d.]+)/.exec(text)?.[1] ?? NaN)

describe('amounts', () => {
  it('say how much to buy for whom, what that rests on, and that no fish is taken yet', async () => {
    await openPage('/dishes/stew/amounts', KITCHEN)
    expect((await region()).textContent).toMatch(/[\d.]+ k?g.* to buy, [\d.]+ k?g to [\d.]+ k?g as yields fall/)
    const workings = screen.getByRole('region', { name: 'How it is worked out' })
    expect(workings.textContent).toContain('4.0 for 4 covers')
    expect(workings.textContent).toContain('No fish is taken yet')
  })

  it('count a price at once while it is typed: twice the price, twice the cost; no price for what is no number', async () => {
    await openPage('/dishes/stew/amounts', KITCHEN)
    const kept = euros((await region()).textContent ?? '')
    const price = screen.getByRole('textbox', { name: /^Price a kilo/ })
    fireEvent.change(price, { target: { value: '10' } })
    // What counts before is the price that is kept.
    await waitFor(async () => expect(euros((await region()).textContent ?? '')).not.toBe(kept))
    const once = euros((await region()).textContent ?? '')
    fireEvent.change(price, { target: { value: '20' } })
    await waitFor(async () => expect(euros((await region()).textContent ?? '') / once).toBeCloseTo(2, 2))
    fireEvent.change(price, { target: { value: 'dear' } })
    expect(await screen.findByText('A price is a number above 0')).toBeDefined()
    expect(screen.getByRole('button', { name: 'Keep this price' })).toHaveProperty('disabled', true)
  })

  it('warn of a cost above the budget of the brief', async () => {
    await openPage('/dishes/lunch/amounts', KITCHEN)
    await region()
    fireEvent.change(screen.getByRole('textbox', { name: /^Price a kilo/ }), { target: { value: '90' } })
    expect(await screen.findByText(/a portion above the/)).toBeDefined()
  })
})
