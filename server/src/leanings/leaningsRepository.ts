import { and, eq } from 'drizzle-orm'
import type { HouseLeanings, LeaningsRecord } from '@tender-gill/contract'
import type { Database } from '../database/openDatabase.ts'
import { leanings } from '../database/schema/index.ts'

/** How a kitchen leans: nothing at revision 0 until it says so. */
export function createLeaningsRepository(db: Database, now: () => Date) {
  const get = async (kitchenId: string): Promise<LeaningsRecord> => {
    const [row] = await db.select().from(leanings).where(eq(leanings.kitchenId, kitchenId))
    return row ? { revision: row.revision, leanings: row.leanings } : { revision: 0, leanings: {} }
  }
  return {
    get,
    /** Sets them at the revision that was read. @returns undefined when they have been set since */
    set: async (kitchenId: string, revision: number, wanted: HouseLeanings): Promise<LeaningsRecord | undefined> => {
      const values = { kitchenId, revision: revision + 1, leanings: wanted, updatedAt: now() }
      const rows =
        revision === 0
          ? await db.insert(leanings).values(values).onConflictDoNothing().returning()
          : await db
              .update(leanings)
              .set(values)
              .where(and(eq(leanings.kitchenId, kitchenId), eq(leanings.revision, revision)))
              .returning()
      const [row] = rows
      return row && { revision: row.revision, leanings: row.leanings }
    },
  }
}
export type LeaningsRepository = ReturnType<typeof createLeaningsRepository>
