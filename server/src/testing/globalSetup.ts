import type { TestProject } from 'vitest/node'
import { migrateDatabase, openDatabase } from '../database/openDatabase.ts'
import { seedDemo } from '../demo/seedDemo.ts'
import { startThrowAwayCluster } from './cluster.ts'
import { NOW } from './clock.ts'

declare module 'vitest' {
  export interface ProvidedContext {
    /** Address of the template database: migrated, with the demo laid; nobody connects to it. */
    readonly templateUrl: string
  }
}

/** One PostgreSQL for a whole run, with a database that every test copies in a fraction of a second. */
export default async function setup(project: TestProject): Promise<() => void> {
  const cluster = await startThrowAwayCluster()
  const { db, close } = openDatabase({ url: cluster.url, onIdleError: () => undefined })
  await migrateDatabase(db)
  await seedDemo(db, NOW)
  await close()
  project.provide('templateUrl', cluster.url)
  return () => {
    cluster.stop()
    cluster.destroy()
  }
}
