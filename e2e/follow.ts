import type { Page } from '@playwright/test'

const KITCHEN = '/k/lantern-house'

/**
 * Goes where a link would lead: the page stays, with all it has heard and remembers, as it does for a cook. The first time it is loaded.
 * @param path below the kitchen's, or with it
 */
export async function follow(page: Page, path: string): Promise<void> {
  const address = path.startsWith('/k/') ? path : KITCHEN + path
  if (!new URL(page.url()).pathname.startsWith('/k/')) {
    await page.goto(address)
    return
  }
  await page.evaluate((to) => {
    history.pushState(null, '', to)
    dispatchEvent(new PopStateEvent('popstate'))
  }, address)
}
