import { configureStore, createListenerMiddleware, isRejectedWithValue } from '@reduxjs/toolkit'
import type { FetchBaseQueryError } from '@reduxjs/toolkit/query'
import { api } from '../api/api.ts'
import { isKeyed } from '../api/endpoints.ts'
import { keepRecords } from '../api/keepRecords.ts'
import { kitchenReducer } from '../kitchen/index.ts'
import { describeFailure, noticesReducer, said } from '../notices/index.ts'
import { arrivalsReducer, createOutboxKeeper, outboxReducer, readOutbox } from '../outbox/index.ts'
import { createTimersKeeper, readTimers, timersReducer } from '../timers/index.ts'
import { createDocumentKeeper, DOCUMENT_COMMANDS, documentsReducer, historyReducer, readDrafts } from '../documents/index.ts'

/** Commands whose refusal is shown where it happened: a form marks its fields, a draft shows both versions. */
const TOLD_IN_PLACE: ReadonlySet<string> = new Set([
  'createServing',
  'saveHouseSpecies',
  'createHouseSpecies',
  'markAbsent',
  'bringList',
  'importSpecies',
  'bringSeasonsFile',
  'bringStocksFile',
  'createPrice',
  'createRate',
])

interface RejectedCommand {
  readonly payload: FetchBaseQueryError
  readonly meta: { readonly arg: { readonly endpointName?: string; readonly type?: string; readonly originalArgs?: unknown } }
}

/** Whether a refusal is of a kind that its own page shows: a mistake, or another version. A document is sent again until it is kept: that is no failure. */
const isShownThere = ({ payload, meta: { arg } }: RejectedCommand): boolean =>
  DOCUMENT_COMMANDS.has(arg.endpointName ?? '') ||
  // What waits in the outbox is told there.
  isKeyed(arg.originalArgs) ||
  (TOLD_IN_PLACE.has(arg.endpointName ?? '') && (payload.status === 400 || payload.status === 409))

export interface StoreOptions {
  readonly kitchenId: string
  /** The name under which this tab speaks to the server. */
  readonly client: string
  /** Where the browser keeps what is not on the server yet. */
  readonly storage: Storage
  /** Rest before what waits in the outbox is sent again for the first time, ms. */
  readonly outboxPauseMs?: number
}

/** Everything a page knows, in one kitchen. */
export function createStore({ kitchenId, client, storage, outboxPauseMs }: StoreOptions) {
  const listener = createListenerMiddleware()
  const store = configureStore({
    reducer: {
      [api.reducerPath]: api.reducer,
      arrivals: arrivalsReducer,
      documents: documentsReducer,
      history: historyReducer,
      kitchen: kitchenReducer,
      notices: noticesReducer,
      outbox: outboxReducer,
      timers: timersReducer,
    },
    preloadedState: {
      documents: readDrafts(storage, kitchenId),
      outbox: readOutbox(storage, kitchenId),
      timers: readTimers(storage, kitchenId),
      kitchen: { id: kitchenId, client },
    },
    middleware: (getDefault) => getDefault().prepend(listener.middleware).concat(api.middleware, keepRecords),
    // What has come is told within the same step and not with the next frame: pages ask one thing after another.
    enhancers: (getDefault) => getDefault({ autoBatch: { type: 'timer', timeout: 4 } }),
  })
  // No command fails in silence, whatever page sent it.
  listener.startListening({
    matcher: isRejectedWithValue,
    effect: (action) => {
      const rejected = action as unknown as RejectedCommand
      if (rejected.meta.arg.type === 'mutation' && !isShownThere(rejected))
        store.dispatch(said('failed', describeFailure(rejected.payload)))
    },
  })
  createDocumentKeeper({ store, listener, storage, kitchenId })
  createTimersKeeper({ store, listener, storage, kitchenId })
  createOutboxKeeper({
    store,
    listener,
    storage,
    kitchenId,
    locks: globalThis.navigator?.locks,
    ...(outboxPauseMs === undefined ? {} : { pauseMs: outboxPauseMs }),
  })
  return store
}

export type AppStore = ReturnType<typeof createStore>
export type RootState = ReturnType<AppStore['getState']>
export type AppDispatch = AppStore['dispatch']
