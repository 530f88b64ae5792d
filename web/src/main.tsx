import createCache from '@emotion/cache'
import { CacheProvider } from '@emotion/react'
import CssBaseline from '@mui/material/CssBaseline'
import { ThemeProvider } from '@mui/material/styles'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import type { Kitchen } from '@tender-gill/contract'
import { listenForChanges } from './api/listenForChanges.ts'
import { startEngine } from './engine/index.ts'
import './fonts.ts'
import { chooseKitchen, kitchenPath, readKitchen, readLastKitchen, rememberKitchen } from './kitchen/index.ts'
import { Root } from './Root.tsx'
import { createStore } from './state/store.ts'
import { readStyleNonce } from './styleNonce.ts'
import { theme } from './theme.ts'

const nonce = readStyleNonce()
const cache = createCache({ key: 'tg', prepend: true, ...(nonce ? { nonce } : {}) })
const root = document.getElementById('root')
if (!root) throw new Error('the page has no root')

const TRY_AGAIN_MS = 2_000

/** The kitchen of this tab: as the address names it, else the one of last time or the first; the address names it from then on. */
async function findKitchen(): Promise<string> {
  const named = readKitchen(window.location.pathname)
  if (named !== undefined) return named
  for (;;) {
    const answer = await fetch('/api/kitchens').catch(() => undefined)
    const kept = answer?.ok ? ((await answer.json()) as readonly Kitchen[]) : undefined
    const id = kept && chooseKitchen(kept, readLastKitchen(localStorage))
    if (id !== undefined) {
      window.history.replaceState(null, '', `${kitchenPath(id)}${window.location.pathname}${window.location.search}`)
      return id
    }
    await new Promise((resolve) => setTimeout(resolve, TRY_AGAIN_MS))
  }
}

const kitchenId = await findKitchen()
rememberKitchen(localStorage, kitchenId)
const client = crypto.randomUUID()
const store = createStore({ kitchenId, client, storage: localStorage })
listenForChanges({ kitchenId, client, dispatch: store.dispatch })

createRoot(root).render(
  <StrictMode>
    <CacheProvider value={cache}>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        <Root store={store} engine={startEngine()} kitchenId={kitchenId} />
      </ThemeProvider>
    </CacheProvider>
  </StrictMode>,
)
