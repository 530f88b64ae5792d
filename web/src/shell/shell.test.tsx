import { fireEvent, screen, waitFor, within } from '../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../testing/dishes.ts'
import { openPage } from '../testing/openPage.tsx'

const press = (key: string, on: Element | Window = window) => fireEvent.keyDown(on, { key })
const path = () => window.location.pathname.replace('/k/lantern', '')

describe('keys', () => {
  it('walk along the line of a dish: g and a letter, or s for stand-ins', async () => {
    await openPage('/dishes/stew/line-up', KITCHEN)
    await screen.findByRole('list', { name: 'Fish that can do it' })
    press('g')
    press('a')
    await waitFor(() => expect(path()).toBe('/dishes/stew/amounts'))
    press('s')
    await waitFor(() => expect(path()).toBe('/dishes/stew/stand-ins'))
    press('g')
    press('b')
    await waitFor(() => expect(path()).toBe('/dishes/stew/brief'))
  })

  it('rest inside a field, and beside a key that is held', async () => {
    await openPage('/dishes/stew/line-up', KITCHEN)
    await screen.findByRole('list', { name: 'Fish that can do it' })
    press('s', screen.getByRole('combobox', { name: 'Find a fish by any market name' }))
    fireEvent.keyDown(window, { key: 's', ctrlKey: true })
    expect(path()).toBe('/dishes/stew/line-up')
  })

  it('are shown by a question mark, and can be switched off and on', async () => {
    await openPage('/dishes/stew/line-up', KITCHEN)
    await screen.findByRole('list', { name: 'Fish that can do it' })
    press('?')
    const keys = await screen.findByRole('dialog', { name: 'Keys' })
    fireEvent.click(within(keys).getByRole('button', { name: 'Switch single keys off' }))
    press('Escape')
    await waitFor(() => expect(screen.queryByRole('dialog', { name: 'Keys' })).toBeNull())
    press('s')
    expect(path()).toBe('/dishes/stew/line-up')
    localStorage.setItem('tender-gill-keys', 'on')
    press('s')
    await waitFor(() => expect(path()).toBe('/dishes/stew/stand-ins'))
  })

  it('put the cursor into the search', async () => {
    await openPage('/', KITCHEN)
    await screen.findByRole('list', { name: 'Dishes' })
    press('/')
    expect(document.activeElement).toBe(screen.getByRole('combobox', { name: 'Find a fish by any market name' }))
  })
})

describe('the search of every page', () => {
  it('leads to the fish in the book, by another language’s name', async () => {
    await openPage('/', KITCHEN)
    // The field that is there at first gives way to the one with the list.
    const search = () => screen.findByRole('combobox', { name: 'Find a fish by any market name' })
    fireEvent.change(await search(), { target: { value: 'cabillaud' } })
    const list = await screen.findByRole('listbox', { name: 'Fish found' })
    await waitFor(() => expect(within(list).getAllByRole('option')[0]?.textContent).toContain('Gadus morhua'))
    fireEvent.keyDown(await search(), { key: 'Enter' })
    await waitFor(() => expect(path()).toBe('/book/Gadus%20morhua'))
  })
})

describe('what is fetched when it is turned to', () => {
  it('keeps what is typed before the list of fish has come, and whoever types in the field', async () => {
    await openPage('/', KITCHEN)
    const search = () => screen.findByRole<HTMLInputElement>('combobox', { name: 'Find a fish by any market name' })
    const first = await search()
    first.focus()
    fireEvent.change(first, { target: { value: 'cabi' } })
    await screen.findByRole('listbox', { name: 'Fish found' })
    const now = await search()
    expect(now.value).toBe('cabi')
    expect(document.activeElement).toBe(now)
  })

  it('opens the kitchens from the bar, and gives the focus back when they are shut', async () => {
    await openPage('/', KITCHEN)
    const button = await screen.findByRole('button', { name: /^Kitchen: / })
    button.focus()
    fireEvent.click(button)
    const menu = await screen.findByRole('menu', { name: 'Kitchens' })
    expect(button.getAttribute('aria-expanded')).toBe('true')
    fireEvent.keyDown(menu, { key: 'Escape' })
    await waitFor(() => expect(screen.queryByRole('menu')).toBeNull())
    expect(button.getAttribute('aria-expanded')).toBe('false')
    expect(document.activeElement).toBe(button)
  })
})

describe('a page that is not there', () => {
  it('says so and leads back', async () => {
    await openPage('/dishes/stew/nowhere', KITCHEN)
    expect(await screen.findByRole('heading', { name: 'Nothing stands here' })).toBeDefined()
  })
})

describe('an address', () => {
  it('of a kitchen that is not kept says so, and leads to one that is', async () => {
    await openPage('/', KITCHEN, 'nobody')
    expect(await screen.findByRole('heading', { level: 1, name: 'There is no such kitchen' })).toBeDefined()
    expect((await screen.findByRole('link', { name: 'Lantern House' })).getAttribute('href')).toBe('/k/lantern/')
  })

  it('of a dish that was taken away says that nothing stands there', async () => {
    const server = await openPage('/', KITCHEN)
    fireEvent.click(await screen.findByRole('button', { name: 'Take Harbour stew away' }))
    await waitFor(async () => expect((await server.servings()).some(({ id }) => id === 'stew')).toBe(false))
    window.history.pushState(null, '', '/k/lantern/dishes/stew/brief')
    fireEvent.popState(window)
    expect(await screen.findByRole('heading', { level: 1, name: 'Nothing stands here' })).toBeDefined()
  })
})
