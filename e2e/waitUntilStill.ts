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
        const isAtWork = () =>
          document.querySelector('.MuiSkeleton-root, [aria-busy=true]') !== null || /\w \.\.\.$/m.test(document.body.innerText)
        let quiet = 0
        const end = (is: boolean) => {
          watch.disconnect()
          clearTimeout(quiet)
          clearTimeout(patience)
          resolve(is)
        }
        const rest = () => {
          clearTimeout(quiet)
          quiet = window.setTimeout(() => (isAtWork() ? rest() : end(true)), stillMs)
        }
        const watch = new MutationObserver(rest)
        const patience = window.setTimeout(() => end(!isAtWork()), mostMs)
        watch.observe(document.documentElement, { subtree: true, childList: true, attributes: true, characterData: true })
        rest()
      }),
    { stillMs, mostMs },
  )
  if (!still) throw new Error(`${page.url()} is still at work`)
}
