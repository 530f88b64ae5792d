import { ANSWERED_LATE } from './kept.ts'

/** Whether this browser may keep pages from this address: only where it is secure. */
export const canBeKept = (): boolean => 'serviceWorker' in navigator

let asked = false

/**
 * Lets the browser keep the application and what the counter needs, where it may: on this machine, and over HTTPS. Once a page.
 * @param onStale called where what the page was told may not be what the server says: what was asked before anything was kept, and what was
 *   answered from what is kept because the server was slow
 */
export function keepForOffline(onStale: () => void): void {
  if (asked || !canBeKept() || !import.meta.env.PROD) return
  asked = true
  const isFirst = navigator.serviceWorker.controller === null
  navigator.serviceWorker.addEventListener('message', ({ data }) => data === ANSWERED_LATE && onStale())
  void (async () => {
    const { Workbox } = await import('workbox-window')
    const worker = new Workbox('/service-worker.js')
    worker.addEventListener('controlling', () => isFirst && onStale())
    await worker.register()
    // A page that cannot be kept is a page all the same.
  })().catch(() => undefined)
}
