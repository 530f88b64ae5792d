import { ThemeProvider } from '@mui/material/styles'
import { cleanup, configure, render } from '@testing-library/react'
import * as Comlink from 'comlink'
import { Provider } from 'react-redux'
import { BrowserRouter } from 'react-router'
import { afterEach, vi } from 'vitest'
import { createEngine } from '../engine/createEngine.ts'
import { theme } from '../theme.ts'
import { createFakeServer, type FakeKitchen, type FakeServer } from './fakeServer.ts'

configure({ asyncUtilTimeout: 60_000 })
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

/** The engine's worker, here in the same thread behind a channel: what goes through is cloned as between threads. */
class WorkerInThread {
  constructor() {
    const { port1, port2 } = new MessageChannel()
    Comlink.expose(createEngine(), port2 as unknown as Comlink.Endpoint)
    port2.start()
    port1.start()
    return port1 as unknown as WorkerInThread
  }
}

/** jsdom has no layout: what asks for the width of the screen is told of a desk. */
const matchMedia = (query: string) => ({
  matches: false,
  media: query,
  addEventListener: () => undefined,
  removeEventListener: () => undefined,
  addListener: () => undefined,
  removeListener: () => undefined,
  dispatchEvent: () => false,
  onchange: null,
})

/** Opens the whole application at an address, on a server kept in memory. The modules are loaded anew, so that no test sees another's. */
export async function openPage(path: string, kitchen: FakeKitchen): Promise<FakeServer> {
  vi.resetModules()
  localStorage.clear()
  const server = createFakeServer(kitchen)
  vi.stubGlobal('Worker', WorkerInThread)
  vi.stubGlobal('matchMedia', matchMedia)
  vi.stubGlobal(
    'Request',
    class extends Request {
      constructor(url: string | URL, init?: RequestInit) {
        super(new URL(String(url), 'http://127.0.0.1'), { ...init, signal: null })
      }
    },
  )
  vi.stubGlobal('fetch', server.answer)
  window.history.replaceState(null, '', path)
  const [{ App }, { store }] = await Promise.all([import('../App.tsx'), import('../state/store.ts')])
  render(
    <ThemeProvider theme={theme}>
      <Provider store={store}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </Provider>
    </ThemeProvider>,
  )
  return server
}
