import type { ConsoleMessage, Page } from '@playwright/test'
import axe from 'axe-core'
import { follow } from '../follow.ts'
import { expect, readLeader, test } from '../stack.ts'
import { waitUntilStill } from '../waitUntilStill.ts'

/** Every rule that the page breaks, with the first place that breaks it. */
const findViolations = (page: Page) =>
  page.evaluate(async () => {
    const { violations } = await (window as unknown as { axe: typeof axe }).axe.run({ resultTypes: ['violations'] })
    return violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html ?? ''}`)
  })

/** Views that are only looked at, one after the other in one page, as links lead to them: nothing is written, nothing is to be tidied. */
const look = test.extend<object, { view: Page }>({
  view: [
    async ({ browser, stack }, use) => {
      const context = await browser.newContext({ baseURL: stack.address, locale: 'en-GB', serviceWorkers: 'block' })
      const page = await context.newPage()
      await page.addInitScript(axe.source)
      await page.goto('/')
      await use(page)
      await context.close()
    },
    { scope: 'worker' },
  ],
  // eslint-disable-next-line no-empty-pattern
  tidy: async ({}, use) => await use(undefined),
  consoleErrors: async ({ view }, use) => {
    const errors: string[] = []
    const listen = (message: ConsoleMessage) => message.type() === 'error' && errors.push(message.text())
    const fail = (error: Error) => errors.push(String(error))
    view.on('console', listen)
    view.on('pageerror', fail)
    await use(errors)
    view.off('console', listen)
    view.off('pageerror', fail)
    expect(errors).toEqual([])
  },
})

const VIEWS: readonly (readonly [string, string, string])[] = [
  ['home', '/', 'I have a dish'],
  ['brief', '/dishes/paprika-skewers/brief', 'Paprika skewers over coals'],
  ['line-up', '/dishes/paprika-skewers/line-up', 'Line-up'],
  ['stand-ins', '/dishes/paprika-skewers/stand-ins', 'Everyone who could stand in'],
  ['amounts', '/dishes/paprika-skewers/amounts', 'How it is worked out'],
  ['fish', '/fish/Salmo%20salar', 'Ways to cook it'],
  ['book', '/book?firmness=high&method=grill&name=butterfish', 'Looking for'],
  ['species', '/book/Salmo%20salar', 'Nearest in the kitchen'],
  ['comparison', '/book/compare?fish=Gadus%20morhua&fish=Lophius%20piscatorius&dish=paprika-skewers', 'Atlantic cod'],
  ['pot', '/dishes/saffron-rice/pot', 'Nearly as good'],
  ['decisions', '/dishes/saffron-rice/decisions', 'Decided for Saffron rice with fish'],
  ['missing fish', '/missing?fish=Gadus%20morhua&because=stock', 'Without Atlantic cod'],
  ['swap map', '/book/swaps?method=grill&fish=Lophius%20piscatorius', 'Instead of Anglerfish (monkfish)'],
  ['cover card', '/cover-card', 'What the 40 covers hang on'],
  ['buy sheet', '/buy?undated=yes', 'Tidewell & Daughters'],
  ['counter', '/counter', 'Hessle Quay Fish'],
  ['cold', '/cold', 'Where it is kept'],
  ['cook sheet', '/dishes/beer-battered-supper/cook', 'Look for'],
  ['run sheet', '/run-sheet?day=2026-06-17', 'Dishes of the day'],
  ['after service', '/house-book?day=2026-06-17', 'Leek and potato fish pie'],
  ['the house book', '/house-book/entries', 'Every entry'],
  ['what it taught', '/house-book/learnt', 'Swaps'],
  ['looking back', '/house-book/look-back', 'Which swaps held'],
  ['the house book as a file', '/house-book/files', 'Bring paper in'],
  ['practice', '/practice', 'Practice'],
  ['a dish in the house book', '/dishes/saffron-rice/house-book', 'This dish so far'],
  ['a look', '/dishes/saffron-rice/counter', 'Smell'],
  ['slab', '/market', 'Today’s slab'],
  ['prices', '/market/prices?fish=Gadus%20morhua', 'Atlantic cod'],
  ['merchants', '/market/merchants', 'Its lists'],
  ['a list', '/market/merchants/hessle-quay/list', 'A list of Hessle Quay Fish'],
  ['standing', '/market/standing', 'A stock stands between 0 and 100'],
  ['waters', '/market/waters?water=Marrow%20Sound', 'Waters'],
  ['stocks', '/market/stocks', 'Stocks'],
  ['year', '/dishes/beetroot-cure/year', 'No year is counted'],
  ['house', '/house', 'How the house leans'],
  ['files', '/book/files', 'Bring species in'],
  ['the book as a table', '/book?as=table&method=grill', 'Looking for'],
  ['help', '/help', 'How to read it'],
  ['new species', '/book/new', 'Add a species'],
]

for (const [name, path, heading] of VIEWS) {
  look(`${name} has no accessibility violation and fits 1280, 390 and 320 wide`, async ({ view: page }) => {
    await page.setViewportSize({ width: 1280, height: 800 })
    await follow(page, path)
    await expect(page.getByRole('heading', { name: heading, exact: true }).first()).toBeVisible()
    await waitUntilStill(page)
    for (const width of [320, 1280, 390]) {
      await page.setViewportSize({ width, height: 800 })
      await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
      // The smallest phone is about room alone.
      if (width === 320) continue
      expect(await findViolations(page)).toEqual([])
    }
  })
}

test('on a phone the line is one step with all eight behind it, and the docket folds to chips', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/dishes/paprika-skewers/line-up')
  await readLeader(page)
  await page.getByRole('button', { name: 'Line-up, 2 of 8' }).click()
  await expect(page.getByRole('link', { name: 'House book' }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Line-up, 2 of 8' }).click()
  await expect(page.getByRole('slider')).toHaveCount(0)
  await page.getByRole('button', { name: 'Change what it asks' }).click()
  await expect(page.getByRole('slider', { name: 'Fat from' })).toBeVisible()
  await page.getByRole('link', { name: 'Stand-ins ›' }).click()
  await expect(page.getByRole('list', { name: 'Stand-ins, nearest first' })).toBeVisible()
})

test('nothing moves for whoever asked the system for less motion', async ({ page }) => {
  await page.goto('/dishes/paprika-skewers/line-up')
  await readLeader(page)
  const moving = (): Promise<readonly string[]> =>
    page.evaluate(() =>
      [...document.querySelectorAll('*')]
        .filter((element) => {
          const { transitionDuration, transitionProperty } = getComputedStyle(element)
          return transitionProperty !== 'none' && /[1-9]/.test(transitionDuration)
        })
        .map((element) => element.className.toString()),
    )
  expect(await moving()).not.toEqual([])
  await page.emulateMedia({ reducedMotion: 'reduce' })
  expect(await moving()).toEqual([])
})
