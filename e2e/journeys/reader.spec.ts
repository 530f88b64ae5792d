import { follow } from '../follow.ts'
import { expect, test } from '../stack.ts'

/** Everything on the page that is written in metric; fat is grams in 100 g wherever one cooks, and fields are typed in the unit they name. */
const METRIC = /\d (kg|mm|cm|°C)\b|(?<=\d)(?<!100) g\b(?! (of fat )?in 100)/

const PAGES: readonly (readonly [string, string, string])[] = [
  ['the line-up', '/dishes/paprika-skewers/line-up', 'Fish that can do it'],
  ['stand-ins', '/dishes/paprika-skewers/stand-ins', 'Everyone who could stand in'],
  ['amounts', '/dishes/paprika-skewers/amounts', 'How it is worked out'],
  ['the slab', '/market', 'Today’s slab'],
  ['prices', '/market/prices?fish=Gadus%20morhua', 'Atlantic cod'],
  ['the cover card', '/cover-card', 'What the 40 covers hang on'],
]

test('who reads pounds and inches has them on every page, and money by its code, until it is changed back', async ({ page }) => {
  await page.goto('/house')
  await page.getByRole('button', { name: /^US/ }).click()
  await expect(page.getByRole('button', { name: /^US/ })).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: 'With its code' }).click()
  await expect(page.getByRole('button', { name: 'With its code' })).toHaveAttribute('aria-pressed', 'true')
  for (const [name, path, shown] of PAGES) {
    await follow(page, path)
    await expect(
      page
        .getByText(shown, { exact: true })
        .or(page.getByRole('list', { name: shown }))
        .first(),
    ).toBeVisible()
    await expect(
      page
        .getByText(/EUR|GBP/)
        .filter({ visible: true })
        .first(),
      name,
    ).toBeVisible()
    const text = await page.getByRole('main').innerText()
    const found = METRIC.exec(text)
    expect(found ? text.slice(found.index - 40, found.index + 20) : '', name).toBe('')
    expect(text, name).not.toContain('€')
  }
  await follow(page, '/house')
  await page.getByRole('button', { name: 'Metric' }).click()
  await expect(page.getByRole('button', { name: 'Metric' })).toHaveAttribute('aria-pressed', 'true')
  await follow(page, '/dishes/paprika-skewers/amounts')
  await expect(page.getByText(/\d kg\b/).first()).toBeVisible()
})

test('what the engine says comes by the catalogue of messages: in the strange language none of it is plain English', async ({ page }) => {
  await page.evaluate(() => localStorage.setItem('tender-gill-reader', 'pseudo,metric,symbol'))
  await page.goto('/dishes/paprika-skewers/stand-ins')
  const ladder = page.getByRole('list', { name: 'Stand-ins, nearest first' })
  await expect(ladder).toBeVisible()
  const changes = await ladder.getByRole('listitem').allInnerTexts()
  expect(changes.join(' ')).toMatch(/[åëïøü]/)
  expect(changes.join(' ')).not.toMatch(/change the menu|Costs the same|instead of/)
  await follow(page, '/cover-card')
  await expect(page.getByText(/[åëïøü]{1}.*[åëïøü]/).first()).toBeVisible()
})
