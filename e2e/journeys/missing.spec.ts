import { follow } from '../follow.ts'
import { expect, test } from '../stack.ts'

const MONKFISH = { species: 'Lophius piscatorius', offerId: 'lophius-piscatorius.wild.fresh.body', form: 'fillet-skinless' }
const DISHES = [
  { dish: 'Skewers for the terrace', method: 'grill', format: 'chunk', covers: 24 },
  { dish: 'Coconut curry', method: 'curry', format: 'chunk', covers: 30 },
  { dish: 'Braise with beans', method: 'braise', format: 'chunk', covers: 12 },
]

test('a fish is missing for the whole kitchen: three dishes move together, and one press takes it back', async ({ page, request }) => {
  const ids: string[] = []
  for (const brief of DISHES) {
    const made = await request.post('/api/kitchens/lantern-house/servings', { data: { brief: { ...brief, draws: 400 }, choice: MONKFISH } })
    ids.push(((await made.json()) as { id: string }).id)
  }
  const takenBy = async (id: string) =>
    ((await (await request.get(`/api/kitchens/lantern-house/servings/${id}`)).json()) as { choice: { species: string } }).choice.species

  await page.goto(`/dishes/${ids[0] ?? ''}/stand-ins`)
  await page.getByRole('button', { name: 'Not landed' }).click()
  await page.getByRole('link', { name: 'The whole kitchen does without it' }).click()
  const moving = page.getByRole('list', { name: 'Dishes that move' }).getByRole('listitem')
  await expect(page.getByRole('heading', { name: '3 dishes, and all 66 covers are served' })).toBeVisible()
  await expect(moving).toHaveCount(3)

  const supply = page.getByLabel(/^There is, of/).first()
  await supply.fill('0.5')
  await expect(moving.filter({ hasText: /There are only 500 g of/ }).first()).toBeVisible()
  await page.reload()
  await expect(page.getByLabel(/^There is, of/).first()).toHaveValue('0.5')

  await page.getByRole('button', { name: 'Do without it, and move 3 dishes' }).click()
  const back = page.getByRole('button', { name: 'Take it back, with 3 dishes' })
  await expect(back).toBeVisible()
  for (const id of ids) expect(await takenBy(id)).not.toBe(MONKFISH.species)
  await follow(page, `/dishes/${ids[1] ?? ''}/line-up`)
  const leftOut = page.getByRole('region', { name: 'Left out' })
  await leftOut.getByRole('button').first().click()
  await expect(leftOut.getByText('The kitchen does without it until 15 June.')).toBeVisible()

  await follow(page, '/')
  await page.getByRole('button', { name: 'Take it back, with 3 dishes' }).click()
  await expect(page.getByText(/^Anglerfish \(monkfish\) is there again\. .* have it back\.$/)).toBeVisible()
  for (const id of ids) expect(await takenBy(id)).toBe(MONKFISH.species)
})

test('the swap map is walked with the keyboard, from one fish to the next', async ({ page }) => {
  await page.goto('/book/swaps?method=deep-fry&fish=Gadus%20morhua')
  await expect(page.getByRole('heading', { level: 1, name: 'Instead of Atlantic cod' })).toBeVisible()
  const first = page.getByRole('group', { name: 'Round Atlantic cod: who stands in for it' }).getByRole('button').first()
  const [, next = ''] = /^Walk to (.*), \d+ of 100$/.exec((await first.getAttribute('aria-label')) ?? '') ?? []
  await first.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: `Instead of ${next}` })).toBeVisible()
  await page.goBack()
  await expect(page.getByRole('heading', { level: 1, name: 'Instead of Atlantic cod' })).toBeVisible()
})

test('the cover card of a week of twelve dishes prints on one page, upright or on its side', async ({ page }) => {
  const address = '/api/kitchens/lantern-house/servings'
  const kept = (await (await page.request.get(address)).json()) as readonly { brief: object }[]
  for (let i = 0; i < 10; i += 1)
    await page.request.post(address, {
      data: {
        brief: {
          ...kept[i % kept.length]?.brief,
          dish: `Dish of the week, number ${i + 1}`,
          date: `2026-06-${10 + (i % 5)}`,
          covers: 9 + i,
        },
      },
    })
  await page.goto('/')
  await page.getByRole('link', { name: 'Cover card' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Lantern House, 8 to 14 June' })).toBeVisible()
  await expect(page.getByRole('list', { name: 'What the covers hang on' }).getByRole('listitem').first()).toBeVisible()
  await expect(page.getByRole('list', { name: /^If it is not there: / })).toHaveCount(12)
  for (const landscape of [false, true]) {
    const pdf = (await page.pdf({ format: 'A4', landscape })).toString('latin1')
    expect([landscape, pdf.match(/\/Type\s*\/Page\b(?!s)/g)?.length]).toEqual([landscape, 1])
  }
})
