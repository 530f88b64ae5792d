/** `npm run demo:reset`: renews the two demo kitchens. Stop the application first. */
import { join, resolve } from 'node:path'
import { readClusterVersion, startCluster } from './lib/cluster.mjs'
import { buildAll, installPackages, installPostgres } from './lib/install.mjs'
import { takeLock } from './lib/lock.mjs'
import { ROOT, must } from './lib/shell.mjs'

const dataFolder = resolve(process.env.TENDER_GILL_DATA ?? join(ROOT, 'data'))
await installPackages()
const bin = await installPostgres(readClusterVersion(dataFolder))
const unlock = takeLock(dataFolder)
try {
  await buildAll({ web: false })
  const cluster = await startCluster(bin, dataFolder)
  try {
    await must(process.execPath, [join(ROOT, 'server/dist/seedMain.js')], {
      env: { DATABASE_URL: cluster.url, TENDER_GILL_MIGRATIONS: join(ROOT, 'server/drizzle') },
    })
    console.log('The demo kitchens are as on the first day.')
  } finally {
    cluster.stop()
  }
} finally {
  unlock()
}
