/** The whole application on a database that nobody keeps, for what is done to it here. */
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

interface Cluster {
  readonly url: string
  readonly ask: (query: string) => string
  readonly runs: () => boolean
  readonly start: () => void
  readonly stop: () => void
  readonly destroy: () => void
}
interface Running {
  readonly child: { readonly kill: (signal: NodeJS.Signals) => boolean }
  readonly address: string
  readonly ended: Promise<number>
  readonly stop: () => Promise<void>
}

const { startCluster, findFreePort } = (await import('../lib/cluster.mjs' as string)) as {
  startCluster: (bin: string, folder: string) => Promise<Cluster>
  findFreePort: () => Promise<number>
}
const { installPostgres } = (await import('../lib/install.mjs' as string)) as { installPostgres: () => Promise<string> }
const { startServer } = (await import('../lib/serve.mjs' as string)) as { startServer: (options: object) => Promise<Running> }

export const KITCHEN = '/api/kitchens/lantern-house'
export const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms))

/** Starts database and server; a start after a kill uses the same port and the same data. */
export async function startStack() {
  // As people keep it: safe against a power cut, so that what is said to be kept is.
  const cluster = await startCluster(await installPostgres(), mkdtempSync(join(tmpdir(), 'tender-gill-faults-')))
  const port = await findFreePort()
  const start = (): Promise<Running> =>
    startServer({
      url: cluster.url,
      port,
      env: { TENDER_GILL_CLOCK: '2026-06-13T12:00:00Z', LOG_LEVEL: 'silent', WRITES_PER_MINUTE: '1000000' },
    })
  let running = await start()
  return {
    cluster,
    address: `http://127.0.0.1:${port}`,
    /** Ends the server as a power cut would, and starts it again. */
    killServer: async () => {
      running.child.kill('SIGKILL')
      await running.ended
      await wait(100)
      running = await start()
    },
    /** Ends the database as a power cut would, and starts it again under the running server. */
    killDatabase: async () => {
      const pid = cluster.ask("select split_part(pg_read_file('postmaster.pid'), E'\\n', 1)")
      process.kill(Number(pid), 'SIGKILL')
      for (let tries = 0; ; tries += 1) {
        await wait(300)
        try {
          cluster.start()
          return
        } catch (error) {
          if (tries === 20) throw error
        }
      }
    },
    destroy: async () => {
      await running.stop()
      cluster.stop()
      cluster.destroy()
    },
  }
}
export type Stack = Awaited<ReturnType<typeof startStack>>
