/** `npm start`: installs what is missing, starts a private database and the server, prints the address, stops both on Ctrl-C. */
import { join, resolve } from 'node:path'
import { findFreePort, readSecret, startCluster } from './lib/cluster.mjs'
import { buildAll, installPackages, installPostgres } from './lib/install.mjs'
import { takeLock } from './lib/lock.mjs'
import { startServer } from './lib/serve.mjs'
import { startSimulator } from './lib/simulate.mjs'
import { ROOT } from './lib/shell.mjs'

const dataFolder = resolve(process.env.TENDER_GILL_DATA ?? join(ROOT, 'data'))
const undo = []
let stopping = false

/** Undoes what was started, last first; once, whatever asks for it. */
async function stop(code) {
  if (stopping) return
  stopping = true
  for (const step of undo.reverse()) {
    try {
      await step()
    } catch (error) {
      console.error(error.message)
    }
  }
  process.exit(code)
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0))

try {
  await installPackages()
  const bin = await installPostgres()
  undo.push(takeLock(dataFolder))
  await buildAll()
  const cluster = await startCluster(bin, dataFolder)
  undo.push(() => cluster.stop())
  const port = await findFreePort(Number(process.env.PORT ?? 8080))
  // The demo's merchants; feeds of one's own stand in FEEDS.
  const market = process.env.FEEDS === undefined ? await startSimulator() : undefined
  if (market) undo.push(() => market.stop())
  const env = market ? { FEEDS: market.feeds } : {}
  const server = await startServer({ env, url: cluster.url, port, cookieSecret: readSecret(dataFolder, 'cookie-secret') })
  undo.push(() => server.stop())
  void server.ended.then((code) => stop(code))
  console.log(`Tender Gill is open at ${server.address}  (Ctrl-C closes it)`)
} catch (error) {
  console.error(error.message)
  await stop(1)
}
