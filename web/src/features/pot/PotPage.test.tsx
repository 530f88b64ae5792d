import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const pot = () => screen.findByRole('list', { name: 'Into the pot, in this order' })
const minutesOf = (list: HTMLElement) => [...(list.textContent ?? '').matchAll(/about (\d+) min/g)].map(([, minutes]) => Number(minutes))

describe('a pot of several', () => {
  it('shows as many fish as asked, longest in the pot first, and remembers how many in the address', async () => {
    await openPage('/dishes/stew/pot', KITCHEN)
    expect(within(await pot()).getAllByRole('listitem')).toHaveLength(3)
    // Few of the fish of this test have a price.
    fireEvent.click(screen.getByRole('switch', { name: /Only what I can buy/ }))
    fireEvent.click(screen.getByRole('button', { name: '4 kinds' }))
    await waitFor(async () => expect(within(await pot()).getAllByRole('listitem')).toHaveLength(4))
    expect(window.location.search).toBe('?fish=4')
    const minutes = minutesOf(await pot())
    expect(minutes).toEqual([...minutes].sort((a, b) => b - a))
    const names = within(await pot())
      .getAllByRole('heading')
      .map(({ textContent }) => textContent)
    expect(new Set(names).size).toBe(4)
  })

  it('is changed by hand, in the address: one fish stays in, another goes, a third is put in and makes room for itself', async () => {
    await openPage('/dishes/stew/pot?fish=2', KITCHEN)
    const names = async () =>
      within(await pot())
        .getAllByRole('heading')
        .map(({ textContent }) => (textContent ?? '').split(' or ')[0] ?? '')
    const [first = '', second = ''] = await names()
    const press = async (fish: string, name: string) =>
      fireEvent.click(within(within(await pot()).getByRole('group', { name: `${fish}, by hand` })).getByRole('button', { name }))
    await press(first, 'Keep it in')
    await press(second, 'Not this one')
    await waitFor(async () => expect(await names()).not.toContain(second))
    expect(await names()).toContain(first)
    fireEvent.change(within(screen.getByRole('group', { name: 'By hand' })).getByRole('combobox'), { target: { value: 'mackerel' } })
    fireEvent.click(await screen.findByRole('option', { name: /^Atlantic mackerel/ }))
    await waitFor(async () => expect(await names()).toContain('Atlantic mackerel'))
    fireEvent.change(within(screen.getByRole('group', { name: 'By hand' })).getByRole('combobox'), { target: { value: 'herring' } })
    fireEvent.click(await screen.findByRole('option', { name: /^Atlantic herring/ }))
    await waitFor(async () => expect([...(await names())].sort()).toEqual(['Atlantic herring', 'Atlantic mackerel', first].sort()))
    expect(new URLSearchParams(window.location.search).get('fish')).toBe('3')
    // All of it is taken back by its own press.
    await screen.findByText(`Without ${second}`)
    for (const chip of screen.getAllByText(/ stays in$|^Without /))
      fireEvent.click(chip.parentElement?.querySelector('svg') as unknown as HTMLElement)
    await waitFor(() => expect(screen.queryByText(/ stays in$|^Without /)).toBeNull())
    fireEvent.click(screen.getByRole('button', { name: '2 kinds' }))
    await waitFor(async () => expect(await names()).toEqual([first, second]))
  })

  it('is taken with one press, all of its fish with one decision, and may be taken once', async () => {
    const server = await openPage('/dishes/stew/pot?fish=2', KITCHEN)
    const names = within(await pot())
      .getAllByRole('heading')
      .map(({ textContent }) => (textContent ?? '').split(' or ')[0])
    fireEvent.click(screen.getAllByRole('button', { name: 'Take these 2' })[0] as HTMLElement)
    expect((await screen.findByRole<HTMLButtonElement>('button', { name: 'These are taken' })).disabled).toBe(true)
    const [serving] = (await server.servings()).filter(({ id }) => id === 'stew')
    expect(serving?.choice?.beside).toHaveLength(1)
    expect(await server.decisions('stew')).toHaveLength(1)
    for (const name of names) expect((await screen.findByText(/are taken for/)).textContent).toContain(name)
  })

  it('sets the runners-up beside it, none better', async () => {
    await openPage('/dishes/stew/pot?fish=2', KITCHEN)
    const others = await screen.findByRole('region', { name: 'Runners-up' })
    const told = within(others).getAllByText(/ against /)
    expect(told.length).toBeGreaterThan(0)
    for (const { textContent } of told) {
      const [score, best] = (textContent ?? '').split(' against ').map(Number)
      expect(score).toBeLessThanOrEqual(best ?? 0)
    }
  })

  it('says why there is none', async () => {
    await openPage('/dishes/few/pot', {
      dishes: [{ id: 'few', brief: { dish: 'Few', method: 'stew', format: 'chunk', pool: ['Gadus morhua', 'Conger conger'] } }],
    })
    expect(await screen.findByText('Only 2 fish pass what this dish must have, and 3 are wanted.')).toBeDefined()
  })
})
