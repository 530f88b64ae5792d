import { mkdtempSync } from 'node:fs'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pino } from 'pino'
import { migrateDatabase, openDatabase, type Database } from '../database/openDatabase.ts'
import { seedDemo } from '../demo/seedDemo.ts'
import { createApp } from '../http/createApp.ts'

interface Cluster {
  readonly url: string
  readonly stop: () => void
  readonly start: () => void
  readonly destroy: () => void
}

/** The clock of every test: a Saturday at noon UTC. */
export const NOW = new Date('2026-06-13T12:00:00Z')

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
  readonly cluster: Cluster
  readonly address: string
  readonly call: (path: string, options?: CallOptions) => Promise<Answer>
  readonly close: () => Promise<void>
}

/** A real server on a real throw-away PostgreSQL, seeded with the demo. */
export async function startTestServer({
  writesPerMinute = 10_000,
  webFolder,
}: { writesPerMinute?: number; webFolder?: string } = {}): Promise<TestServer> {
  // The scripts are plain JavaScript, shared with npm start.
  const { startCluster } = (await import('../../../scripts/lib/cluster.mjs' as string)) as {
    startCluster: (bin: string, folder: string) => Promise<Cluster>
  }
  const { installPostgres } = (await import('../../../scripts/lib/install.mjs' as string)) as { installPostgres: () => Promise<string> }
  const cluster = await startCluster(await installPostgres(), mkdtempSync(join(tmpdir(), 'tender-gill-test-')))
  const { db, close } = openDatabase({ url: cluster.url, onIdleError: () => undefined })
  await migrateDatabase(db)
  await seedDemo(db, NOW)
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
    cluster,
    address,
    call,
    close: async () => {
      server.closeAllConnections()
      await new Promise((resolve) => server.close(resolve))
      await close()
      cluster.stop()
      cluster.destroy()
    },
  }
}

/** The cookie by which later calls stand in another kitchen. */
export async function enterKitchen(call: TestServer['call'], id: string): Promise<Record<string, string>> {
  const { headers } = await call('/api/kitchen', { method: 'PUT', body: { id } })
  return { Cookie: headers.get('set-cookie')?.split(';')[0] ?? '' }
}
