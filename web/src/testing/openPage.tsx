import { ThemeProvider } from '@mui/material/styles'
import * as Comlink from 'comlink'
import { vi } from 'vitest'
import { listenForChanges } from '../api/listenForChanges.ts'
import { createEngine } from '../engine/createEngine.ts'
import { EMPTY_SHELF } from '../engine/sheetShelf.ts'
import { startEngine } from '../engine/index.ts'
import { kitchenPath } from '../kitchen/index.ts'
import { Root } from '../Root.tsx'
import { createStore } from '../state/store.ts'
import { theme } from '../theme.ts'
import { EventSource } from 'eventsource'
import { KITCHEN_ID, startRealServer, type RealServer, type TestKitchen } from './realServer.ts'
import { closeLater } from './closing.ts'
import { configure, render } from './page.tsx'
import { onlyFrom, stubRequest } from './stubRequest.ts'

// What is looked for is tried again at every change of the page: the whole of it is not printed each time it is not there yet.
configure({ asyncUtilTimeout: 30_000, getElementError: (message) => new Error(message ?? 'no such element') })

/** The engine's worker, here in the same thread behind a channel: what goes through is cloned as between threads. */
class WorkerInThread {
  constructor() {
    const { port1, port2 } = new MessageChannel()
    Comlink.expose(createEngine(EMPTY_SHELF), port2 as unknown as Comlink.Endpoint)
    port2.start()
    port1.start()
    closeLater(() => {
      port1.close()
      port2.close()
    })
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

// jsdom scrolls nothing.
HTMLElement.prototype.scrollIntoView = () => undefined

/** Whether something is hidden is said in its own attributes here; the sheets of a page are worked out in the browser's journeys. */
const getComputedStyle = (element: HTMLElement) => element.style

/**
 * Opens the whole application at an address, on the real server with a database of its own.
 * @param kitchenId the kitchen that the address names: the one that is kept, where nothing else is said
 */
export async function openPage(path: string, kitchen: TestKitchen, kitchenId = KITCHEN_ID): Promise<RealServer> {
  localStorage.clear()
  const server = await startRealServer(kitchen)
  closeLater(server.close)
  vi.stubGlobal('Worker', WorkerInThread)
  vi.stubGlobal('matchMedia', matchMedia)
  vi.stubGlobal('getComputedStyle', getComputedStyle)
  stubRequest(server.address)
  const client = crypto.randomUUID()
  vi.stubGlobal('fetch', onlyFrom(client, server.fetch))
  window.history.replaceState(null, '', `${kitchenPath(kitchenId)}${path}`)
  const store = createStore({ kitchenId, client, storage: localStorage })
  const open = (address: string) => new EventSource(`${server.address}${address}`) as unknown as globalThis.EventSource
  closeLater(listenForChanges({ kitchenId, client, dispatch: store.dispatch, open }))
  render(
    <ThemeProvider theme={theme}>
      <Root store={store} engine={startEngine()} kitchenId={kitchenId} />
    </ThemeProvider>,
  )
  return server
}
