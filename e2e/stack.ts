import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { test as base, expect, type APIRequestContext, type Page } from '@playwright/test'
import { openDesk, type Desk } from './desk.ts'

interface Cluster {
  readonly url: string
  readonly stop: () => void
  readonly start: () => void
  readonly destroy: () => void
}
export interface Stack {
  readonly address: string
  readonly cluster: Cluster
  /** Address of the merchants' simulator; it gives no list until a journey lets it. */
  readonly merchants: string
  /** Where phones come in, over TLS. */
  readonly phones: string
  readonly stop: () => Promise<void>
}

/** The whole application on a throw-away database, as npm start runs it, with its clock set to a Saturday in June. */
async function startStack(): Promise<Stack> {
  const { startCluster, findFreePort } = (await import('../scripts/lib/cluster.mjs' as string)) as {
    startCluster: (bin: string, folder: string, options: { throwAway: boolean }) => Promise<Cluster>
    findFreePort: () => Promise<number>
  }
  const { installPostgres } = (await import('../scripts/lib/install.mjs' as string)) as { installPostgres: () => Promise<string> }
  const { startServer } = (await import('../scripts/lib/serve.mjs' as string)) as {
    startServer: (options: object) => Promise<{ address: string; stop: () => Promise<void> }>
  }
  const { startSimulator } = (await import('../scripts/lib/simulate.mjs' as string)) as {
    startSimulator: (env: object) => Promise<{ address: string; feeds: string; stop: () => Promise<void> }>
  }
  const market = await startSimulator({ SIMULATOR_TODAY: '2026-06-13', SIMULATOR_TROUBLE: 'error' })
  const cluster = await startCluster(await installPostgres(), mkdtempSync(join(tmpdir(), 'tender-gill-journey-')), { throwAway: true })
  const lanPort = await findFreePort()
  const lanFolder = mkdtempSync(join(tmpdir(), 'tender-gill-lan-'))
  const server = await startServer({
    url: cluster.url,
    port: await findFreePort(),
    env: {
      ...{ TENDER_GILL_CLOCK: '2026-06-13T12:00:00Z', LOG_LEVEL: 'silent', FEEDS: market.feeds },
      ...{ LAN_PORT: String(lanPort), LAN_FOLDER: lanFolder },
    },
  })
  return {
    address: server.address,
    cluster,
    merchants: market.address,
    phones: `https://127.0.0.1:${lanPort}`,
    stop: async () => {
      await server.stop()
      await market.stop()
      cluster.stop()
      cluster.destroy()
      rmSync(lanFolder, { recursive: true, force: true })
    },
  }
}

/** What journeys write down that would settle something for those after them. */
const TIDIED = ['servings', 'purchases', 'lots', 'looks'].map((records) => `/api/kitchens/lantern-house/${records}`)
const list = async (request: APIRequestContext, path: string): Promise<readonly { id: string; revision: number }[]> =>
  (await (await request.get(path)).json()) as { id: string; revision: number }[]

const BOOK = '/api/kitchens/lantern-house/house-book'
/** The newest lines of the house book: what a journey writes is among them. */
const listLines = async (request: APIRequestContext): Promise<readonly string[]> =>
  ((await (await request.get(BOOK)).json()) as { lines: readonly { id: string }[] }).lines.map(({ id }) => id)

/** Tests that run against the whole application; any error in the page's console fails them unless they say they expect one. */
export const test = base.extend<
  { consoleErrors: string[]; expectErrors: boolean; ownBrowser: boolean; tidy: undefined },
  { stack: Stack; desk: Desk }
>({
  expectErrors: [false, { option: true }],
  // For a journey that sets the page's clock, puts something into it before it loads, or lets the browser's own worker in.
  ownBrowser: [false, { option: true }],
  stack: [
    // Playwright reads the fixture's needs from this pattern; it needs none.
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const stack = await startStack()
      await use(stack)
      await stack.stop()
    },
    { scope: 'worker', timeout: 300_000 },
  ],
  /** What a journey put on the menu, ordered or brought home is taken away again, so that no journey hangs on those before it. */
  tidy: [
    async ({ request }, use) => {
      const before = new Map<string, Set<string>>()
      for (const path of TIDIED) before.set(path, new Set((await list(request, path)).map(({ id }) => id)))
      const written = new Set(await listLines(request))
      await use(undefined)
      // What was written into the house book is withdrawn; what other records told of themselves goes with them.
      const odd = (await listLines(request)).filter((id) => !written.has(id) && !/^(purchase|look|lot):/.test(id))
      if (odd.length > 0) await request.post(BOOK, { data: { entries: odd.map((id) => ({ id, entry: null })) } })
      for (const path of TIDIED)
        for (const { id, revision } of await list(request, path))
          if (!before.get(path)?.has(id)) {
            const gone = await request.delete(`${path}/${id}`, { headers: { 'If-Match': `"${revision}"` } })
            expect(gone.ok()).toBe(true)
          }
    },
    { auto: true },
  ],
  baseURL: async ({ stack }, use) => use(stack.address),
  desk: [async ({ browser, stack }, use) => use(await openDesk(browser, stack.address)), { scope: 'worker' }],
  context: async ({ context, desk, ownBrowser }, use) => use(ownBrowser ? context : desk.context),
  page: async ({ context, desk, ownBrowser, viewport }, use) => {
    if (ownBrowser) return use(await context.newPage())
    if (viewport) await desk.page.setViewportSize(viewport)
    await use(desk.page)
    await desk.clear()
  },
  consoleErrors: [
    async ({ page, expectErrors }, use) => {
      const errors: string[] = []
      page.on('console', (message) => message.type() === 'error' && errors.push(message.text()))
      page.on('pageerror', (error) => errors.push(String(error)))
      await use(errors)
      if (!expectErrors) expect(errors).toEqual([])
    },
    { auto: true },
  ],
})

export { expect }

/** The fish that stands first once the line-up has come to rest: the page announces it then, and not before. */
export async function readLeader(page: Page): Promise<string> {
  const announced = page.getByRole('status', { name: 'Who stands first' })
  await expect(announced).toHaveText(/ first; \d+ can do it$/, { timeout: 60_000 })
  return (await announced.innerText()).replace(/ first; \d+ can do it$/, '')
}
/** Waits until nothing typed is left in the browser alone. */
export const waitUntilKept = (page: Page): Promise<void> =>
  expect.poll(() => page.evaluate(() => localStorage.getItem('tender-gill-documents|lantern-house') ?? '{}')).toBe('{}')
