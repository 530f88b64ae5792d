import type { Page } from '@playwright/test'
import { expect, test } from '../stack.ts'

// The browser's own worker keeps the pages and the answers: without it there is nothing when there is no reception.
test.use({ ownBrowser: true, serviceWorkers: 'allow', viewport: { width: 390, height: 844 } })

const API = '/api/kitchens/lantern-house'
const bag = (page: Page) => page.getByRole('status', { name: 'What is in the bag' })
const verdict = (page: Page) => page.getByRole('status', { name: 'What to do with it' })
const levels = (page: Page) => page.locator('section[aria-labelledby=sign] button[aria-pressed]')
const lookAt = async (page: Page, fish: RegExp) => {
  await page.getByRole('link', { name: fish }).click()
  await expect(levels(page).first()).toBeVisible()
}
const see = async (page: Page, level: number) => levels(page).nth(level).click()

test.describe('without reception', () => {
  test.use({ expectErrors: true })

  test('three fish are looked at, two ticked and one left for its stand-in; with a connection all of it is there once, in order', async ({
    page,
    context,
    request,
  }) => {
    const count = async (of: string) => ((await (await request.get(`${API}/${of}`)).json()) as unknown[]).length
    const before = { looks: await count('looks'), lots: await count('lots'), purchases: await count('purchases') }
    await page.goto('/k/lantern-house/counter')
    await expect(bag(page)).toHaveText(/^0 of \d in the bag$/)
    const lines = Number(/of (\d)/.exec(await bag(page).innerText())?.[1])
    expect(lines).toBeGreaterThanOrEqual(3)
    // Until the worker has kept what the counter needs.
    const isKept = () =>
      page.evaluate(async () => {
        const kept = await caches.open('answers').then((cache) => cache.keys())
        const has = (part: string) => kept.some(({ url }) => url.includes(part))
        return navigator.serviceWorker.controller !== null && ['/buy-sheet', '/servings', '/looks', '/cold-places', '/sheets'].every(has)
      })
    await expect.poll(isKept, { timeout: 30_000 }).toBe(true)
    await context.setOffline(true)
    await page.reload()
    await expect(bag(page)).toHaveText(`0 of ${lines} in the bag`)

    // Two that are good: a few taps each.
    for (const fish of [/^Saithe/, /^Anglerfish/]) {
      await lookAt(page, fish)
      await see(page, 0)
      await see(page, 0)
      await expect(verdict(page)).toContainText(/Buy it|Cook it today/)
      await page.getByRole('button', { name: 'Take it' }).click()
      await page.getByRole('button', { name: 'In the bag' }).click()
    }
    await expect(bag(page)).toHaveText(`2 of ${lines} in the bag`)
    // One that smells: nothing makes up for it, and the next rung is one tap away.
    const third = page.getByRole('link', { name: /trout|wolffish/i }).first()
    const name = /^[^,]+/.exec((await third.innerText()).trim())?.[0] ?? ''
    await third.click()
    await expect(levels(page).first()).toBeVisible()
    await see(page, 3)
    await expect(verdict(page)).toContainText('Walk away')
    await page.getByRole('button', { name: 'Something else' }).click()
    await expect(page.getByRole('status', { name: 'Why not' })).toContainText('Nothing else makes up for that')
    const take = page.getByRole('button', { name: /^Take / })
    const instead = (await take.innerText()).replace('Take ', '')
    await take.click()
    await page.getByRole('button', { name: 'In the bag' }).click()
    await expect(page.getByRole('listitem').filter({ hasText: name })).toContainText('Walked away')
    await expect(page.getByRole('status', { name: 'What waits to be sent' })).toContainText('notes are kept here')
    // Kept over a reload, too.
    await page.reload()
    await expect(bag(page)).toHaveText(`2 of ${lines} in the bag`)
    await expect(page.getByRole('listitem').filter({ hasText: new RegExp(instead, 'i') })).toBeVisible()

    const sent: string[] = []
    page.on('response', (answer) => {
      if (answer.request().method() === 'POST' && answer.status() === 201) sent.push(new URL(answer.url()).pathname.split('/').at(-1) ?? '')
    })
    await context.setOffline(false)
    await expect(page.getByRole('status', { name: 'What waits to be sent' })).toHaveText('', { timeout: 60_000 })
    expect(await count('looks')).toBe(before.looks + 3)
    expect(await count('lots')).toBe(before.lots + 3)
    expect(await count('purchases')).toBe(before.purchases + 4)
    expect(sent.at(-1)).toBe('lots')
    expect(sent).toEqual([
      ...['looks', 'purchases', 'lots'],
      ...['looks', 'purchases', 'lots'],
      ...['looks', 'purchases', 'decisions', 'purchases', 'lots'],
    ])
    // The stand-in is taken for the dish, and the desk sees it.
    await page.goto('/k/lantern-house/counter')
    await expect(bag(page)).toHaveText(/^3 of \d in the bag$/)
    await page.getByRole('link', { name: /^Saithe/ }).click()
    await page.getByRole('button', { name: 'Take it out of the bag' }).click()
    await expect(levels(page).first()).toBeVisible()
  })
})

