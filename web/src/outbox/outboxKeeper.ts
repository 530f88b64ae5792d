import type { createListenerMiddleware } from '@reduxjs/toolkit'
import { api, toProblemDetails } from '../api/api.ts'
import type { AppStore } from '../state/store.ts'
import {
  arrivalRead,
  commandGiven,
  commandKept,
  commandSettled,
  OUTBOX_COMMANDS,
  outboxRead,
  type Given,
  type Outbox,
} from './outboxSlice.ts'

const FIRST_PAUSE_MS = 2_000
const LAST_PAUSE_MS = 30_000
/** Rounds of reading after a command, at most: a page that never comes to rest must not show it for ever. */
const ROUNDS = 8

const placeOf = (kitchenId: string): string => `tender-gill-outbox|${kitchenId}`

const isGiven = (value: unknown): value is Given => {
  const { id, command, about } = (value ?? {}) as Partial<Given>
  return typeof id === 'string' && typeof about === 'string' && (OUTBOX_COMMANDS as readonly unknown[]).includes(command)
}

/** What waits in this browser for the server, in order; what makes no sense is passed over. */
export function readOutbox(storage: Pick<Storage, 'getItem'>, kitchenId: string): Outbox {
  try {
    const kept: unknown = JSON.parse(storage.getItem(placeOf(kitchenId)) ?? '[]')
    return Array.isArray(kept) ? kept.filter(isGiven) : []
  } catch {
    return []
  }
}

interface Options {
  readonly store: AppStore
  readonly listener: ReturnType<typeof createListenerMiddleware>
  readonly storage: Storage
  readonly kitchenId: string
  /** Rest before the first try again, ms; it doubles with every one. */
  readonly pauseMs?: number
  /** Lets one tab at a time send; without it each sends, and the keys see to it that nothing is done twice. */
  readonly locks?: Pick<LockManager, 'request'> | undefined
}

interface Answer {
  readonly data?: unknown
  readonly error?: unknown
}
interface Outcome {
  readonly kind: 'kept' | 'away' | 'refused' | 'conflict'
  readonly problem: string | null
  readonly current: unknown
}
const plain = (kind: 'kept' | 'away'): Outcome => ({ kind, problem: null, current: null })

/** Failures that say nothing of the command: it is sent again. */
const AWAY: ReadonlySet<unknown> = new Set(['FETCH_ERROR', 'TIMEOUT_ERROR', 401, 426, 429, 500, 502, 503, 504, 507])

function readOutcome({ data, error }: Answer): Outcome {
  if (data !== undefined) return plain('kept')
  const { status } = (error ?? {}) as { status?: unknown }
  if (AWAY.has(status)) return plain('away')
  const details = toProblemDetails(error)
  const problem = details?.problems[0]?.message ?? details?.detail ?? 'the server would not have it'
  return { kind: status === 409 ? 'conflict' : 'refused', problem, current: details?.current ?? null }
}

/** The first that may be sent: what stands behind a refused command about the same record waits for a person's word. */
const findNext = (outbox: Outbox): Given | undefined =>
  outbox.find((one, i) => one.state === 'waiting' && !outbox.slice(0, i).some(({ about }) => about === one.about))

/**
 * Keeps commands in the browser until the server has them: sent one after the other in the order in which they were given, each under its
 * key, again and again while the server is away. What is refused stays, with the reason, until somebody says what to do. The browser's own
 * store is what counts, whichever tab wrote it.
 */
export function createOutboxKeeper({ store, listener, storage, kitchenId, locks, pauseMs: firstPauseMs = FIRST_PAUSE_MS }: Options): void {
  const place = placeOf(kitchenId)
  const change = (edit: (outbox: Outbox) => Outbox): void => {
    const edited = edit(readOutbox(storage, kitchenId))
    storage.setItem(place, JSON.stringify(edited))
    store.dispatch(outboxRead(edited))
  }
  const send = ({ command, arg, id }: Given): Promise<Answer> => {
    const endpoint = api.endpoints[command] as unknown as { initiate: (arg: unknown) => Parameters<AppStore['dispatch']>[0] }
    return store.dispatch(endpoint.initiate({ ...keyed(command, arg), commandKey: id, once: true })) as unknown as Promise<Answer>
  }

  /** Shows what the server has until nothing is read or written any more: what a command touches is read again by then. */
  const showUntilRead = async (kept: Given): Promise<void> => {
    store.dispatch(commandKept(kept))
    for (let round = 0; round < ROUNDS; round += 1) {
      const running = [...store.dispatch(api.util.getRunningQueriesThunk()), ...store.dispatch(api.util.getRunningMutationsThunk())]
      if (running.length === 0) break
      await Promise.allSettled(running)
    }
    store.dispatch(arrivalRead(kept.id))
  }

  let timer: ReturnType<typeof setTimeout> | undefined
  let pauseMs = firstPauseMs
  let busy = false
  const schedule = (ms: number): void => {
    clearTimeout(timer)
    timer = setTimeout(() => void drain(), ms)
  }
  const sendAll = async (): Promise<void> => {
    for (;;) {
      const next = findNext(readOutbox(storage, kitchenId))
      if (!next) return
      const outcome = readOutcome(await send(next))
      if (outcome.kind === 'away') {
        schedule(pauseMs)
        pauseMs = Math.min(LAST_PAUSE_MS, pauseMs * 2)
        return
      }
      pauseMs = firstPauseMs
      const { kind: state, problem, current } = outcome
      const settled = state === 'kept' ? [] : [{ ...next, state, problem, current }]
      if (state === 'kept') void showUntilRead(next)
      change((outbox) => outbox.flatMap((one) => (one.id === next.id ? settled : [one])))
    }
  }
  const drain = async (): Promise<void> => {
    if (busy) return schedule(pauseMs)
    busy = true
    try {
      await (locks ? locks.request(place, sendAll) : sendAll())
    } finally {
      busy = false
    }
    return undefined
  }

  listener.startListening({
    actionCreator: commandGiven,
    effect: ({ payload }) => {
      change((outbox) => (outbox.some(({ id }) => id === payload.id) ? outbox : [...outbox, payload]))
      schedule(0)
    },
  })
  listener.startListening({
    actionCreator: commandSettled,
    effect: ({ payload: { id, again } }) => {
      change((outbox) => outbox.flatMap((one) => (one.id === id ? (again ? [again] : []) : [one])))
      schedule(0)
    },
  })
  if (typeof window !== 'undefined') {
    window.addEventListener('online', () => {
      pauseMs = firstPauseMs
      schedule(0)
    })
    window.addEventListener('storage', ({ key }) => {
      if (key === place) store.dispatch(outboxRead(readOutbox(storage, kitchenId)))
    })
  }
  if (readOutbox(storage, kitchenId).length > 0) schedule(0)
}

/** Commands that name what they change: their key stands beside that. */
const BY_NAME = /^(save|remove)/
/** An argument beside which a key can stand. */
const keyed = (command: Given['command'], arg: unknown): object => (BY_NAME.test(command) ? (arg as object) : { input: arg })
