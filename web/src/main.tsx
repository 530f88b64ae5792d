import createCache from '@emotion/cache'
import { CacheProvider } from '@emotion/react'
import CssBaseline from '@mui/material/CssBaseline'
import { ThemeProvider } from '@mui/material/styles'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import type { Kitchen } from '@tender-gill/contract'
import { askAhead } from './askAhead.ts'
import { listenForChanges } from './api/listenForChanges.ts'
import { startEngine } from './engine/index.ts'
import './fonts.ts'
import { forgetKitchen, kitchenPath, pathInKitchen, readKitchen, readLastKitchen, rememberKitchen } from './kitchen/index.ts'
import { fetchPage } from './pages.ts'
import { Root } from './Root.tsx'
import { createStore, type AppStore } from './state/store.ts'
import { readStyleNonce } from './styleNonce.ts'
import { theme } from './theme.ts'

const nonce = readStyleNonce()
const cache = createCache({ key: 'tg', prepend: true, ...(nonce ? { nonce } : {}) })
const root = document.getElementById('root')
if (!root) throw new Error('the page has no root')

/** What comes within this time, of a page's code and of what nearly every page asks, is waited for: it is drawn at once, without anything in its place before. */
const PAGE_PATIENCE_MS = 300

const engine = startEngine()
const named = readKitchen(window.location.pathname)
const page = pathInKitchen(window.location.pathname)

const TRY_AGAIN_MS = 2_000
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** The first kitchen that is kept here. */
async function findKitchen(): Promise<string> {
  for (;;) {
    const answer = await fetch('/api/kitchens').catch(() => undefined)
    const [first] = answer?.ok ? ((await answer.json()) as readonly Kitchen[]) : []
    if (first) return first.id
    await pause(TRY_AGAIN_MS)
  }
}

function draw(store: AppStore, kitchenId: string): void {
  createRoot(root as HTMLElement).render(
    <StrictMode>
      <CacheProvider value={cache}>
        <ThemeProvider theme={theme}>
          <CssBaseline />
          <Root store={store} engine={engine} kitchenId={kitchenId} />
        </ThemeProvider>
      </CacheProvider>
    </StrictMode>,
  )
}

/** Nothing is awaited outside of this: the pages that are fetched stand on this module, and wait for it to be done. */
async function start(): Promise<void> {
  const fetched = fetchPage(page, PAGE_PATIENCE_MS)
  // The kitchen of this tab: as the address names it, else the one of last time, else the first; the address names it from then on.
  const kitchenId = named ?? readLastKitchen(localStorage) ?? (await findKitchen())
  if (named === undefined) window.history.replaceState(null, '', `${kitchenPath(kitchenId)}${page}${window.location.search}`)
  rememberKitchen(localStorage, kitchenId)
  const client = crypto.randomUUID()
  const store = createStore({ kitchenId, client, storage: localStorage })
  listenForChanges({ kitchenId, client, dispatch: store.dispatch })
  const asked = askAhead({ store, engine, path: page })
  await Promise.all([fetched, Promise.race([asked, pause(PAGE_PATIENCE_MS)])])
  draw(store, kitchenId)
  if ((await asked) !== false) return
  forgetKitchen(localStorage)
  // The kitchen of last time is kept no more: the first one is walked into. One that the address names is told.
  if (named === undefined) window.location.replace(`${page}${window.location.search}`)
}

void start()
