import { parentPort, workerData } from 'node:worker_threads'
import { openDatabase } from '../database/openDatabase.ts'
import { createLocalCompute } from './compute.ts'
import { createDesk } from './desk.ts'
import { toMessage, type FromThread, type ToThread } from './messages.ts'

/** What a computing thread is told when it starts. */
export interface ThreadSettings {
  readonly databaseUrl: string
  readonly clock?: string
}

const port = parentPort
if (!port) throw new Error('a computing thread has a parent')
const { databaseUrl, clock } = workerData as ThreadSettings
// A thread that computes hears late that it is connected: a database that is away refuses at once, and needs no short patience.
const { db } = openDatabase({ url: databaseUrl, connections: 4, patienceMs: 15_000, onBrokenConnection: () => undefined })
const compute = createLocalCompute(createDesk(db, clock ? () => new Date(clock) : () => new Date()))
const leaving = new Map<number, AbortController>()
const tell = (message: FromThread): void => port.postMessage(message)

port.on('message', (message: ToThread) => {
  if (message.say === 'leave') {
    leaving.get(message.id)?.abort()
    return
  }
  const { id, name, kitchen, payload } = message
  const leave = new AbortController()
  leaving.set(id, leave)
  void compute
    .ask(name, kitchen, payload as never, leave.signal)
    .then(
      (value) => tell({ say: 'answer', id, value }),
      (error: unknown) => tell(toMessage(id, error)),
    )
    .finally(() => leaving.delete(id))
})
