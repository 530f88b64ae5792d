import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { describe, expect, it } from 'vitest'
import { FRY, STEW } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'

const MONKFISH = { species: 'Lophius piscatorius', offerId: 'lophius-piscatorius.wild.fresh.body', form: 'fillet-skinless' } as const
const SKEWERS = {
  id: 'skewers',
  brief: { dish: 'Skewers', method: 'grill', format: 'chunk', covers: 10, draws: 400 },
  choice: MONKFISH,
} as const
const KITCHEN = { dishes: [{ ...STEW, choice: MONKFISH }, SKEWERS, FRY] }
const PATH = '/missing?fish=Lophius%20piscatorius&because=not-landed'
const dishes = async () => within(await screen.findByRole('list', { name: 'Dishes that move' })).getAllByRole('listitem')

describe('a fish missing for the whole kitchen', () => {
  it('shows every dish that takes it, moves them in one press, and takes all of it back in one', async () => {
    const server = await openPage(PATH, KITCHEN)
    expect(await screen.findByText('2 dishes, and all 14 covers are served')).toBeDefined()
    expect((await dishes()).map((row) => within(row).getAllByRole('heading')[0]?.textContent)).toEqual(['Harbour stew', 'Skewers'])
    fireEvent.click(screen.getByRole('button', { name: 'Do without it, and move 2 dishes' }))
    const back = await screen.findByRole('button', { name: 'Take it back, with 2 dishes' })
    expect(await server.taken('stew')).not.toBe(MONKFISH.species)
    expect(await server.taken('skewers')).not.toBe(MONKFISH.species)
    expect(await server.taken('fry')).toBeUndefined()
    fireEvent.click(back)
    expect(await screen.findByText('Anglerfish (monkfish) is there again. Harbour stew and Skewers have it back.')).toBeDefined()
    expect([await server.taken('stew'), await server.taken('skewers')]).toEqual([MONKFISH.species, MONKFISH.species])
  })

  it('settles the dishes anew when the cook says how little there is, and keeps what was typed in the address', async () => {
    await openPage(PATH, KITCHEN)
    const before = (await dishes()).map((row) => row.textContent)
    const [field] = await screen.findAllByLabelText(/^There is, of/)
    if (!field) throw new Error('no supply is asked for')
    fireEvent.change(field, { target: { value: '0.2' } })
    await waitFor(async () => expect((await dishes()).map((row) => row.textContent)).not.toEqual(before))
    expect((await screen.findAllByText(/There are only 200 g of/)).length).toBeGreaterThan(0)
    expect(window.location.search).toContain('0.2')
    fireEvent.change(field, { target: { value: 'much' } })
    expect(await screen.findByText('an amount, as 6.5')).toBeDefined()
  })

  it('moves nothing when a dish was changed meanwhile, and says so', async () => {
    const server = await openPage(PATH, KITCHEN)
    const confirm = await screen.findByRole('button', { name: 'Do without it, and move 2 dishes' })
    await server.touch('stew')
    fireEvent.click(confirm)
    expect(await screen.findByText(/was changed since the plan was made/)).toBeDefined()
    expect(await server.taken('skewers')).toBe(MONKFISH.species)
  })

  it('asks for the fish where none is named, and says what is wrong with one that is not in the book', async () => {
    await openPage('/missing', KITCHEN)
    expect(await screen.findByRole('combobox', { name: 'Which fish is missing?' })).toBeDefined()
    await openPage('/missing?fish=Nemo%20nemo', KITCHEN)
    expect(await screen.findByText(/no fish named "Nemo nemo" in the book/)).toBeDefined()
  })

  it('is told on the first page, with the way back', async () => {
    await openPage(PATH, KITCHEN)
    fireEvent.click(await screen.findByRole('button', { name: /^Do without it/ }))
    await screen.findByRole('button', { name: /^Take it back/ })
    fireEvent.click(screen.getByRole('link', { name: 'Tender Gill' }))
    expect(
      within(await screen.findByRole('list', { name: 'Fish the kitchen does without' })).getByText('Without Anglerfish (monkfish)'),
    ).toBeDefined()
  })
})
