/**
 * `npm start`: installs what is missing, starts a private database and the server, prints the address, starts again whatever ends by itself,
 * and stops all of it on Ctrl-C.
 */
import { join, resolve } from 'node:path'
import { findFreePort, readClusterVersion, startCluster } from './lib/cluster.mjs'
import { buildAll, installPackages, installPostgres } from './lib/install.mjs'
import { takeLock } from './lib/lock.mjs'
import { startServer } from './lib/serve.mjs'
import { dumpBeforeMigration } from './lib/migrations.mjs'
import { startSimulator, startThermometers } from './lib/simulate.mjs'
import { keepDatabase, keepServer } from './lib/supervise.mjs'
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

const say = (words) => console.error(words)

try {
  await installPackages()
  const bin = await installPostgres(readClusterVersion(dataFolder))
  undo.push(takeLock(dataFolder))
  await buildAll()
  const cluster = await startCluster(bin, dataFolder)
  undo.push(() => cluster.stop())
  const dumped = dumpBeforeMigration(cluster, dataFolder)
  if (dumped) console.log(`The data as it was is kept in ${dumped}`)
  const wanted = Number(process.env.PORT ?? 8080)
  if (!Number.isInteger(wanted) || wanted < 0 || wanted > 65_535) throw new Error(`PORT must be 0 to 65535, and is "${process.env.PORT}".`)
  const port = await findFreePort(wanted)
  if (wanted !== 0 && port !== wanted) console.log(`Port ${wanted} is taken by another program; this one takes ${port}.`)
  // The demo's merchants; feeds of one's own stand in FEEDS.
  const market = process.env.FEEDS === undefined ? await startSimulator() : undefined
  if (market) undo.push(() => market.stop())
  // The demo's thermometers; one's own stand in THERMOMETERS.
  const thermometers = process.env.THERMOMETERS === undefined ? await startThermometers() : undefined
  if (thermometers) undo.push(() => thermometers.stop())
  // Without --lan nothing listens beyond this machine.
  const lanPort = process.argv.includes('--lan') ? await findFreePort(Number(process.env.LAN_PORT ?? 8443)) : undefined
  const env = {
    LOG_FILE: join(dataFolder, 'server.log'),
    ...(market ? { FEEDS: market.feeds } : {}),
    ...(thermometers ? { THERMOMETERS: thermometers.address } : {}),
    ...(lanPort === undefined ? {} : { LAN_PORT: String(lanPort), LAN_FOLDER: join(dataFolder, 'lan') }),
  }
  const start = () => startServer({ env, url: cluster.url, port })
  // The first start is waited for: what is wrong from the beginning is said at once.
  const first = await start()
  let begun = false
  undo.push(
    keepServer(async () => {
      if (begun) return start()
      begun = true
      return first
    }, say),
  )
  undo.push(keepDatabase(cluster, say))
  console.log(`Tender Gill is open at ${first.address}  (Ctrl-C closes it)`)
  if (lanPort !== undefined) console.log(`Phones on your network come in on port ${lanPort}: pair them under House, Phones.`)
} catch (error) {
  console.error(error.message)
  await stop(1)
}
