import type { Merchant } from '@tender-gill/contract'
import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it, vi } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const HOLT: Merchant = { name: 'Holt', delivers: [1, 2, 3, 4, 5], orderBy: '18:00', daysAhead: 1, minimumOrder: null, feed: null }
const MARKET = { ...KITCHEN, prices: [], merchants: [HOLT] }

describe('the merchants', () => {
  it('keep their days as they are pressed', async () => {
    const server = await openPage('/market/merchants', MARKET)
    const days = within(await screen.findByRole('group', { name: 'Delivers on' }))
    fireEvent.click(days.getByRole('button', { name: 'Saturday' }))
    expect(days.getByRole('button', { name: 'Saturday' }).getAttribute('aria-pressed')).toBe('true')
    await waitFor(async () => expect((await server.merchants())[0]?.delivers).toEqual([1, 2, 3, 4, 5, 6]))
    fireEvent.click(days.getByRole('button', { name: 'Monday' }))
    await waitFor(async () => expect((await server.merchants())[0]?.delivers).toEqual([2, 3, 4, 5, 6]))
  })
})

describe('a list brought in', () => {
  const paste = async (text: string) => {
    const field = await screen.findByRole('textbox', { name: 'The list' })
    fireEvent.change(field, { target: { value: text } })
    fireEvent.click(screen.getByRole('button', { name: 'Look through it' }))
  }

  it('is looked through first, says what is wrong by line, and is kept by its good rows', async () => {
    const server = await openPage('/market/merchants/merchant-0/list', MARKET)
    await paste('Fish;Cut;Price\nAtlantic cod;fillet;19,20\nHadock;fillet;17\nAtlantic salmon;whole;dear')
    expect(await screen.findByText('3 rows: 1 can be kept, 1 waits for a name, 1 cannot be read.')).toBeDefined()
    expect(await server.listed()).toEqual([])
    const bad = within(screen.getByRole('region', { name: 'Rows that cannot be kept' })).getAllByRole('row')
    expect(bad[1]?.textContent).toBe('4Price"dear" is no price')
    expect(screen.getByRole('region', { name: 'The first rows' }).textContent).toContain('19,20')
    fireEvent.click(screen.getByRole('button', { name: 'Keep the good row' }))
    expect((await screen.findAllByText(/One price counts from now on/)).length).toBeGreaterThan(0)
    expect(await server.listed()).toMatchObject([{ species: 'Gadus morhua', form: 'fillet-skin-on', price: 19.2, merchant: 'Holt' }])
  })

  it('asks what a name stands for once, with the likeliest first, and takes it so', async () => {
    const server = await openPage('/market/merchants/merchant-0/list', MARKET)
    await paste('Fish;Cut;Price\nHadock;fillet;17')
    fireEvent.mouseDown(await screen.findByRole('combobox', { name: 'What is Hadock?' }))
    const options = within(await screen.findByRole('listbox')).getAllByRole('option')
    expect(options[0]?.textContent).toBe('Haddock, Melanogrammus aeglefinus')
    expect(options.at(-1)?.textContent).toBe('not fish for this kitchen')
    fireEvent.click(options[0] as HTMLElement)
    fireEvent.click(screen.getByRole('button', { name: 'Take these names so' }))
    expect(await screen.findByText('1 row: 1 can be kept.')).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'Keep the row' }))
    await waitFor(async () => expect(await server.listed()).toMatchObject([{ species: 'Melanogrammus aeglefinus', price: 17 }]))
  })

  it('is read again when a column is named, and keeps what was pasted', async () => {
    await openPage('/market/merchants/merchant-0/list', MARKET)
    await paste('what,each kilo\nAtlantic cod,19')
    expect(await screen.findByText('Say which column names the fish and which the price.')).toBeDefined()
    for (const [label, heading] of [
      ['The fish', 'what'],
      ['The price', 'each kilo'],
    ] as const) {
      fireEvent.mouseDown(screen.getByRole('combobox', { name: label }))
      fireEvent.click(within(await screen.findByRole('listbox')).getByRole('option', { name: heading }))
    }
    expect(await screen.findByText('1 row: 1 can be kept.')).toBeDefined()
    expect(screen.getByRole('textbox', { name: 'The list' })).toHaveProperty('value', 'what,each kilo\nAtlantic cod,19')
  })

  it('shows what was asked last, although the answer to an older question comes after it', async () => {
    await openPage('/market/merchants/merchant-0/list', MARKET)
    await paste('what,each kilo\nAtlantic cod,19')
    await screen.findByText('Say which column names the fish and which the price.')
    const soon = globalThis.fetch
    let release = (): void => undefined
    const held = new Promise<void>((resolve) => (release = resolve))
    let questions = 0
    vi.stubGlobal('fetch', async (...asked: Parameters<typeof fetch>) => {
      const answer = await soon(...asked)
      if ((asked[0] as Request).url.endsWith('/price-lists') && (questions += 1) === 1) await held
      return answer
    })
    const choose = async (label: string, heading: string) => {
      fireEvent.mouseDown(screen.getByRole('combobox', { name: label }))
      fireEvent.click(within(await screen.findByRole('listbox')).getByRole('option', { name: heading }))
    }
    await choose('The fish', 'what')
    // It is asked a moment after the choice: the second choice must not come to it in that moment.
    await waitFor(() => expect(questions).toBe(1))
    await choose('The price', 'each kilo')
    expect(await screen.findByText('1 row: 1 can be kept.')).toBeDefined()
    release()
    await new Promise((resolve) => setTimeout(resolve, 200))
    expect(screen.getByText('1 row: 1 can be kept.')).toBeDefined()
    expect(questions).toBe(2)
  })

  it('says when there is no such merchant', async () => {
    await openPage('/market/merchants/nobody/list', MARKET)
    expect(await screen.findByText(/There is no such merchant here/)).toBeDefined()
  })
})
