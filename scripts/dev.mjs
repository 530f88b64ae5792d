/** `npm run dev`: the server restarts and the pages reload when their files change. Vite serves the pages and hands /api on. */
import { spawn } from 'node:child_process'
import { join, resolve } from 'node:path'
import { findFreePort, readClusterVersion, startCluster } from './lib/cluster.mjs'
import { buildAll, installPackages, installPostgres } from './lib/install.mjs'
import { takeLock } from './lib/lock.mjs'
import { ROOT } from './lib/shell.mjs'

const dataFolder = resolve(process.env.TENDER_GILL_DATA ?? join(ROOT, 'data'))
await installPackages()
const bin = await installPostgres(readClusterVersion(dataFolder))
const unlock = takeLock(dataFolder)
await buildAll({ web: false })
const cluster = await startCluster(bin, dataFolder)
const apiPort = await findFreePort(8090)
const env = {
  ...process.env,
  DATABASE_URL: cluster.url,
  PORT: String(apiPort),
  API_PORT: String(apiPort),
  TENDER_GILL_MIGRATIONS: join(ROOT, 'server/drizzle'),
  LOG_LEVEL: 'info',
}
const children = [
  spawn('npx', ['tsx', 'watch', 'server/src/main.ts'], { cwd: ROOT, stdio: 'inherit', env }),
  spawn('npx', ['vite', '--host', '127.0.0.1'], { cwd: join(ROOT, 'web'), stdio: 'inherit', env }),
]
const stop = () => {
  for (const child of children) child.kill('SIGTERM')
  cluster.stop()
  unlock()
  process.exit(0)
}
process.on('SIGINT', stop)
process.on('SIGTERM', stop)
