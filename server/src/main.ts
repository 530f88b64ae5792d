import { pino } from 'pino'
import { migrateDatabase, openDatabase } from './database/openDatabase.ts'
import { seedDemo } from './demo/seedDemo.ts'
import { createApp } from './http/createApp.ts'
import { createHouseBooks } from './book/houseBook.ts'
import { readFeedConfig } from './feeds/feedConfig.ts'
import { createFeedReader, runFeedReader } from './feeds/feedReader.ts'
import { createKeepFeedList } from './feeds/keepFeedList.ts'
import { createKitchenRepository } from './kitchens/kitchenRepository.ts'
import { computeToday } from './kitchens/today.ts'
import { createLeaningsRepository } from './leanings/leaningsRepository.ts'
import { createPriceListRepository } from './priceLists/priceListRepository.ts'
import {
  briefMapping,
  houseSpeciesMapping,
  merchantMapping,
  priceMapping,
  rateMapping,
  seasonMapping,
  stockMapping,
} from './records/mappings.ts'
import { createRecordRepository } from './records/recordRepository.ts'

const need = (name: string): string => {
  const value = process.env[name]
  if (!value) throw new Error(`${name} is not set; start with npm start`)
  return value
}

const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' })
const fixed = process.env.TENDER_GILL_CLOCK
const now = fixed ? () => new Date(fixed) : () => new Date()
const { db, close } = openDatabase({
  url: need('DATABASE_URL'),
  onIdleError: (error) => log.warn({ err: error }, 'a database connection broke'),
})

await migrateDatabase(db)
await seedDemo(db, now())
await createRecordRepository(db, now, briefMapping).purge()
await createRecordRepository(db, now, priceMapping).purge()
await createRecordRepository(db, now, houseSpeciesMapping).purge()
await createRecordRepository(db, now, seasonMapping).purge()
await createRecordRepository(db, now, stockMapping).purge()
await createRecordRepository(db, now, rateMapping).purge()

const feedConfig = readFeedConfig(process.env.FEEDS)
const feeds = createFeedReader({
  feeds: feedConfig,
  now,
  today: () => computeToday(now(), process.env.FEEDS_ZONE ?? 'UTC'),
  keep: createKeepFeedList({
    books: createHouseBooks(db, createLeaningsRepository(db, now)),
    lists: createPriceListRepository(db, now),
    kitchens: createKitchenRepository(db, now),
    merchants: createRecordRepository(db, now, merchantMapping),
  }),
  onProblem: (feed, problem, error) => log.warn({ feed, err: error }, problem),
})

const writesPerMinute = Number(process.env.WRITES_PER_MINUTE ?? 600)
const app = createApp({ db, log, now, cookieSecret: need('COOKIE_SECRET'), webFolder: process.env.WEB_FOLDER, writesPerMinute, feeds })
const port = Number(process.env.PORT ?? 8080)
const server = app.listen(port, '127.0.0.1', (error) => {
  if (error) {
    log.error({ err: error }, `cannot listen on port ${port}`)
    process.exit(1)
  }
  process.stdout.write(`listening on ${port}\n`)
})

const stopFeeds = feedConfig.length > 0 ? runFeedReader(feeds, feedConfig) : () => undefined

let stopping = false
const stop = () => {
  if (stopping) return
  stopping = true
  stopFeeds()
  server.close(() => {
    void close().finally(() => process.exit(0))
  })
  server.closeAllConnections()
}
process.on('SIGINT', stop)
process.on('SIGTERM', stop)
// A parent that is killed cannot tell us to stop, but the pipe it held to us closes.
if (process.env.STOP_WITH_PARENT) process.stdin.resume().on('end', stop)
