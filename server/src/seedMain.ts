import { migrateDatabase, openDatabase } from './database/openDatabase.ts'
import { resetDemo } from './demo/seedDemo.ts'

/** Renews the demo: takes the demo kitchens' data away for good and lays the table again. */
const { db, close } = openDatabase({ url: process.env.DATABASE_URL ?? '', onBrokenConnection: () => undefined })
await migrateDatabase(db)
await resetDemo(db, new Date())
await close()
