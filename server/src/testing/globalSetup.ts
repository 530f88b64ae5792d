import './provided.ts'
import type { TestProject } from 'vitest/node'
import { migrateDatabase, openDatabase } from '../database/openDatabase.ts'
import { seedDemo } from '../demo/seedDemo.ts'
import { copyDatabase } from './copyDatabase.ts'
import { startThrowAwayCluster } from './cluster.ts'
import { NOW } from './clock.ts'

/** One PostgreSQL for a whole run, with a database that every test copies in a fraction of a second. */
export default async function setup(project: TestProject): Promise<() => void> {
  const cluster = await startThrowAwayCluster()
  const { db, close } = openDatabase({ url: cluster.url, onBrokenConnection: () => undefined })
  await migrateDatabase(db)
  await close()
  const bare = await copyDatabase(cluster.url)
  const { db: withDemo, close: closeDemo } = openDatabase({ url: cluster.url, onBrokenConnection: () => undefined })
  await seedDemo(withDemo, NOW)
  await closeDemo()
  project.provide('templateUrl', cluster.url)
  project.provide('bareUrl', bare.url)
  return () => {
    cluster.stop()
    cluster.destroy()
  }
}
