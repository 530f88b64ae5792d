import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const count = async () => Number(/^(\d+)/.exec((await screen.findByRole('heading', { level: 1, name: /fish$/ })).textContent ?? '')?.[1])
const found = () => within(screen.getByRole('list', { name: 'Fish found' })).getAllByRole('listitem')

describe('the book', () => {
  it('is looked through by kind of flesh: each choice says how many it leaves, and leaves that many', async () => {
    await openPage('/book', KITCHEN)
    const all = await count()
    const flake = screen.getByRole('group', { name: 'Flake' })
    const steps = within(flake).getAllByRole('button')
    const told = steps.map(({ textContent }) => Number(/(\d+)$/.exec(textContent ?? '')?.[1]))
    expect(told.reduce((sum, n) => sum + n, 0)).toBe(all)
    fireEvent.click(steps[2] as HTMLElement)
    await waitFor(async () => expect(await count()).toBe(told[2]))
    expect(window.location.search).toContain('flake=')
    expect(found()).toHaveLength(told[2] as number)
    fireEvent.click(screen.getByRole('button', { name: 'Anything' }))
    await waitFor(async () => expect(await count()).toBe(all))
    expect(window.location.search).toBe('')
  })

  it('takes two quick choices for two', async () => {
    await openPage('/book', KITCHEN)
    await count()
    const [low, middle] = within(screen.getByRole('group', { name: 'Fat' })).getAllByRole('button') as [HTMLElement, HTMLElement]
    fireEvent.click(low)
    fireEvent.click(middle)
    await waitFor(() => expect(new URLSearchParams(window.location.search).get('fat')?.split(',')).toHaveLength(2))
  })

  it('is sorted by fit once a way of cooking is chosen, and holds only what is good for it', async () => {
    await openPage('/book?method=smoke', KITCHEN)
    await count()
    expect(screen.getByRole('combobox', { name: 'Sorted by' }).textContent).toBe('fit')
    const names = found().map((row) => within(row).getByRole('heading').textContent)
    expect(names).toContain('European eel')
    expect(names).not.toContain('Whiting')
  })

  it('says when nothing is all of that', async () => {
    await openPage('/book?firmness=high&flake=high&fat=high&bones=high', KITCHEN)
    expect(await screen.findByText('No fish of the book is all of that. Take one choice away.')).toBeDefined()
  })

  it('sets marked fish side by side', async () => {
    await openPage('/book', KITCHEN)
    await count()
    const boxes = screen.getAllByRole('checkbox', { name: /ompare/ })
    fireEvent.click(boxes[0] as HTMLElement)
    fireEvent.click(boxes[1] as HTMLElement)
    fireEvent.click(await screen.findByRole('link', { name: 'Compare marked (2)' }))
    const table = await screen.findByRole('table', { name: 'Comparison' })
    await waitFor(() => expect(within(table).getAllByRole('columnheader')).toHaveLength(3))
  })
})
