import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { BUDGETED, KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const list = () => screen.findByRole('list', { name: 'Fish that can do it' })
const names = (within_: HTMLElement) =>
  within(within_)
    .getAllByRole('heading', { level: 3 })
    .map((heading) => heading.textContent?.replace(/[\s▾▴]+$/u, ''))
/** Who the page says stands first, once the shares are drawn. */
const leader = async () => {
  const status = await screen.findByRole('status', { name: 'Who stands first' })
  await waitFor(() => expect(status.textContent).toMatch(/ first; \d+ can do it$/))
  return status.textContent?.replace(/ first; \d+ can do it$/, '')
}

describe('the line-up', () => {
  it('names the first, in the list, in the verdict and to those who cannot see it', async () => {
    await openPage('/dishes/stew/line-up', KITCHEN)
    const first = await leader()
    expect(names(await list())[0]).toBe(first)
    const verdict = screen.getByText(/^A toss-up: |, clearly$|, narrowly$|, among equals$/)
    expect(verdict.textContent).toContain(first)
  })

  it('opens a row to its points, which add up to what is missing, and takes the fish', async () => {
    const server = await openPage('/dishes/lunch/line-up', KITCHEN)
    await leader()
    const row = within(await list()).getAllByRole('listitem')[2] as HTMLElement
    const fit = Number(row.querySelector('[data-fit]')?.textContent)
    fireEvent.click(within(row).getAllByRole('button')[0] as HTMLElement)
    const lost = [...row.querySelectorAll('b')].map(({ textContent }) => /^−([\d.]+)$/.exec(textContent ?? '')?.[1]).filter(Boolean)
    expect(lost.reduce((sum, points) => sum + Number(points), 0)).toBeCloseTo(100 - fit, 1)
    fireEvent.click(within(row).getByRole('button', { name: /^Take / }))
    await waitFor(() => expect(server.asked).toContain('POST /api/decisions'))
  })

  it('keeps an ask that is typed into the docket, and puts it back as the method has it', async () => {
    const server = await openPage('/dishes/stew/line-up', KITCHEN)
    await leader()
    const from = await screen.findByRole('textbox', { name: 'Firmness from' })
    fireEvent.change(from, { target: { value: '7' } })
    expect((await list()).getAttribute('aria-busy')).toBe('false')
    fireEvent.keyDown(from, { key: 'Enter' })
    // The rows before stand there, and say so, until those of the change do.
    expect((await list()).getAttribute('aria-busy')).toBe('true')
    await waitFor(async () => expect((await list()).getAttribute('aria-busy')).toBe('false'))
    await waitFor(async () => expect((await server.brief('stew'))?.asks?.firmness?.from).toBe(7))
    const ask = screen.getByRole('region', { name: 'Firmness' })
    fireEvent.click(await within(ask).findByRole('button', { name: 'As the method has it' }))
    await waitFor(async () => expect((await server.brief('stew'))?.asks?.firmness).toBeUndefined())
  })

  it('makes a band a must and a wish again, says what each change did, and undoes it', async () => {
    const server = await openPage('/dishes/stew/line-up', KITCHEN)
    await leader()
    const must = await screen.findByRole('checkbox', { name: 'Firmness is a must' })
    fireEvent.click(must)
    await waitFor(async () => expect((await server.brief('stew'))?.asks?.firmness?.must).toBe(true))
    const said = screen.getByRole('status', { name: 'What the last change did' })
    await waitFor(() => expect(said.textContent).toMatch(/^Firmness is a must: .* first/))
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }))
    await waitFor(async () => expect((await server.brief('stew'))?.asks?.firmness?.must).toBeUndefined())
    fireEvent.click(screen.getByRole('button', { name: 'Redo' }))
    await waitFor(async () => expect((await server.brief('stew'))?.asks?.firmness?.must).toBe(true))
    fireEvent.click(screen.getByRole('checkbox', { name: 'Firmness is a must' }))
    await waitFor(async () => expect((await server.brief('stew'))?.asks?.firmness?.must).toBeUndefined())
  })

  it('answers people at risk as people, with a way on', async () => {
    const server = await openPage('/dishes/raw/line-up', {
      dishes: [{ id: 'raw', brief: { dish: 'Slices', method: 'raw', format: 'slice', diners: { pregnant: 1 }, covers: 2 } }],
    })
    expect(await screen.findByText(/^Nothing raw for the pregnant guest/)).toBeDefined()
    expect(screen.getByRole('link', { name: 'A cooked dish for them' })).toHaveProperty('search', '?method=poach')
    fireEvent.click(screen.getByRole('button', { name: 'Take them off this dish' }))
    await waitFor(async () => expect((await server.brief('raw'))?.diners?.pregnant).toBe(0))
    expect((await list()).children.length).toBeGreaterThan(0)
  })

  it('says who was left out, why, and lets one in by changing the brief', async () => {
    const server = await openPage('/dishes/thick/line-up', {
      dishes: [{ id: 'thick', brief: { ...BUDGETED.brief, budget: undefined, method: 'roast', thicknessMm: 60 } as never }],
    })
    fireEvent.click(await screen.findByRole('button', { name: 'Show who and why' }))
    const opening = (await screen.findAllByRole('button', { name: 'Change the brief so' }))[0] as HTMLElement
    fireEvent.click(opening)
    await waitFor(() => expect(server.asked.filter((one) => one === 'PUT /api/servings/thick')).toHaveLength(1))
  })

  it('says that nothing can do it where that is so, and what came close', async () => {
    await openPage('/dishes/none/line-up', {
      dishes: [{ id: 'none', brief: { dish: 'Nothing', method: 'roast', format: 'portion', diners: { allergies: ['fish'] }, covers: 2 } }],
    })
    expect(await screen.findByText(/No fish of the book can do this dish as it stands/)).toBeDefined()
  })

  it('tells of a dish that is not there', async () => {
    await openPage('/dishes/nowhere/line-up', KITCHEN)
    expect(await screen.findByRole('heading', { name: /Nothing stands here|not built yet/ })).toBeDefined()
  })
})
