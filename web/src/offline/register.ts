import { Workbox } from 'workbox-window'

/** Whether this browser may keep pages from this address: only where it is secure. */
export const canBeKept = (): boolean => 'serviceWorker' in navigator

let asked = false

/**
 * Lets the browser keep the application and what the counter needs, where it may: on this machine, and over HTTPS. Once a page.
 * @param onFirst called once what is asked of the server is kept for the first time: what was asked before that was not
 */
export function keepForOffline(onFirst: () => void): void {
  if (asked || !canBeKept() || !import.meta.env.PROD) return
  asked = true
  const worker = new Workbox('/service-worker.js')
  const isFirst = navigator.serviceWorker.controller === null
  worker.addEventListener('controlling', () => isFirst && onFirst())
  void worker.register().catch(() => undefined)
}
