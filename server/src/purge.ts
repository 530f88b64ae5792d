import { and, eq, isNotNull, lt } from 'drizzle-orm'
import { DAY_MS } from '@tender-gill/core'
import { purgeCommands } from './commands/index.ts'
import { createDecisionRepository } from './decisions/decisionRepository.ts'
import type { Database } from './database/openDatabase.ts'
import { coldReadings, priceLists } from './database/schema/index.ts'
import { purgeRecords } from './records/keptRecords.ts'
import { UNDO_DAYS } from './records/recordRepository.ts'

/** Days for which readings of thermometers are kept: no lot is older. */
const READING_DAYS = 400

/** Forgets what cannot be put back any more: records, lists of feeds whose place a later one took, keys of commands, the offers behind old decisions. */
export async function purge(db: Database, now: () => Date): Promise<void> {
  await purgeRecords(db, now)
  await purgeCommands({ db, now })
  await db.delete(coldReadings).where(lt(coldReadings.at, new Date(now().getTime() - READING_DAYS * DAY_MS)))
  await createDecisionRepository(db, now).purgeSheets()
  await db
    .delete(priceLists)
    .where(
      and(
        eq(priceLists.source, 'feed'),
        isNotNull(priceLists.takenBackAt),
        lt(priceLists.takenBackAt, new Date(now().getTime() - UNDO_DAYS * DAY_MS)),
      ),
    )
}

const AFTER_MS = 3_600_000
const EVERY_MS = 24 * 3_600_000

/** Purges once the server has run for an hour, and each day: a clock that is wrong at the start forgets nothing. @returns how to stop it */
export function runPurge(db: Database, now: () => Date, onProblem: (error: unknown) => void): () => void {
  const run = () => void purge(db, now).catch(onProblem)
  let every: NodeJS.Timeout | undefined
  const first = setTimeout(() => {
    run()
    every = setInterval(run, EVERY_MS)
  }, AFTER_MS)
  return () => {
    clearTimeout(first)
    clearInterval(every)
  }
}
