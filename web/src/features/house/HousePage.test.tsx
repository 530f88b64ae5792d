import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const field = (label: RegExp) => screen.findByRole('textbox', { name: label })
const enter = (input: HTMLElement, text: string) => {
  fireEvent.change(input, { target: { value: text } })
  fireEvent.keyDown(input, { key: 'Enter' })
}
const choose = async (label: string, option: RegExp) => {
  fireEvent.mouseDown(await screen.findByRole('combobox', { name: label }))
  fireEvent.click(await screen.findByRole('option', { name: option }))
}

describe('how the house leans', () => {
  it('keeps quick changes one after another, none lost and none in conflict', async () => {
    const server = await openPage('/house', KITCHEN)
    enter(await field(/portion of fish usually costs/), '4,50')
    enter(await field(/heads, frames and trim/), '2')
    await choose('Wild or farmed', /wild first/)
    await choose('Whole or cut', /cut by the merchant/)
    await choose('How far it is cooked', /^moist/)
    enter(await field(/An hour of work at the board/), '30')
    enter(await field(/Fish may take of the menu price/), '28')
    await choose('What is bought may fall short', /^in 1 of 100$/)
    await waitFor(async () =>
      expect(await server.leanings()).toEqual({
        usualPortionCost: { perPortion: 4.5, currency: 'EUR' },
        trim: { perKg: 2, currency: 'EUR' },
        origin: 'wild',
        bought: 'cut',
        doneness: 'moist',
        labour: { perHour: 30, currency: 'EUR' },
        shortChance: 0.01,
        foodCostShare: 0.28,
      }),
    )
    expect(screen.queryByRole('alert')).toBeNull()
  })

  it('says nothing of what is emptied, and keeps what is mistaken on the page only', async () => {
    const server = await openPage('/house', KITCHEN)
    const usual = await field(/portion of fish usually costs/)
    enter(usual, '4')
    await waitFor(async () => expect((await server.leanings()).usualPortionCost).toBeDefined())
    enter(usual, 'a lot')
    expect(await screen.findByText('A number above 0, or nothing')).toBeDefined()
    expect(usual).toHaveProperty('value', 'a lot')
    fireEvent.keyDown(usual, { key: 'Escape' })
    expect(usual).toHaveProperty('value', '4.00')
    enter(usual, '')
    await waitFor(async () => expect(await server.leanings()).toEqual({}))
  })

  it('sets how much a trait matters here, and leaves it to each method again', async () => {
    const server = await openPage('/house', KITCHEN)
    const rows = within(await screen.findByRole('list', { name: 'What matters here' })).getAllByRole('listitem')
    const fat = rows.find(({ textContent }) => textContent?.startsWith('Fat')) as HTMLElement
    fireEvent.click(within(fat).getByRole('radio', { name: 'Fat matters 4 of 5' }))
    await waitFor(async () => expect(await server.leanings()).toEqual({ asks: { fat: { pull: 4 } } }))
    fireEvent.click(await within(fat).findByRole('button', { name: 'Fat as each method has it' }))
    await waitFor(async () => expect(await server.leanings()).toEqual({}))
  })

  it('keeps what is set while the database is away in the browser, says so, and sends it once it is back', async () => {
    const server = await openPage('/house', KITCHEN)
    const usual = await field(/portion of fish usually costs/)
    server.setDown(true)
    enter(usual, '5')
    expect(await screen.findByText(/Kept in this browser: the server does not answer/, undefined, { timeout: 30_000 })).toBeDefined()
    expect(usual).toHaveProperty('value', '5.00')
    expect(await server.leanings()).toEqual({})
    server.setDown(false)
    await waitFor(async () => expect((await server.leanings()).usualPortionCost).toMatchObject({ perPortion: 5 }), { timeout: 30_000 })
  })
})
