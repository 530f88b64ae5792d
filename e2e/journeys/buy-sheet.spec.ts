import { follow } from '../follow.ts'
import { expect, readLeader, test } from '../stack.ts'

const KITCHEN = '/api/kitchens/lantern-house'

test('from a chosen fish to a printed sheet, ticked off with what was paid, which the price page and an alert tell', async ({
  page,
  request,
}) => {
  const brief = { dish: 'Wednesday poach', method: 'poach', format: 'portion', covers: 12, date: '2026-06-17', draws: 400 }
  const made = (await (await request.post(`${KITCHEN}/servings`, { data: { brief } })).json()) as { id: string }
  await page.goto(`/dishes/${made.id}/line-up`)
  const fish = await readLeader(page)
  await page
    .getByRole('region', { name: 'If it is not there' })
    .getByRole('button', { name: /^Take / })
    .click()
  await expect(page.getByText(`${fish} is taken for Wednesday poach.`)).toBeVisible()

  await follow(page, '/')
  await page.locator('#page').getByRole('link', { name: 'Buy sheet' }).click()
  // Home says what to order next in the same words.
  await expect(page.getByRole('heading', { name: /^Buy sheet, / })).toBeVisible()
  await expect(page.getByRole('status', { name: 'What to order next' })).toHaveText(/^Order next: .* from .* by \d\d:\d\d /)
  const line = page.getByRole('listitem').filter({ hasText: 'Wednesday poach' }).filter({ hasText: fish })
  await expect(line).toHaveCount(1)
  await expect(line).not.toContainText('Wednesday poach (not taken yet')

  // A page for each merchant's delivery, on either paper.
  const orders = await page.getByRole('region', { name: /, \d+ June$/ }).count()
  for (const format of ['A4', 'Letter']) {
    const pdf = (await page.pdf({ format })).toString('latin1')
    expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(orders)
  }
  const text = await (await request.get(`${KITCHEN}/buy-sheet-file?as=text`)).text()
  expect(text).toContain(fish)
  expect((await (await request.get(`${KITCHEN}/buy-sheet-file?as=csv`)).text()).split('\n')[0]).toContain('limitPerKg')

  await line.getByRole('button', { name: 'Ordered' }).click()
  const state = line.getByRole('status')
  await expect(state).toHaveText('Ordered')
  await line.getByRole('button', { name: 'Bought' }).click()
  await line.getByLabel(/^Paid/).fill('88')
  await line.getByRole('button', { name: 'Keep it' }).click()
  await expect(state).toHaveText(/^Bought: .* at €88\.00 a kilo$/)

  const species = await line.locator('i').first().innerText()
  await follow(page, `/market/prices?fish=${encodeURIComponent(species)}`)
  await expect(page.getByText(/88\.00/).first()).toBeVisible()
  await follow(page, '/')
  await expect(page.getByRole('heading', { name: 'Since yesterday' }).locator('..')).toContainText('Wednesday poach')

  await follow(page, '/buy')
  await line.getByRole('button', { name: 'Take it off' }).click()
  await expect(line.getByRole('button', { name: 'Ordered' })).toBeVisible()
})
