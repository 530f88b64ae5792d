import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** A throw-away PostgreSQL. */
export interface Cluster {
  readonly url: string
  readonly stop: () => void
  readonly start: () => void
  readonly destroy: () => void
}

/** Starts a throw-away PostgreSQL; the scripts are plain JavaScript, shared with npm start. */
export async function startThrowAwayCluster(): Promise<Cluster> {
  const { startCluster } = (await import('../../../scripts/lib/cluster.mjs' as string)) as {
    startCluster: (bin: string, folder: string, options: { throwAway: boolean }) => Promise<Cluster>
  }
  const { installPostgres } = (await import('../../../scripts/lib/install.mjs' as string)) as { installPostgres: () => Promise<string> }
  return startCluster(await installPostgres(), mkdtempSync(join(tmpdir(), 'tender-gill-test-')), { throwAway: true })
}
