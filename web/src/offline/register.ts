import { Workbox } from 'workbox-window'
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
  const worker = new Workbox('/service-worker.js')
  const isFirst = navigator.serviceWorker.controller === null
  worker.addEventListener('controlling', () => isFirst && onStale())
  navigator.serviceWorker.addEventListener('message', ({ data }) => data === ANSWERED_LATE && onStale())
  void worker.register().catch(() => undefined)
}
