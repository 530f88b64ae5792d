import type { Page } from '@playwright/test'
import { follow } from '../follow.ts'
import { expect, test } from '../stack.ts'

const minutes = (text: string): readonly number[] =>
  [...text.matchAll(/(\d+)(½)?/g)].map(([, whole, half]) => Number(whole) + (half ? 0.5 : 0))

/** A sheet that hangs above the stove is one page. */
async function expectOnePage(page: Page): Promise<void> {
  for (const format of ['A4', 'Letter'] as const) {
    const pdf = (await page.pdf({ format })).toString('latin1')
    expect(pdf.match(/\/Type \/Page\b/g), format).toHaveLength(1)
  }
}

test('a cook sheet for a dish: its stages are dragged, the fish is swapped, and the minutes are the same on every page', async ({
  page,
}) => {
  await page.goto('/k/lantern-house/dishes/beer-battered-supper/cook')
  const headline = page.getByRole('status', { name: 'When to take it out' })
  await expect(headline).toHaveText(/^Out after .+ min, at \d+ °C in the middle$/)
  const usual = await headline.innerText()
  const look = page.getByRole('region', { name: 'Look for' })
  await expect(look).toContainText('with the probe')

  await expectOnePage(page)

  // The end of the fat is dragged to the left: it comes out earlier, and colder in the middle.
  const end = page.getByRole('slider', { name: /^Deep fat, in batter.*: ends$/ })
  const from = await end.boundingBox()
  if (!from) throw new Error('no handle')
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2)
  await page.mouse.down()
  await page.mouse.move(from.x - 160, from.y + from.height / 2, { steps: 6 })
  await page.mouse.up()
  await expect(headline).not.toHaveText(usual)
  expect(page.url()).toContain('stages=')
  await page.reload()
  await expect(headline).not.toHaveText(usual)
  await page.getByRole('button', { name: 'As this way of cooking usually goes' }).click()
  await expect(headline).toHaveText(usual)

  // What a stand-in takes stands beside it; taken for the sheet, it takes just that.
  const changes = page.getByRole('region', { name: 'If the fish changes' })
  await expect(changes.getByRole('list')).toHaveAttribute('aria-busy', 'false')
  const first = changes.getByRole('listitem').first()
  await expect(first).toContainText(/mm: .+ min, out at/)
  const name = await first.locator('b').innerText()
  const told = (await first.innerText()).split(': ')[1]?.split(', out at')[0] ?? ''
  // A line-up that comes to rest may shut the list once more.
  const option = page.getByRole('option', { name: new RegExp(`^${name.replace(/[()]/g, '\\$&')},`) }).first()
  await expect(async () => {
    if (!(await option.isVisible())) await page.getByRole('combobox', { name: 'Fish', exact: true }).click({ timeout: 3000 })
    await option.click({ timeout: 3000 })
  }).toPass()
  await expect(headline).toHaveText(new RegExp(`^Out after ${told},`))

  // The ladder tells the same minutes, as a middle of the range.
  const [low = 0, high = 0] = minutes(told)
  await follow(page, '/k/lantern-house/dishes/beer-battered-supper/stand-ins')
  const change = page.getByText(/Cooks about [\d.]+ min instead of/).first()
  await expect(change).toBeVisible()
  const sheetOf = /about ([\d.]+) min/.exec(await change.innerText())?.[1]
  expect(Number(sheetOf)).toBeGreaterThan(0)
  expect(high).toBeGreaterThan(low)
})

test.describe('by a clock of its own', () => {
  test.use({ ownBrowser: true })

  test('a run sheet with timers that outlive a reload, and a calendar of it', async ({ page }) => {
    await page.clock.install({ time: new Date('2026-06-13T17:30:00Z') })
    await page.goto('/k/lantern-house/run-sheet?day=2026-06-17')
    await expect(page.getByRole('status', { name: 'When to begin' })).toHaveText(/^Begin at \d\d:\d\d for 20:00$/)
    await expectOnePage(page)
    await page.getByRole('button', { name: 'Start the timers' }).click()
    const timers = page.getByRole('region', { name: 'Timers' })
    const running = timers.getByRole('listitem').filter({ hasText: /Into: |Take it out|Turn it/ })
    await expect(running.first()).toBeVisible()
    const count = await running.count()
    expect(count).toBeGreaterThanOrEqual(3)
    const left = async () => (await running.first().innerText()).split('\n')[0] ?? ''
    expect(await left()).toMatch(/^\d+:\d\d/)
    await page.reload()
    await expect(running).toHaveCount(count)
    // Another page, and a while later: they go on.
    await follow(page, '/k/lantern-house/book')
    await expect(running).toHaveCount(count)
    const before = await left()
    await page.clock.fastForward('01:00')
    await expect.poll(left).not.toBe(before)
    await running
      .first()
      .getByRole('button', { name: /^A minute more/ })
      .click()
    await running.first().getByRole('button', { name: /^Done/ }).click()
    await expect(running).toHaveCount(count - 1)

    await follow(page, '/k/lantern-house/run-sheet?day=2026-06-17')
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'To a calendar' }).click()
    expect((await download).suggestedFilename()).toBe('run-sheet.ics')
  })
})
