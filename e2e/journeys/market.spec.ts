import { follow } from '../follow.ts'
import { expect, readLeader, test } from '../stack.ts'

test('a year is painted with the pointer, and the line-up of that day follows it', async ({ page, request }) => {
  const made = await request.post('/api/kitchens/lantern-house/servings', {
    data: {
      brief: {
        dish: 'Dory on the bone',
        method: 'pan-sear',
        format: 'portion',
        draws: 400,
        pool: ['Zeus faber', 'Solea solea'],
        waters: ['Marrow Sound'],
        state: 'fresh',
      },
    },
  })
  const { id } = (await made.json()) as { id: string }
  await page.goto(`/dishes/${id}/line-up`)
  await readLeader(page)
  await expect(
    page.getByRole('list', { name: 'Fish that can do it' }).getByRole('button', { name: 'John Dory', exact: true }),
  ).toBeVisible()

  await follow(page, '/market/waters?water=Marrow%20Sound')
  await page.getByRole('list', { name: 'Fish of this water' }).getByRole('button', { name: 'John Dory' }).click()
  const year = page.getByRole('region', { name: 'The year of John Dory' })
  await expect(year).toBeVisible()
  const landings = year.getByRole('group', { name: 'Landed, of the best month' })
  const box = await landings.boundingBox()
  if (!box) throw new Error('nothing to paint on')
  const month = (at: number) => box.x + (box.width * (at + 0.5)) / 12
  await page.mouse.move(month(3), box.y + box.height - 2)
  await page.mouse.down()
  for (const at of [4, 5, 6]) await page.mouse.move(month(at), box.y + box.height - 2, { steps: 4 })
  await page.mouse.up()
  await expect(landings.getByRole('slider', { name: 'June' })).toHaveAttribute('aria-valuenow', '0')
  await expect(page.getByText('Kept.')).toBeVisible()

  await follow(page, `/dishes/${id}/line-up`)
  const leftOut = page.getByRole('region', { name: 'Left out' })
  await leftOut.getByRole('button').first().click()
  await expect(leftOut.getByText('It is hardly landed at this time of year in these waters.')).toBeVisible()
  await expect(leftOut.getByText(/Comes in if (frozen fish is allowed|it is bought in)/)).toBeVisible()

  await page.getByRole('link', { name: 'The year' }).click()
  await expect(page.getByRole('list', { name: 'Month by month' }).getByRole('listitem')).toHaveCount(12)
  await follow(page, '/market/waters?water=Marrow%20Sound')
  await page.getByRole('list', { name: 'Fish of this water' }).getByRole('button', { name: 'John Dory' }).click()
  await expect(year).toBeVisible()
  for (let step = 0; step < 8; step += 1) await landings.getByRole('slider', { name: 'June' }).press('ArrowUp')
  await expect(landings.getByRole('slider', { name: 'June' })).toHaveAttribute('aria-valuenow', '8')
  await expect(page.getByText('Kept.')).toBeVisible()
  await request.delete(`/api/kitchens/lantern-house/servings/${id}`, { headers: { 'If-Match': '"1"' } })
})

test('a stock that falls below the house’s floor leaves every line-up, with the reason', async ({ page, request }) => {
  await page.goto('/house')
  const floor = page.getByLabel('Nothing is bought below, of 100')
  await floor.fill('70')
  await floor.press('Enter')
  await expect(floor).toHaveValue('70')
  await follow(page, '/dishes/beer-battered-supper/line-up')
  await readLeader(page)
  const leftOut = page.getByRole('region', { name: 'Left out' })
  await leftOut.getByRole('button').first().click()
  await expect(leftOut.getByText(/^.*below the 70 this house buys from; weakest: /).first()).toBeVisible()
  const { revision, leanings } = (await (await request.get('/api/kitchens/lantern-house/leanings')).json()) as {
    revision: number
    leanings: { stock?: object }
  }
  const { stock: _stock, ...rest } = leanings
  await request.put('/api/kitchens/lantern-house/leanings', { data: { leanings: rest }, headers: { 'If-Match': `"${revision}"` } })
})
