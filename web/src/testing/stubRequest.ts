import { vi } from 'vitest'

/** Requests as a page makes them, by paths alone, go to a server. @param address where it answers, or would */
export function stubRequest(address = 'http://127.0.0.1'): void {
  vi.stubGlobal(
    'Request',
    class extends Request {
      constructor(url: string | URL, init?: RequestInit) {
        super(new URL(String(url), address), { ...init, signal: null })
      }
    },
  )
}
