import { expect, readLeader, test, waitUntilKept } from '../stack.ts'

// The last file of all: whichever worker is free walks the next.
test.describe.configure({ mode: 'parallel' })

test('a dish taken away can be put back', async ({ page }) => {
  await page.goto('/')
  const dish = page.getByRole('link', { name: 'Saffron rice with fish' })
  await expect(dish).toBeVisible()
  await page.getByRole('button', { name: /^Take Saffron rice with fish.* away$/ }).click()
  await expect(dish).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(dish).toBeVisible()
})

test.describe('with errors expected', () => {
  test.use({ expectErrors: true })

  // Until the engine has its offers, it is the server that says no.
  test('a mistaken brief keeps what was typed and marks the field', async ({ page }) => {
    await page.goto('/dishes/new')
    await page.getByLabel('Covers').fill('minus two')
    await page.getByLabel('Thickness, mm').fill('500')
    await page.getByRole('button', { name: 'See who can do it' }).click()
    await expect(page.getByText('must not be empty')).toBeVisible()
    await expect(page.getByText('must be at most 120')).toBeVisible()
    await expect(page.getByText('must be integer')).toBeVisible()
    await expect(page.getByLabel('Covers')).toHaveValue('minus two')
    await page.reload()
    await expect(page.getByLabel('Covers')).toHaveValue('minus two')
    await page.getByLabel('What it is called').fill('Too many guests')
    await page.getByLabel('Covers').fill('2')
    await page.getByLabel('Thickness, mm').fill('')
    await page.getByLabel('Children under 12').fill('5')
    await page.getByRole('button', { name: 'See who can do it' }).click()
    await expect(page.getByText('names 5 diners, and there are 2 covers')).toBeVisible()
  })

  test('another kitchen shows its own dishes and none of ours', async ({ page }) => {
    await page.goto('/')
    await expect(page.getByRole('link', { name: 'Beer-battered supper' })).toBeVisible()
    await page.getByRole('button', { name: /^Kitchen: / }).click()
    await page.getByRole('menuitem', { name: 'The kitchen at Larch Cottage' }).click()
    await expect(page.getByRole('link', { name: 'Cabbage tacos' })).toBeVisible()
    await expect(page.getByRole('link', { name: 'Beer-battered supper' })).toHaveCount(0)
    await page.goto('/dishes/beer-battered-supper/line-up')
    await expect(page.getByRole('heading', { name: /Nothing stands here|not built yet/ })).toBeVisible()
  })

  test('the database goes away and comes back: the page says so, recovers, and loses nothing', async ({ page, stack }) => {
    await page.goto('/dishes/leek-and-potato-pie/line-up')
    await readLeader(page)
    stack.cluster.stop()
    await page.getByRole('textbox', { name: 'Firmness to' }).fill('7.5')
    await page.getByRole('textbox', { name: 'Firmness to' }).press('Enter')
    await expect(page.getByText('The server does not answer.')).toBeVisible({ timeout: 90_000 })
    await expect(page.getByRole('textbox', { name: 'Firmness to' })).toHaveValue('7.5')
    stack.cluster.start()
    await expect(page.getByText('The server does not answer.')).toHaveCount(0, { timeout: 90_000 })
    await waitUntilKept(page)
    await page.reload()
    await expect(page.getByRole('textbox', { name: 'Firmness to' })).toHaveValue('7.5')
  })

  test('two tabs on one dish: what is changed in one is seen in the other, and nothing typed is lost', async ({ page, context }) => {
    await page.goto('/dishes/beer-battered-supper/line-up')
    await readLeader(page)
    const other = await context.newPage()
    await other.goto('/dishes/beer-battered-supper/line-up')
    await readLeader(other)
    const flake = (tab: typeof page) => tab.getByRole('textbox', { name: 'Flake from' })
    const type = async (tab: typeof page, value: string) => {
      await flake(tab).fill(value)
      await flake(tab).press('Enter')
    }
    await type(page, '5.5')
    await waitUntilKept(page)
    await expect(flake(other)).toHaveValue('5.5')
    await type(other, '4')
    await waitUntilKept(other)
    await expect(flake(page)).toHaveValue('4')
  })

  test('two tabs in two kitchens never mix', async ({ page, context }) => {
    await page.goto('/')
    await expect(page).toHaveURL(/\/k\/lantern-house\//)
    const other = await context.newPage()
    await other.goto('/k/larch-cottage/')
    await expect(other.getByRole('link', { name: 'Cabbage tacos' })).toBeVisible()
    await page.getByRole('button', { name: /^Take Saffron rice with fish.* away$/ }).click()
    await expect(page.getByText('“Saffron rice with fish” was taken away.')).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('link', { name: 'Saffron rice with fish' })).toBeVisible()
    await expect(page.getByRole('link', { name: 'Cabbage tacos' })).toHaveCount(0)
    await expect(other.getByRole('link', { name: 'Saffron rice with fish' })).toHaveCount(0)
  })
})
