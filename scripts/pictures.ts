/** `npm run pictures`: takes the pictures of docs/screenshots anew, all or those named, from the demo, on a throw-away database. */
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'

interface Picture {
  readonly name: string
  readonly path: string
  readonly phone?: boolean
  /** Whether the page's own clock stands at the hour of the pictures: where it counts hours itself. */
  readonly clock?: boolean
  readonly prepare?: (page: Page) => Promise<void>
}
/** A saithe at the counter of which two signs were seen. */
async function lookAtFish(page: Page): Promise<void> {
  await page
    .getByRole('link', { name: /^Saithe/ })
    .first()
    .click()
  const levels = page.locator('section[aria-labelledby=sign] button[aria-pressed]')
  await levels.nth(0).click()
  await page.waitForTimeout(500)
  await levels.nth(1).click()
  await page.waitForTimeout(500)
}

/** What a page that is still at work says: a skeleton, an answer that is being asked anew, a sentence that ends in dots. */
const AT_WORK = `(document.querySelector('.MuiSkeleton-root, [aria-busy=true]') !== null || /\\w \\.\\.\\.$/m.test(document.body.innerText))`
const STILL_FOR = 6
const POLLS = 160

/** Waits until nothing on the page is at work and it has looked the same for a second and a half; what goes on moving is taken as it is after 40 s. */
async function waitUntilStill(page: Page): Promise<void> {
  let seen = ''
  let same = 0
  for (let poll = 0; poll < POLLS && same < STILL_FOR; poll += 1) {
    await page.waitForTimeout(250)
    const now = await page.evaluate<string>(`${AT_WORK} ? '' : document.body.innerHTML`)
    same = now !== '' && now === seen ? same + 1 : 0
    seen = now
  }
  if (seen === '') throw new Error(`${page.url()} is still at work`)
}

const PICTURES: readonly Picture[] = [
  { name: 'home', path: '/', clock: true },
  { name: 'line-up', path: '/dishes/paprika-skewers/line-up' },
  { name: 'slab', path: '/market' },
  { name: 'stand-ins', path: '/dishes/beer-battered-supper/stand-ins' },
  { name: 'pot', path: '/dishes/saffron-rice/pot' },
  { name: 'buy-sheet', path: '/buy?undated=yes' },
  { name: 'counter-phone', path: '/counter', phone: true },
  { name: 'look-phone', path: '/counter', phone: true, prepare: lookAtFish },
  { name: 'cold', path: '/cold', clock: true },
  { name: 'cook', path: '/dishes/paprika-skewers/cook' },
  { name: 'run-sheet', path: '/run-sheet?day=2026-06-17' },
  { name: 'after-service-phone', path: '/house-book?day=2026-06-17', phone: true },
  { name: 'learnt', path: '/house-book/learnt' },
  { name: 'look-back', path: '/house-book/look-back' },
  { name: 'amounts', path: '/dishes/beer-battered-supper/amounts' },
  { name: 'book', path: '/book?firmness=high&fat=low&bones=low&method=grill' },
  { name: 'species', path: '/book/Salmo%20salar' },
  { name: 'swap-map', path: '/book/swaps?method=grill&fish=Lophius%20piscatorius' },
  { name: 'cover-card', path: '/cover-card' },
]

const { startCluster, findFreePort } = (await import('./lib/cluster.mjs' as string)) as {
  startCluster: (bin: string, folder: string) => Promise<{ url: string; stop: () => void; destroy: () => void }>
  findFreePort: () => Promise<number>
}
const { installPostgres } = (await import('./lib/install.mjs' as string)) as { installPostgres: () => Promise<string> }
const { startServer } = (await import('./lib/serve.mjs' as string)) as {
  startServer: (options: object) => Promise<{ address: string; stop: () => Promise<void> }>
}
const { startThermometers } = (await import('./lib/simulate.mjs' as string)) as {
  startThermometers: (env: object) => Promise<{ address: string; stop: () => Promise<void> }>
}
/** A Saturday in June. */
const NOW = '2026-06-13T12:00:00Z'
const cluster = await startCluster(await installPostgres(), mkdtempSync(join(tmpdir(), 'tender-gill-pictures-')))
const thermometers = await startThermometers({ SIMULATOR_CLOCK: NOW })
const server = await startServer({
  url: cluster.url,
  port: await findFreePort(),
  env: { TENDER_GILL_CLOCK: NOW, THERMOMETERS: thermometers.address },
})
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  chromiumSandbox: false,
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
})
try {
  const named = process.argv.slice(2)
  for (const { name, path, phone = false, clock = false, prepare } of PICTURES.filter(
    (one) => named.length === 0 || named.includes(one.name),
  )) {
    const context = await browser.newContext({
      viewport: phone ? { width: 390, height: 844 } : { width: 1280, height: 800 },
      locale: 'en-GB',
    })
    // The first steps are told once: the pictures are of every day after.
    await context.addInitScript(`localStorage.setItem('tender-gill-first-run', 'over')`)
    const page = await context.newPage()
    if (clock) await page.clock.setFixedTime(new Date(NOW))
    await page.goto(`${server.address}${path}`)
    await waitUntilStill(page)
    if (prepare) {
      await prepare(page)
      await waitUntilStill(page)
    }
    await page.screenshot({ path: `docs/screenshots/${name}.png` })
    await context.close()
  }
} finally {
  await browser.close()
  await server.stop()
  await thermometers.stop()
  cluster.stop()
  cluster.destroy()
}
