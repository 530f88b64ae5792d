import { asc, eq } from 'drizzle-orm'
import type { Kitchen } from '@tender-gill/contract'
import type { Database } from '../database/openDatabase.ts'
import { kitchens } from '../database/schema/index.ts'
import { computeToday } from './today.ts'

export function createKitchenRepository(db: Database, now: () => Date) {
  const toKitchen = ({ version: _version, ...row }: typeof kitchens.$inferSelect): Kitchen => ({
    ...row,
    today: computeToday(now(), row.zone),
  })
  return {
    list: async (): Promise<readonly Kitchen[]> => (await db.select().from(kitchens).orderBy(asc(kitchens.name))).map(toKitchen),
    find: async (id: string): Promise<Kitchen | undefined> => {
      const [row] = await db.select().from(kitchens).where(eq(kitchens.id, id))
      return row ? toKitchen(row) : undefined
    },
    /** How many changes the kitchen has seen: what was worked out at this version still holds. */
    readVersion: async (id: string): Promise<number> => {
      const [row] = await db.select({ version: kitchens.version }).from(kitchens).where(eq(kitchens.id, id))
      return row?.version ?? 0
    },
  }
}
export type KitchenRepository = ReturnType<typeof createKitchenRepository>
