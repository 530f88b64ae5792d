import type { Page } from '@playwright/test'

interface Stillness {
  /** How long nothing may change, ms. */
  readonly stillMs?: number
  /** What goes on moving is taken as it is after so long, ms. */
  readonly mostMs?: number
}

/**
 * Waits until nothing on the page is at work (a skeleton, an answer that is being asked anew, a sentence that ends in dots) and nothing has
 * changed on it for a while.
 * @throws where the page is still at work in the end
 */
export async function waitUntilStill(page: Page, { stillMs = 400, mostMs = 40_000 }: Stillness = {}): Promise<void> {
  const still = await page.evaluate(
    ({ stillMs, mostMs }) =>
      new Promise<boolean>((resolve) => {
        // Methods, and no functions with names of their own: these go into the page as they are, whoever compiles them.
        const look = {
          quiet: 0,
          patience: 0,
          watch: new MutationObserver(() => look.rest()),
          isAtWork() {
            return document.querySelector('.MuiSkeleton-root, [aria-busy=true]') !== null || /\w \.\.\.$/m.test(document.body.innerText)
          },
          rest() {
            clearTimeout(look.quiet)
            look.quiet = window.setTimeout(() => (look.isAtWork() ? look.rest() : look.end(true)), stillMs)
          },
          end(is: boolean) {
            look.watch.disconnect()
            clearTimeout(look.quiet)
            clearTimeout(look.patience)
            resolve(is)
          },
        }
        look.patience = window.setTimeout(() => look.end(!look.isAtWork()), mostMs)
        look.watch.observe(document.documentElement, { subtree: true, childList: true, attributes: true, characterData: true })
        look.rest()
      }),
    { stillMs, mostMs },
  )
  if (!still) throw new Error(`${page.url()} is still at work`)
}
