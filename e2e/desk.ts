import type { Browser, BrowserContext, Page } from '@playwright/test'

/** A page of the application's own that runs none of it: what was kept for the browser can be thrown away from there. */
const QUIET = '/mark.svg'

/** The browser of somebody who comes back: one page that all journeys of a worker are walked in, with nothing kept of those before. */
export interface Desk {
  readonly context: BrowserContext
  readonly page: Page
  /** Takes away what a journey left in the browser: other pages, listeners, what it held up, and all that was kept. */
  readonly clear: () => Promise<void>
}

/**
 * Opens the desk. A page in a browser of its own reads, compiles and lays out everything again: a third of what loading it takes.
 * @param address of the server
 */
export async function openDesk(browser: Browser, address: string): Promise<Desk> {
  const context = await browser.newContext({ baseURL: address, locale: 'en-GB', serviceWorkers: 'block' })
  const page = await context.newPage()
  const session = await context.newCDPSession(page)
  const clear = async () => {
    page.removeAllListeners()
    await page.unrouteAll({ behavior: 'ignoreErrors' })
    for (const other of context.pages()) if (other !== page) await other.close()
    await page.goto(QUIET)
    await page.evaluate(() => sessionStorage.clear())
    await session.send('Storage.clearDataForOrigin', { origin: address, storageTypes: 'cookies,local_storage,indexeddb,cache_storage' })
    await page.emulateMedia({ media: null, colorScheme: null, reducedMotion: null, forcedColors: null })
  }
  await page.goto(QUIET)
  return { context, page, clear }
}
