import './provided.ts'
import type { TestProject } from 'vitest/node'
import { migrateDatabase, openDatabase } from '../database/openDatabase.ts'
import { seedDemo } from '../demo/seedDemo.ts'
import { copyDatabase } from './copyDatabase.ts'
import { startThrowAwayCluster, type Cluster } from './cluster.ts'
import { NOW } from './clock.ts'

interface Templates {
  readonly cluster: Cluster
  readonly bareUrl: string
  users: number
}

async function makeTemplates(): Promise<Templates> {
  const cluster = await startThrowAwayCluster()
  const { db, close } = openDatabase({ url: cluster.url, onBrokenConnection: () => undefined })
  await migrateDatabase(db)
  await close()
  const bare = await copyDatabase(cluster.url)
  const { db: withDemo, close: closeDemo } = openDatabase({ url: cluster.url, onBrokenConnection: () => undefined })
  await seedDemo(withDemo, NOW)
  await closeDemo()
  return { cluster, bareUrl: bare.url, users: 0 }
}

/** Each project loads this module anew: what they share lies where all of them see it. */
const run = globalThis as { tenderGillTemplates?: Promise<Templates> | undefined }

/** One PostgreSQL for a whole run, with a database that every test copies in a fraction of a second. */
export default async function setup(project: TestProject): Promise<() => void> {
  const templates = await (run.tenderGillTemplates ??= makeTemplates())
  templates.users += 1
  project.provide('templateUrl', templates.cluster.url)
  project.provide('bareUrl', templates.bareUrl)
  return () => {
    templates.users -= 1
    if (templates.users > 0) return
    run.tenderGillTemplates = undefined
    templates.cluster.stop()
    templates.cluster.destroy()
  }
}
