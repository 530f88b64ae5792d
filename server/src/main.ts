import { openChangeFeed } from './changes/index.ts'
import { createThermometerReader, runThermometerReader } from './cold/thermometerReader.ts'
import { startThreads } from './compute/threads.ts'
import { migrateDatabase, openDatabase } from './database/openDatabase.ts'
import { seedDemo } from './demo/seedDemo.ts'
import { readEnvironment } from './environment.ts'
import { readFeedConfig } from './feeds/feedConfig.ts'
import { createFeedReader, runFeedReader } from './feeds/feedReader.ts'
import { createKeepFeedList } from './feeds/keepFeedList.ts'
import { createApp } from './http/createApp.ts'
import { computeToday } from './kitchens/today.ts'
import { createServer } from 'node:https'
import { openLan } from './lan/index.ts'
import { openLog } from './openLog.ts'
import { runPurge } from './purge.ts'

const settings = readEnvironment(process.env)
const log = openLog(settings.logLevel, settings.logFile)
const now = settings.clock ? () => new Date(settings.clock as string) : () => new Date()
const onBroken = (error: Error) => log.warn({ err: error }, 'a database connection broke')
const { db, close } = openDatabase({ url: settings.databaseUrl, onBrokenConnection: onBroken })

await migrateDatabase(db)
await seedDemo(db, now())

const compute = startThreads({
  databaseUrl: settings.databaseUrl,
  ...(settings.clock ? { clock: settings.clock } : {}),
  onProblem: (error) => log.error({ err: error }, 'a computing thread ended'),
})
const changes = openChangeFeed({ url: settings.databaseUrl, onBroken })
const feedConfig = readFeedConfig(settings.feeds)
const feeds = createFeedReader({
  feeds: feedConfig,
  now,
  today: () => computeToday(now(), settings.feedsZone),
  keep: createKeepFeedList({ db, now, compute }),
  onProblem: (feed, problem, error) => log.warn({ feed, err: error }, problem),
})
const { lanPort, lanFolder } = settings
const lan = lanPort !== undefined && lanFolder !== undefined ? await openLan(lanPort, lanFolder, now()) : undefined
const deps = {
  ...{ db, log, now, compute, changes, feeds, lan: lan?.door },
  ...{ webFolder: settings.webFolder, writesPerMinute: settings.writesPerMinute, hosts: settings.hosts },
}
const app = createApp(deps)
const server = app.listen(settings.port, '127.0.0.1', (error) => {
  if (error) {
    log.error({ err: error }, `cannot listen on port ${settings.port}`)
    process.exit(1)
  }
  process.stdout.write(`listening on ${settings.port}\n`)
})

// Beyond this machine only with the certificate, and only who is paired.
const secure = lan && createServer(lan.certificate, createApp({ ...deps, hosts: [...settings.hosts, ...lan.hosts], gated: true }))
secure?.listen(lanPort, '0.0.0.0')
secure?.on('error', (error) => log.error({ err: error }, `cannot listen on port ${lanPort}`))

// Longer than browsers keep a quiet connection: a request must not meet one that is just being closed.
server.keepAliveTimeout = 120_000

const stopFeeds = feedConfig.length > 0 ? runFeedReader(feeds, feedConfig) : () => undefined
const thermometers = settings.thermometers
const onDeaf = (error: unknown) => log.warn({ err: error }, 'a thermometer could not be read')
const stopThermometers =
  thermometers === undefined
    ? () => undefined
    : runThermometerReader(createThermometerReader({ db, now, url: thermometers, onProblem: onDeaf }), {
        url: thermometers,
        onProblem: onDeaf,
      })
const stopPurge = runPurge(db, now, (error) => log.error({ err: error }, 'what is past undoing could not be forgotten'))

let stopping = false
const stop = () => {
  if (stopping) return
  stopping = true
  stopFeeds()
  stopThermometers()
  stopPurge()
  server.close(() => {
    void Promise.allSettled([changes.close(), compute.close()])
      .then(close)
      .finally(() => process.exit(0))
  })
  server.closeAllConnections()
  secure?.close()
  secure?.closeAllConnections()
}
process.on('SIGINT', stop)
process.on('SIGTERM', stop)
// A parent that is killed cannot tell us to stop, but the pipe it held to us closes.
if (settings.stopWithParent) process.stdin.resume().on('end', stop)
