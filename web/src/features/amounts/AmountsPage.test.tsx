import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { BUDGETED, KITCHEN, STEW } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const region = () => screen.findByRole('region', { name: 'What to buy' })
const choose = async (label: string, option: RegExp) => {
  fireEvent.mouseDown(await screen.findByRole('combobox', { name: label }))
  fireEvent.click(await screen.findByRole('option', { name: option }))
}
const euros = (text: string) => Number(/€([\d.]+)/.exec(text)?.[1] ?? NaN)

describe('amounts', () => {
  it('say how much to buy for whom, what that rests on, and that no fish is taken yet', async () => {
    await openPage('/dishes/stew/amounts', KITCHEN)
    expect((await region()).textContent).toMatch(/[\d.]+ k?g.* to buy; falls short in \d+ of 100\. Feeds [4-9] portions/)
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

  it('weigh more for less risk, go by packs and by what is there already, and keep it in the address', async () => {
    await openPage('/dishes/stew/amounts', KITCHEN)
    const grams = async () => {
      const [, figure, unit] = /^For .*?([\d.]+) (k?g)(?=[a-z]+.* to buy)/.exec((await region()).textContent ?? '') ?? []
      return Number(figure) * (unit === 'kg' ? 1000 : 1)
    }
    await waitFor(async () => expect(await grams()).toBeGreaterThan(100))
    const usual = await grams()
    const risk = screen.getByRole('combobox', { name: 'It may fall short' })
    fireEvent.mouseDown(risk)
    fireEvent.click(await screen.findByRole('option', { name: 'in 1 of 100' }))
    await waitFor(async () => expect(await grams()).toBeGreaterThan(usual))
    expect(window.location.search).toContain('risk=0.01')
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Sold' }))
    fireEvent.click(await screen.findByRole('option', { name: 'in packs or boxes' }))
    fireEvent.change(await screen.findByRole('textbox', { name: 'A pack holds, g' }), { target: { value: '500' } })
    expect(await screen.findByText(/^\d+ packs?$/)).toBeDefined()
    fireEvent.change(screen.getByRole('textbox', { name: 'A pack holds, g' }), { target: { value: '0' } })
    expect(await screen.findByText('a number above 0')).toBeDefined()
    fireEvent.change(screen.getByRole('textbox', { name: 'I have already, g' }), { target: { value: '300' } })
    expect(await screen.findByText(/What is there, 300 g, feeds 1 portion\./)).toBeDefined()
  })

  it('set every way to buy it side by side, and take another with one press', async () => {
    const server = await openPage('/dishes/stew/amounts', KITCHEN)
    const ways = await screen.findByRole('list', { name: 'Ways to buy it' })
    expect(ways.querySelectorAll('li').length).toBeGreaterThan(1)
    expect(ways.textContent).toMatch(/a portion/)
    fireEvent.click(screen.getAllByRole('button', { name: /^Buy it as / })[0] as HTMLElement)
    await waitFor(async () => expect(await server.decisions('stew')).toHaveLength(1))
  })

  it('answer at once for other covers and another portion, and keep them in the dish', async () => {
    const server = await openPage('/dishes/stew/amounts', KITCHEN)
    expect((await region()).textContent).toMatch(/Feeds [4-9] portions/)
    fireEvent.change(screen.getByLabelText('Covers'), { target: { value: '40' } })
    await waitFor(async () => expect((await region()).textContent).toMatch(/Feeds 4\d portions/))
    fireEvent.change(screen.getByLabelText('A portion, g cooked'), { target: { value: 'much' } })
    expect(screen.getByLabelText('A portion, g cooked').getAttribute('aria-invalid')).toBe('true')
    fireEvent.change(screen.getByLabelText('A portion, g cooked'), { target: { value: '75' } })
    await waitFor(async () => expect(await server.brief('stew')).toMatchObject({ covers: 40, portionG: 75 }))
  })

  it('name the rest of the fish, with what it is of use for', async () => {
    await openPage('/dishes/stew/amounts', KITCHEN)
    const rest = await screen.findByRole('region', { name: 'What else comes of it' })
    await waitFor(() => expect(rest.textContent).toMatch(/trim|head|skin|All of it goes into the pan/))
  })

  it('draw where the rest of a whole fish sits, and name what of it must not be eaten', async () => {
    const whole = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'whole' } as const
    await openPage('/dishes/stew/amounts', { ...KITCHEN, dishes: [{ ...STEW, choice: whole }] })
    const rest = await screen.findByRole('region', { name: 'What else comes of it' })
    const map = await within(rest).findByRole('img', { name: /^Where the parts sit: 1 / })
    expect(map.getAttribute('aria-label')).toMatch(/head, [\d.]+ k?g/)
    expect(within(rest).getByRole('region', { name: 'What must not be eaten' }).textContent).toMatch(/gall.*gills.*liver.*roe/i)
  })

  it('send a part to broth or to another dish, once, and undo it', async () => {
    const whole = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'whole' } as const
    const server = await openPage('/dishes/stew/amounts', { ...KITCHEN, dishes: [{ ...STEW, choice: whole }, BUDGETED] })
    const rest = await screen.findByRole('region', { name: 'What else comes of it' })
    const kept = async () => {
      const records = (await (await server.call('/rest-uses', { method: 'GET' })).json()) as { use: object }[]
      return records.map(({ use }) => use)
    }
    await choose('The frame goes', /^into broth$/)
    await waitFor(async () => expect(await kept()).toEqual([{ servingId: 'stew', part: 'frame', to: null }]))
    await choose('The frame goes', /^to Staff lunch$/)
    await waitFor(async () => expect(await kept()).toEqual([{ servingId: 'stew', part: 'frame', to: 'lunch' }]))
    await waitFor(() => expect(rest.textContent).toMatch(/goes somewhere, .* is left over/))
    await screen.findByText('The frame goes to Staff lunch.')
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }))
    await waitFor(async () => expect(await kept()).toMatchObject([{ to: null }]))
    const again = await server.call('/rest-uses', { method: 'POST', body: { use: { servingId: 'stew', part: 'frame', to: null } } })
    expect(again.status).toBe(409)
  })

  it('say which part to ask for, and up to what price', async () => {
    const body = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skin-on' } as const
    await openPage('/dishes/stew/amounts', { ...KITCHEN, dishes: [{ ...STEW, choice: body }] })
    const parts = await screen.findByRole('region', { name: 'Parts at one price' })
    await waitFor(() => expect(parts.textContent).toMatch(/Ask for the /))
    expect(within(parts).getAllByRole('listitem').length).toBeGreaterThan(0)
  })

  it('tell the fish as a share of the price on the menu', async () => {
    const brief = { ...BUDGETED.brief, menuPrice: { perPortion: 16, currency: 'EUR' } }
    await openPage('/dishes/lunch/amounts', { ...KITCHEN, dishes: [{ ...BUDGETED, brief }] })
    expect((await region()).textContent).toMatch(/\d+ of 100 \(\d+ to \d+\) of the €16\.00 on the menu/)
  })

  it('warn of a cost above the budget of the brief', async () => {
    await openPage('/dishes/lunch/amounts', KITCHEN)
    await region()
    fireEvent.change(screen.getByRole('textbox', { name: /^Price a kilo/ }), { target: { value: '90' } })
    expect(await screen.findByText(/a portion above the/)).toBeDefined()
  })
})
