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

/**
 * The way to the server of one page. What a page that was closed before it still sends goes nowhere, as in a browser, which ends the page
 * with all its timers.
 * @param client the name under which the page speaks
 */
export const onlyFrom =
  (client: string, send: typeof fetch): typeof fetch =>
  (input, init) => {
    const sender = input instanceof Request ? input.headers.get('client') : null
    return (sender ?? client) === client ? send(input, init) : new Promise(() => undefined)
  }
