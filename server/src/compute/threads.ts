import { createRequire } from 'node:module'
import { availableParallelism } from 'node:os'
import { Worker, type WorkerOptions } from 'node:worker_threads'
import { RequestFailure } from '../http/errors.ts'
import type { Compute } from './compute.ts'
import { toError, type FromThread, type ToThread } from './messages.ts'
import { GoneAway } from './study.ts'
import type { ThreadSettings } from './thread.ts'

interface ThreadsOptions extends ThreadSettings {
  readonly onProblem: (error: Error) => void
  readonly threads?: number
}

/** Questions that may wait for one thread: more are asked to come back. */
const MOST_WAITING = 40
/** A study that wants more than this ends its thread, not the server. */
const MOST_MEMORY_MB = 1_500

interface Waiting {
  readonly answer: (value: unknown) => void
  readonly fail: (error: Error) => void
}

/** The thread as it is built beside this file; from the source, by way of the loader that reads it. */
function openWorker(options: WorkerOptions): Worker {
  if (!import.meta.url.endsWith('.ts')) return new Worker(new URL('./thread.js', import.meta.url), options)
  const loader = createRequire(import.meta.url)
    .resolve('tsx/esm/api')
    .replace(/cjs$/, 'mjs')
  const entry = new URL('./thread.ts', import.meta.url).href
  return new Worker(`import(${JSON.stringify(loader)}).then(({ register }) => (register(), import(${JSON.stringify(entry)})))`, {
    ...options,
    eval: true,
  })
}

/** A thread that computes, and another in its place when it ends. */
function startThread({ onProblem, threads: _threads, ...settings }: ThreadsOptions) {
  const waiting = new Map<number, Waiting>()
  let closed = false
  let worker: Worker
  const start = (): void => {
    worker = openWorker({
      workerData: settings satisfies ThreadSettings,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
    })
    let problem: Error | undefined
    worker.on('message', (told: FromThread) => {
      const one = waiting.get(told.id)
      waiting.delete(told.id)
      if (told.say === 'answer') one?.answer(told.value)
      else one?.fail(toError(told))
    })
    worker.on('error', (error: Error) => (problem = error))
    worker.on('exit', () => {
      if (closed) return
      onProblem(problem ?? new Error('it ended by itself'))
      for (const { fail } of waiting.values())
        fail(new RequestFailure('unavailable', 'This took more than there is room for. Nothing was stored.'))
      waiting.clear()
      start()
    })
  }
  start()
  return {
    waiting: () => waiting.size,
    say: (message: ToThread): void => worker.postMessage(message),
    expect: (id: number, one: Waiting): void => void waiting.set(id, one),
    close: async (): Promise<void> => {
      closed = true
      for (const { fail } of waiting.values()) fail(new GoneAway())
      await worker.terminate()
    },
  }
}

/** Answers studies in threads of their own, so that whatever is worked out, the server goes on answering. A kitchen keeps to one thread. */
export function startThreads(options: ThreadsOptions): Compute {
  const count = options.threads ?? Math.max(1, availableParallelism() - 1)
  const threads = Array.from({ length: count }, () => startThread(options))
  const threadOf = (kitchenId: string) => threads[[...kitchenId].reduce((sum, sign) => sum + (sign.codePointAt(0) ?? 0), 0) % count]
  let asked = 0
  return {
    ask: (name, kitchen, payload, signal) => {
      const thread = threadOf(kitchen.id)
      if (!thread || thread.waiting() >= MOST_WAITING)
        return Promise.reject(new RequestFailure('too-many', 'Too much is being worked out at once. Try again in a moment.'))
      asked += 1
      const id = asked
      return new Promise((resolve, reject) => {
        thread.expect(id, { answer: resolve as (value: unknown) => void, fail: reject })
        signal?.addEventListener('abort', () => thread.say({ say: 'leave', id }), { once: true })
        thread.say({ say: 'ask', id, name, kitchen, payload })
      })
    },
    close: async () => {
      await Promise.all(threads.map(({ close }) => close()))
    },
  }
}
