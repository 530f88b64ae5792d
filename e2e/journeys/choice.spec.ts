import { follow } from '../follow.ts'
import { expect, readLeader, test, waitUntilKept } from '../stack.ts'
import { choose } from '../choose.ts'

test('the line-up says what would change it, and trying it does', async ({ page }) => {
  await page.goto('/dishes/paprika-skewers/line-up')
  const leader = await readLeader(page)
  await page.getByRole('button', { name: new RegExp(`^${leader}`) }).click()
  const turning = page.getByRole('region', { name: 'What would change it' })
  const first = turning
    .getByRole('listitem')
    .filter({ has: page.getByRole('button') })
    .first()
  await expect(first).toContainText('goes first')
  const heir = (await first.innerText()).split(' goes first')[0] ?? ''
  expect(heir).not.toBe(leader)
  await first.getByRole('button', { name: /^Try it/ }).click()
  await expect(page.getByRole('status', { name: 'Who stands first' })).toHaveText(new RegExp(`^${heir.replace(/[()]/g, '.')} first`))
})

test('another fish is told the least that would set it first', async ({ page }) => {
  await page.goto('/dishes/beer-battered-supper/line-up')
  await readLeader(page)
  const second = page
    .getByRole('list', { name: 'Fish that can do it' })
    .getByRole('listitem')
    .nth(1)
    .getByRole('heading', { level: 3 })
    .getByRole('button')
  const name = (await second.innerText()).replace(/[^\p{L})]+$/u, '')
  await second.click()
  await expect(page.getByRole('region', { name: `What would set ${name} first` })).toBeVisible()
})

test('three fish side by side for a dish: points that add up, and fit against cost', async ({ page }) => {
  await page.goto('/dishes/paprika-skewers/line-up')
  const leader = await readLeader(page)
  await page.getByRole('link', { name: 'Compare the first three' }).click()
  await expect(page.getByRole('columnheader').filter({ hasText: leader })).toBeVisible()
  const rows = page.getByRole('list', { name: 'Points each loses' }).getByRole('listitem')
  await expect(rows).toHaveCount(3)
  for (const text of await rows.allInnerTexts()) {
    const [, fit = '0', missing = '0'] = /([\d.]+) = 100 − ([\d.]+)/.exec(text) ?? []
    expect(Number(fit) + Number(missing)).toBeCloseTo(100, 5)
    // The price comes first; what costs points may be named after a portion too.
    const told = text.split('a portion').slice(1).join('')
    const lost = [...told.matchAll(/(\d[\d.]*)(?:,|\s*$)/g)].map((match) => Number(match[1]))
    expect(lost.reduce((sum, points) => sum + points, 0)).toBeCloseTo(Number(missing), 1)
  }
  await expect(page.getByRole('img', { name: /^Fit against cost of a portion and standing of the stock. Efficient: / })).toBeVisible()
})

test('a pot of several: as many places as asked, different fish, in the order they go in', async ({ page }) => {
  await page.goto('/dishes/saffron-rice/line-up')
  await readLeader(page)
  await page.getByRole('link', { name: 'A pot of several' }).click()
  const pot = page.getByRole('list', { name: 'Into the pot, in this order' })
  await expect(pot.getByRole('listitem')).toHaveCount(3)
  await page.getByRole('button', { name: '4 kinds' }).click()
  await expect(pot.getByRole('listitem')).toHaveCount(4)
  await expect(page).toHaveURL(/fish=4$/)
  const names = await pot.getByRole('heading').allInnerTexts()
  expect(new Set(names).size).toBe(4)
  const minutes = (await pot.getByText(/about \d+ min/).allInnerTexts()).map((text) => Number(/\d+/.exec(text)?.[0]))
  expect(minutes).toEqual([...minutes].sort((a, b) => b - a))
})

test('a fish taken is kept with its line-up, reopened as it was, and run again', async ({ page }) => {
  await page.goto('/dishes/leek-and-potato-pie/line-up')
  const leader = await readLeader(page)
  await page.getByRole('button', { name: new RegExp(`^${leader.replace(/[()]/g, '.')}`) }).click()
  await page
    .getByRole('button', { name: `Take ${leader}` })
    .first()
    .click()
  await waitUntilKept(page)
  await page.getByRole('link', { name: 'Decisions' }).click()
  const decision = page.getByRole('list', { name: 'Decisions, newest first' }).getByRole('listitem').first()
  await expect(decision).toContainText(leader)
  await expect(decision).toContainText('number 1')
  await decision.getByRole('button', { name: 'Open it as it was' }).click()
  await expect(decision.getByRole('list', { name: 'The line-up then' }).getByRole('listitem').first()).toContainText(leader)
  await decision.getByRole('button', { name: 'Run it again' }).click()
  await expect(decision.getByRole('region', { name: 'On the same inputs' })).toContainText('The same answer: nothing moved.')
})

