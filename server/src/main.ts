import { pino } from 'pino'
import { migrateDatabase, openDatabase } from './database/openDatabase.ts'
import { seedDemo } from './demo/seedDemo.ts'
import { createApp } from './http/createApp.ts'
import { briefMapping, houseSpeciesMapping, priceMapping } from './records/mappings.ts'
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

const writesPerMinute = Number(process.env.WRITES_PER_MINUTE ?? 600)
const app = createApp({ db, log, now, cookieSecret: need('COOKIE_SECRET'), webFolder: process.env.WEB_FOLDER, writesPerMinute })
const port = Number(process.env.PORT ?? 8080)
const server = app.listen(port, '127.0.0.1', (error) => {
  if (error) {
    log.error({ err: error }, `cannot listen on port ${port}`)
    process.exit(1)
  }
  process.stdout.write(`listening on ${port}\n`)
})

let stopping = false
const stop = () => {
  if (stopping) return
  stopping = true
  server.close(() => {
    void close().finally(() => process.exit(0))
  })
  server.closeAllConnections()
}
process.on('SIGINT', stop)
process.on('SIGTERM', stop)
// A parent that is killed cannot tell us to stop, but the pipe it held to us closes.
if (process.env.STOP_WITH_PARENT) process.stdin.resume().on('end', stop)
