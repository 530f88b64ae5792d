import type { AddressInfo } from 'node:net'
import { pino } from 'pino'
import { inject } from 'vitest'
import { migrateDatabase, openDatabase, type Database } from '../database/openDatabase.ts'
import { seedDemo } from '../demo/seedDemo.ts'
import { createApp } from '../http/createApp.ts'
import { NOW } from './clock.ts'
import { startThrowAwayCluster, type Cluster } from './cluster.ts'
import { copyDatabase } from './copyDatabase.ts'

export { NOW }

export interface Answer {
  readonly status: number
  readonly headers: Headers
  // Test answers are read field by field; a missing field fails the test that reads it.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly body: any
}
export interface CallOptions {
  readonly method?: string
  readonly body?: unknown
  readonly raw?: string
  readonly headers?: Record<string, string>
}

export interface TestServer {
  readonly db: Database
  readonly url: string
  readonly cluster?: Cluster
  readonly address: string
  readonly call: (path: string, options?: CallOptions) => Promise<Answer>
  readonly close: () => Promise<void>
}

interface TestDatabase {
  readonly url: string
  /** There for tests that stop the whole PostgreSQL: they have one of their own. */
  readonly cluster?: Cluster
  readonly drop: () => Promise<void>
}

async function makeDatabase(ownCluster: boolean): Promise<TestDatabase> {
  if (!ownCluster) return copyDatabase(inject('templateUrl'))
  const cluster = await startThrowAwayCluster()
  return {
    url: cluster.url,
    cluster,
    drop: async () => {
      cluster.stop()
      cluster.destroy()
    },
  }
}

/** A real server on a real database of its own, with the demo laid. */
export async function startTestServer({
  writesPerMinute = 10_000,
  webFolder,
  ownCluster = false,
}: { writesPerMinute?: number; webFolder?: string; ownCluster?: boolean } = {}): Promise<TestServer> {
  const { url, cluster, drop } = await makeDatabase(ownCluster)
  const { db, close } = openDatabase({ url, onIdleError: () => undefined })
  if (ownCluster) {
    await migrateDatabase(db)
    await seedDemo(db, NOW)
  }
  const app = createApp({ db, log: pino({ level: 'silent' }), now: () => NOW, cookieSecret: 'test', webFolder, writesPerMinute })
  const server = app.listen(0, '127.0.0.1')
  // A test that waits for a command keeps this process from its sockets: they must not be closed meanwhile for standing idle.
  server.keepAliveTimeout = 600_000
  await new Promise((resolve) => server.once('listening', resolve))
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  const call = async (path: string, { method = 'GET', body, raw, headers = {} }: CallOptions = {}): Promise<Answer> => {
    const text = raw ?? (body === undefined ? undefined : JSON.stringify(body))
    const answer = await fetch(`${address}${path}`, {
      method,
      headers: { ...(text === undefined ? {} : { 'Content-Type': 'application/json' }), ...headers },
      ...(text === undefined ? {} : { body: text }),
    })
    const said = await answer.text()
    return { status: answer.status, headers: answer.headers, body: said.startsWith('{') || said.startsWith('[') ? JSON.parse(said) : said }
  }
  return {
    db,
    url,
    ...(cluster ? { cluster } : {}),
    address,
    call,
    close: async () => {
      server.closeAllConnections()
      await new Promise((resolve) => server.close(resolve))
      await close()
      await drop()
    },
  }
}

/** The cookie by which later calls stand in another kitchen. */
export async function enterKitchen(call: TestServer['call'], id: string): Promise<Record<string, string>> {
  const { headers } = await call('/api/kitchen', { method: 'PUT', body: { id } })
  return { Cookie: headers.get('set-cookie')?.split(';')[0] ?? '' }
}
