import { Provider } from 'react-redux'
import { BrowserRouter } from 'react-router'
import { App } from './App.tsx'
import { EngineRoom, type EngineRemote } from './engine/index.ts'
import { kitchenPath } from './kitchen/index.ts'
import type { AppStore } from './state/store.ts'

interface RootProps {
  readonly store: AppStore
  readonly engine: EngineRemote
  readonly kitchenId: string
}

/** The application with what it stands on: what it knows, whom it asks, in which kitchen it is. */
export const Root = ({ store, engine, kitchenId }: RootProps) => (
  <Provider store={store}>
    <EngineRoom engine={engine}>
      <BrowserRouter basename={kitchenPath(kitchenId)}>
        <App />
      </BrowserRouter>
    </EngineRoom>
  </Provider>
)
