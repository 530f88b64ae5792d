import type { AddressInfo } from 'node:net'
import { pino } from 'pino'
import { inject } from 'vitest'
import './provided.ts'
import { migrateDatabase, openDatabase, type OpenDatabase } from '../database/openDatabase.ts'
import { openChangeFeed } from '../changes/index.ts'
import { createDesk, createLocalCompute, type Compute } from '../compute/index.ts'
import { GoneAway } from '../compute/study.ts'
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
  /** In which kitchen a path that names none is called. */
  readonly kitchen?: string | undefined
}

/** Paths below /api that belong to no kitchen. */
const NOBODYS = /^\/api\/(kitchens|openapi\.json|health|species-schema|nothing)/
/** The address of a path as a kitchen of the test calls it. */
const inKitchen = (path: string, kitchen: string): string =>
  path.startsWith('/api') && !NOBODYS.test(path) ? path.replace('/api', `/api/kitchens/${kitchen}`) : path

export interface TestServer {
  readonly db: OpenDatabase['db']
  readonly compute: Compute
  readonly studies: Studies
  readonly url: string
  readonly cluster?: Cluster
  readonly address: string
  /** Calls a path below /api in a kitchen, Lantern House where none is said. */
  readonly call: (path: string, options?: CallOptions) => Promise<Answer>
  readonly close: () => Promise<void>
}

/** What the server is working out. */
export interface Studies {
  readonly running: () => number
  /** How studies ended that were left before their end. */
  readonly ended: () => readonly string[]
}

function watchStudies(compute: Compute): Studies & { readonly compute: Compute } {
  let running = 0
  const ended: string[] = []
  return {
    running: () => running,
    ended: () => ended,
    compute: {
      ...compute,
      ask: async (...asked) => {
        running += 1
        try {
          return await compute.ask(...asked)
        } catch (error) {
          if (error instanceof GoneAway) ended.push('gone')
          throw error
        } finally {
          running -= 1
        }
      },
    },
  }
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
  const { db, close } = openDatabase({ url, onBrokenConnection: () => undefined })
  if (ownCluster) {
    await migrateDatabase(db)
    await seedDemo(db, NOW)
  }
  const now = () => NOW
  const studies = watchStudies(createLocalCompute(createDesk(db, now)))
  const { compute } = studies
  const changes = openChangeFeed({ url, onBroken: () => undefined })
  const app = createApp({ db, log: pino({ level: 'silent' }), now, compute, changes, webFolder, writesPerMinute })
  const server = app.listen(0, '127.0.0.1')
  // A test that waits for a command keeps this process from its sockets: they must not be closed meanwhile for standing idle.
  server.keepAliveTimeout = 600_000
  await new Promise((resolve) => server.once('listening', resolve))
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  const call = async (
    path: string,
    { method = 'GET', body, raw, headers = {}, kitchen = 'lantern-house' }: CallOptions = {},
  ): Promise<Answer> => {
    const text = raw ?? (body === undefined ? undefined : JSON.stringify(body))
    const answer = await fetch(`${address}${inKitchen(path, kitchen)}`, {
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
    compute,
    studies,
    ...(cluster ? { cluster } : {}),
    address,
    call,
    close: async () => {
      server.closeAllConnections()
      await new Promise((resolve) => server.close(resolve))
      await changes.close()
      await close()
      await drop()
    },
  }
}
