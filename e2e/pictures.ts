/** `npm run pictures`: takes the pictures of docs/screenshots anew, all or those named, from the demo, on a throw-away database. */
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { launchOptions } from '../scripts/lib/chromium.mjs'
import { waitUntilStill } from './waitUntilStill.ts'

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

/** A picture is taken of what has looked the same for so long. */
const STILL = { stillMs: 1500 }

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

const { startCluster, findFreePort } = (await import('../scripts/lib/cluster.mjs' as string)) as {
  startCluster: (bin: string, folder: string) => Promise<{ url: string; stop: () => void; destroy: () => void }>
  findFreePort: () => Promise<number>
}
const { installPostgres } = (await import('../scripts/lib/install.mjs' as string)) as { installPostgres: () => Promise<string> }
const { startServer } = (await import('../scripts/lib/serve.mjs' as string)) as {
  startServer: (options: object) => Promise<{ address: string; stop: () => Promise<void> }>
}
const { startThermometers } = (await import('../scripts/lib/simulate.mjs' as string)) as {
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
const browser = await chromium.launch(launchOptions())
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
    await waitUntilStill(page, STILL)
    if (prepare) {
      await prepare(page)
      await waitUntilStill(page, STILL)
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
