import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { openPage } from '../../testing/openPage.tsx'
import type { TestKitchen } from '../../testing/realServer.ts'

const KITCHEN: TestKitchen = {
  dishes: [{ id: 'pan', brief: { dish: 'From the pan', method: 'pan-sear', format: 'fillet-skin-on', covers: 4, draws: 400 } }],
}
const headline = () => screen.findByRole('status', { name: 'When to take it out' })
const minutesOf = (text: string | null): number => Number(/Out after (\d+)/.exec(text ?? '')?.[1])

describe('a cook sheet', () => {
  it('tells when to take it out as a range, what to look for, and what can hurt', async () => {
    await openPage('/dishes/pan/cook', KITCHEN)
    expect((await headline()).textContent).toMatch(/^Out after \d+ to \d+ min, at \d+ °C in the middle$/)
    const look = await screen.findByRole('region', { name: 'Look for' })
    expect(look.textContent).toMatch(/white a third of the way up the side/)
    expect(look.textContent).toMatch(/take it out: \d+ °C to \d+ °C with the probe/)
    expect((await screen.findByRole('region', { name: 'What can hurt' })).textContent).toContain('Hot fat burns')
    expect((await screen.findByRole('region', { name: 'Before it is cooked' })).textContent).toContain('Dry salting')
    const hands = await screen.findByRole('region', { name: 'Hands' })
    await waitFor(() => expect(hands.textContent).toMatch(/for one fish/))
  })

  it('answers another thickness, and says why where it cannot judge', async () => {
    await openPage('/dishes/pan/cook', KITCHEN)
    const before = minutesOf((await headline()).textContent)
    fireEvent.change(screen.getByLabelText('Thick, mm'), { target: { value: '45' } })
    await waitFor(async () => expect(minutesOf((await headline()).textContent)).toBeGreaterThan(before))
    expect((await screen.findByRole('region', { name: 'What can hurt' })).textContent).toContain('on one face burn it')
    fireEvent.change(screen.getByLabelText('From, °C'), { target: { value: '-5' } })
    expect((await screen.findByRole('alert')).textContent).toMatch(/thaw it first/)
  })

  it('is cooked otherwise: seared and finished in the oven, a stage’s end moved by key, and back to the usual', async () => {
    await openPage('/dishes/pan/cook', KITCHEN)
    const usual = (await headline()).textContent
    fireEvent.click(screen.getByRole('button', { name: 'Sear, then the oven' }))
    const end = () => screen.findByRole('slider', { name: 'Pan, 180 °C, skin down: ends' })
    await waitFor(async () => expect((await end()).getAttribute('aria-valuetext')).toBe('3 min'))
    fireEvent.keyDown(await end(), { key: 'ArrowRight' })
    await waitFor(() =>
      expect(Number(screen.getByRole('slider', { name: 'Pan, 180 °C, skin down: ends' }).getAttribute('aria-valuenow'))).toBeGreaterThan(3),
    )
    expect(window.location.search).toContain('hot-pan-in-oven')
    fireEvent.click(screen.getByRole('button', { name: 'As this way of cooking usually goes' }))
    await waitFor(async () => expect((await headline()).textContent).toBe(usual))
  })

  it('is cooked moist by one press, with the caution, and starts timers that stand on every page', async () => {
    await openPage('/dishes/pan/cook', KITCHEN)
    const set = minutesOf((await headline()).textContent)
    const far = await screen.findByRole('region', { name: 'How far' })
    fireEvent.click(within(far).getByRole('button', { name: 'Cook it so' }))
    await waitFor(async () => expect(minutesOf((await headline()).textContent)).toBeLessThan(set))
    expect(far.textContent).toContain('The guideline is 63 °C')
    fireEvent.click(screen.getByRole('button', { name: 'Start now' }))
    const timers = await screen.findByRole('region', { name: 'Timers' })
    expect(within(timers).getByText('Turn it')).toBeDefined()
    expect(within(timers).getByText('Take it out')).toBeDefined()
    for (const done of within(timers).getAllByRole('button', { name: /^Done: / })) fireEvent.click(done)
    await waitFor(() => expect(screen.queryByRole('region', { name: 'Timers' })).toBeNull())
  })
})