test.describe('a page from before an update', () => {
  test.use({ expectErrors: true })

  test('is refused by the new server, keeps what was written down, and is loaded anew', async ({ page, request }) => {
    expect((await request.get('/api/kitchens', { headers: { Api: 'of another server' } })).status()).toBe(426)
    const shell = await (await request.get('/')).text()
    const name = /<meta name="api" content="([^"]+)"/.exec(shell)?.[1] ?? ''
    expect((await request.get('/api/kitchens', { headers: { Api: name } })).status()).toBe(200)
    await page.goto('/k/lantern-house/counter')
    await expect(bag(page)).toBeVisible()
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null), { timeout: 30_000 }).toBe(true)
    // What the worker kept is a page made for another server: it is met only without a connection.
    await page.evaluate(async () => {
      const shells = await caches.open('shell')
      const kept = await shells.match('/', { ignoreVary: true })
      const old = ((await kept?.text()) ?? '').replace(/<meta name="api" content="[^"]+"/, '<meta name="api" content="0000000000000000"')
      await shells.put('/', new Response(old, { headers: kept?.headers ?? {} }))
    })
    // With a connection the page comes from the server, whatever is kept.
    await page.reload()
    await expect(bag(page)).toBeVisible()
    await expect(page.getByText('Tender Gill was renewed.')).toHaveCount(0)
    const served = await page.evaluate(() => document.querySelector<HTMLMetaElement>('meta[name=api]')?.content)
    expect(served).toBe(name)
    // A page that is still open from before: the server hears nothing of it but that.
    await page.route('**/api/kitchens/**', (route) =>
      route.continue({ headers: { ...route.request().headers(), api: '0000000000000000' } }),
    )
    await page.evaluate(() => navigator.serviceWorker.getRegistration().then((one) => one?.unregister()))
    await page.reload()
    await expect(page.getByRole('alert').filter({ hasText: 'Tender Gill was renewed.' })).toBeVisible()
    await page.unroute('**/api/kitchens/**')
    await page.getByRole('button', { name: 'Load the page anew' }).click()
    await expect(bag(page)).toBeVisible()
    await expect(page.getByText('Tender Gill was renewed.')).toHaveCount(0)
  })
})

test.describe('two phones of one kitchen', () => {
  test.use({ expectErrors: true })

  test('that tick the same fish without reception are told of each other, and one of them says which holds', async ({
    page,
    context,
    browser,
    request,
  }) => {
    const other = await browser.newContext({
      viewport: { width: 390, height: 844 },
      baseURL: new URL(page.url() === 'about:blank' ? (await request.get('/')).url() : page.url()).origin,
    })
    const second = await other.newPage()
    for (const one of [page, second]) {
      await one.goto('/k/lantern-house/counter')
      await expect(bag(one)).toBeVisible()
      // One that no journey before has settled.
      await one
        .getByRole('link', { name: /wolffish|trout|saithe|anglerfish/i })
        .filter({ hasText: 'Not past' })
        .first()
        .click()
      await expect(levels(one).first()).toBeVisible()
    }
    await context.setOffline(true)
    await other.setOffline(true)
    for (const [one, weight] of [
      [page, '2'],
      [second, '3'],
    ] as const) {
      await see(one, 0)
      await one.getByRole('button', { name: 'Take it' }).click()
      await one.getByLabel(/^Weight/).fill(weight)
      await one.getByRole('button', { name: 'In the bag' }).click()
      await expect(one.getByRole('status', { name: 'What waits to be sent' })).toContainText('kept here')
    }
    await context.setOffline(false)
    await expect(page.getByRole('status', { name: 'What waits to be sent' })).toHaveText('', { timeout: 60_000 })
    await other.setOffline(false)
    const clash = second.getByRole('status', { name: 'What waits to be sent' })
    await expect(clash).toContainText('Somebody else wrote this down otherwise.', { timeout: 60_000 })
    await clash.getByRole('button', { name: 'Keep mine' }).click()
    const readWeights = async () =>
      ((await (await request.get(`${API}/purchases`)).json()) as { purchase: { g: number | null } }[]).flatMap(({ purchase: { g } }) =>
        g === 2000 || g === 3000 ? [g] : [],
      )
    await expect.poll(readWeights, { timeout: 60_000 }).toEqual([3000])
    await expect(clash).toHaveText('')
    // The first phone hears of it by itself.
    await expect(page.getByRole('listitem').filter({ hasText: '3.00 kg' })).toBeVisible()
    await other.close()
  })
})
