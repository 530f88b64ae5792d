import { follow } from '../follow.ts'
import { expect, readLeader, test } from '../stack.ts'
import { choose } from '../choose.ts'

const LIST = ['Fish;Cut;Price', 'Haddock;fillet;30,00', 'Red thing;fillet;12', 'Common ling;fillet;dear'].join('\n')

test('a list is brought in, a name settled, a dish marked by its price, and one press takes it back', async ({ page, request }) => {
  const brief = {
    dish: 'Haddock in a pan',
    method: 'pan-sear',
    format: 'fillet-skin-on',
    draws: 400,
    covers: 10,
    budget: { perPortion: 5, currency: 'EUR' },
  }
  const choice = { species: 'Melanogrammus aeglefinus', offerId: 'melanogrammus-aeglefinus.wild.fresh.body', form: 'fillet-skin-on' }
  const { id } = (await (await request.post('/api/kitchens/lantern-house/servings', { data: { brief, choice } })).json()) as { id: string }
  await request.post('/api/kitchens/lantern-house/decisions', { data: { servingId: id, ...choice } })
  await page.goto(`/dishes/${id}/amounts`)
  await expect(page.getByText(/Hessle Quay Fish: order by 21:00 Monday for Tuesday/)).toBeVisible()

  await follow(page, '/market/merchants')
  await page.getByRole('link', { name: 'Bring a list in' }).click()
  await page.getByRole('textbox', { name: 'The list' }).fill(LIST)
  await page.getByRole('button', { name: 'Look through it' }).click()
  await expect(page.getByText('3 rows: 1 can be kept, 1 waits for a name, 1 cannot be read.')).toBeVisible()
  const bad = page.getByRole('region', { name: 'Rows that cannot be kept' })
  await expect(bad.getByRole('row').nth(1)).toHaveText(/4\s*Price\s*"dear" is no price/)
  await choose(page.getByRole('combobox', { name: 'What is Red thing?' }), 'not fish for this kitchen')
  await page.getByRole('button', { name: 'Take these names so' }).click()
  await expect(page.getByText('3 rows: 1 can be kept, 1 cannot be read.')).toBeVisible()
  await page.getByRole('button', { name: 'Keep the good row' }).click()
  await expect(page.getByText('One price counts from now on.')).toBeVisible()

  await follow(page, '/')
  const note = page.getByRole('note').filter({ hasText: /^Haddock went past the budget of (€5.00|5.00 EUR)/ })
  await expect(note).toBeVisible()
  await follow(page, `/dishes/${id}/line-up`)
  await readLeader(page)
  await expect(note).toBeVisible()

  await follow(page, '/market/merchants')
  const lists = page.getByRole('list', { name: 'Lists' })
  await expect(lists.getByRole('button', { name: 'today', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Take the list of today back' }).click()
  await expect(page.getByText('The list of today was taken back')).toBeVisible()
  await follow(page, '/')
  await expect(page.getByText('Haddock in a pan')).toBeVisible()
  await page.waitForTimeout(500)
  await expect(note).toHaveCount(0)
  await request.delete(`/api/kitchens/lantern-house/servings/${id}`, { headers: { 'If-Match': '"1"' } })
})

test('the slab says what is good today, a fish opens its price over the year, and a dish its line-up', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Market' }).click()
  await expect(page.getByText(/is the buy of the day, then/)).toBeVisible()
  const rows = page.getByRole('list', { name: 'Fish of the day, the best buy first' }).locator('> li')
  expect(await rows.count()).toBeGreaterThan(8)
  await expect(rows.first()).toContainText('a portion of 150 g')
  await rows.first().getByRole('heading').getByRole('link').click()
  await expect(page.getByRole('region', { name: 'Price', exact: true })).toContainText(/From \d+ quotes/)
  await expect(page.locator('.recharts-surface').first()).toBeVisible()
  await page.goBack()
  const saithe = rows.filter({ hasText: 'Saithe' })
  await saithe.getByRole('link', { name: /Leek and potato fish pie/ }).click()
  await readLeader(page)
})

test('a silent feed is said, and its list is there once it speaks again', async ({ page, stack, request }) => {
  const trouble = (kind: string) => request.put(`${stack.merchants}/trouble`, { data: { trouble: kind } })
  await page.goto('/market/merchants')
  await expect(page.getByText(/Its feed: nothing came yet: it answered 500/)).toBeVisible()
  await trouble('none')
  await page.getByRole('button', { name: 'Look now' }).click()
  await expect(page.getByText(/Its feed: list of today\. “/)).toBeVisible()
  await page.getByRole('list', { name: 'Lists' }).getByRole('button', { name: 'today', exact: true }).click()
  await expect(page.getByRole('grid', { name: 'Rows kept' }).getByRole('row').nth(1)).toBeVisible()
  await trouble('error')
  await page.getByRole('button', { name: 'Look now' }).click()
  await expect(page.getByText(/silent, it answered 500 \(once\)/)).toBeVisible()
  for (const { id, source } of (await (await request.get('/api/kitchens/lantern-house/price-lists')).json()) as {
    id: string
    source: string
  }[])
    if (source === 'feed') await request.post(`/api/kitchens/lantern-house/price-lists/${id}/undo`)
})
