import { fireEvent, screen, waitFor } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const box = (label: string | RegExp) => screen.findByRole('textbox', { name: label })
const type = async (label: string | RegExp, value: string) => fireEvent.change(await box(label), { target: { value } })
const send = () => fireEvent.click(screen.getByRole('button', { name: 'See who can do it' }))

describe('the brief', () => {
  it('marks every field that is mistaken, keeps what was typed, and sends nothing', async () => {
    const server = await openPage('/dishes/new', KITCHEN)
    await type('Covers', 'minus two')
    await type('Thickness, mm', '500')
    send()
    expect(await screen.findByText('must not be empty')).toBeDefined()
    expect(screen.getByText('must be at most 120')).toBeDefined()
    expect(screen.getByText('must be integer')).toBeDefined()
    expect(await box('Covers')).toHaveProperty('value', 'minus two')
    expect(server.asked).not.toContain('POST /api/servings')
    expect(JSON.parse(localStorage.getItem('tender-gill-new-dish|lantern') ?? '{}')).toMatchObject({ covers: 'minus two' })
  })

  it('is told what makes no sense in it before anything is sent', async () => {
    const server = await openPage('/dishes/new', KITCHEN)
    await type('What it is called', 'Too many guests')
    await type('Covers', '2')
    await type('Children under 12', '5')
    await waitFor(() => expect(server.asked.some((one) => one.startsWith('GET /api/sheets'))).toBe(true))
    await new Promise((resolve) => setTimeout(resolve, 300))
    send()
    expect(await screen.findByText('names 5 diners, and there are 2 covers')).toBeDefined()
  })

  it('takes the cut that belongs to the way of cooking, and asks nothing that makes no sense for it', async () => {
    const server = await openPage('/dishes/new', KITCHEN)
    const choose = async (field: string, option: string | RegExp) => {
      fireEvent.mouseDown(await screen.findByRole('combobox', { name: field }))
      fireEvent.click(await screen.findByRole('option', { name: option }))
    }
    await type('What it is called', 'Slices')
    await choose('How it is cooked', /^Minced/)
    await waitFor(() => expect(screen.getByRole('combobox', { name: 'Cut' }).textContent).toBe('mince'))
    await choose('How it is cooked', /^Cured/)
    await waitFor(() => expect(screen.getByRole('combobox', { name: 'Cut' }).textContent).toBe('fillets, skin on'))
    expect((await screen.findByRole('combobox', { name: 'Eaten' })).textContent).toBe('as it is')
    await choose('Style', 'dry-salted for keeping')
    await waitFor(() => expect(screen.getByRole('combobox', { name: 'Eaten' }).textContent).toBe('heated through first'))
    await choose('How it is cooked', /^Braised/)
    await waitFor(() => expect(screen.getByRole('combobox', { name: 'Cut' }).textContent).not.toContain('fillets'))
    await choose('How it is cooked', /raw/i)
    await waitFor(() => expect(screen.getByRole('combobox', { name: 'Cut' }).textContent).toBe('slices'))
    expect(screen.queryByRole('combobox', { name: 'Weighed' })).toBeNull()
    expect(screen.queryByRole('combobox', { name: 'Doneness' })).toBeNull()
    send()
    await waitFor(() => expect(window.location.pathname).toMatch(/\/line-up$/))
    const id = window.location.pathname.split('/').at(-2) ?? ''
    expect(await server.brief(id)).toMatchObject({ method: 'raw', format: 'slice', portionBasis: 'raw' })
  })

  it('of a dish that is there is changed in place', async () => {
    const server = await openPage('/dishes/stew/brief', KITCHEN)
    expect(await box('What it is called')).toHaveProperty('value', 'Harbour stew')
    await type('Covers', '9')
    send()
    await waitFor(async () => expect((await server.brief('stew'))?.covers).toBe(9))
    await waitFor(() => expect(window.location.pathname).toBe('/k/lantern/dishes/stew/line-up'))
  })

  it('keeps what it does not show: a seed, a pool', async () => {
    const server = await openPage('/dishes/odd/brief', {
      dishes: [{ id: 'odd', brief: { dish: 'Odd', method: 'stew', format: 'chunk', seed: 7, pool: ['Gadus morhua', 'Conger conger'] } }],
    })
    await type('Covers', '3')
    send()
    await waitFor(async () =>
      expect(await server.brief('odd')).toMatchObject({ covers: 3, seed: 7, pool: ['Gadus morhua', 'Conger conger'] }),
    )
  })
})