test('twenty thousand draws are watched and can be left; the exact order stays', async ({ page }) => {
  await page.goto('/dishes/beer-battered-supper/line-up')
  const leader = await readLeader(page)
  const line = page.getByRole('region', { name: 'Line-up' })
  // Pressed the moment it is there, however soon the draws would be done.
  await page.evaluate(() => {
    const press = (_changes: unknown, observer: MutationObserver) => {
      const button = [...document.querySelectorAll('button')].find(({ textContent }) => textContent === 'Leave it')
      if (!button) return
      observer.disconnect()
      button.click()
    }
    new MutationObserver(press).observe(document.body, { subtree: true, childList: true })
  })
  await line.getByRole('button', { name: 'Draw 20,000' }).click()
  await expect(line.getByText('The 20,000 draws were left: no shares are shown.')).toBeVisible()
  await expect(page.getByRole('list', { name: 'Fish that can do it' }).getByRole('heading', { level: 3 }).first()).toContainText(leader)
  await line.getByRole('button', { name: 'Back to 2,000' }).click()
  await expect(line.getByText('Shares are of 2,000 draws')).toBeVisible()
  expect(await readLeader(page)).toBe(leader)
})

test('what the house is used to pay and how it buys is asked of every dish, and quick changes do not trip over each other', async ({
  page,
}) => {
  await page.goto('/house')
  const usual = page.getByLabel('What a portion of fish usually costs, EUR')
  await usual.fill('three')
  await usual.press('Enter')
  await expect(page.getByText('A number above 0, or nothing')).toBeVisible()
  await usual.fill('3,50')
  await page.getByLabel('A kilo of heads, frames and trim is worth, EUR').fill('2')
  await page.getByLabel('A kilo of heads, frames and trim is worth, EUR').press('Enter')
  await choose(page.getByRole('combobox', { name: 'Whole or cut' }), 'whole, and cut here')
  await expect(page.getByRole('combobox', { name: 'Whole or cut' })).toHaveText('whole, and cut here')
  await expect(usual).toHaveValue('3.50')
  await waitUntilKept(page)
  await page.reload()
  await expect(usual).toHaveValue('3.50')
  await follow(page, '/dishes/saffron-rice/line-up')
  await readLeader(page)
  const line = page.getByRole('region', { name: 'Line-up' })
  await expect(line).toContainText(/The house leans on .*whole or cut, the worth of trim\. /)
  await expect(line.getByRole('list', { name: 'Fish that can do it' }).getByRole('listitem').first()).toContainText('; whole')
  await follow(page, '/house')
  await usual.fill('')
  await usual.press('Enter')
  await page.getByLabel('A kilo of heads, frames and trim is worth, EUR').fill('')
  await page.getByLabel('A kilo of heads, frames and trim is worth, EUR').press('Enter')
  await choose(page.getByRole('combobox', { name: 'Whole or cut' }), 'whichever comes cheaper')
  await expect(page.getByRole('combobox', { name: 'Whole or cut' })).toHaveText('whichever comes cheaper')
  await waitUntilKept(page)
})

test('a leaning of the house moves a line-up, is said there, and is taken back', async ({ page }) => {
  await page.goto('/house')
  const row = page.getByRole('list', { name: 'What matters here' }).getByRole('listitem').filter({ hasText: 'Flake' })
  await row.getByRole('radio', { name: 'Flake matters 5 of 5' }).dispatchEvent('click')
  await expect(row).toContainText('matters 5 of 5 here')
  await waitUntilKept(page)
  await follow(page, '/dishes/paprika-skewers/line-up')
  await readLeader(page)
  await expect(page.getByRole('region', { name: 'Line-up' })).toContainText(/The house leans on flake\. /)
  await follow(page, '/house')
  await row.getByRole('button', { name: 'Flake as each method has it' }).click()
  await expect(row).toContainText('as each method has it')
  await waitUntilKept(page)
})
