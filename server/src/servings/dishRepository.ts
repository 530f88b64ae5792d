import { and, eq, isNull, sql } from 'drizzle-orm'
import type { DishInput, DishRecord } from '@tender-gill/contract'
import type { Database } from '../database/openDatabase.ts'
import { dishes, servings } from '../database/schema/index.ts'
import { createRecordRepository, type RecordMapping, type RecordRepository } from '../records/recordRepository.ts'

export const dishMapping: RecordMapping<typeof dishes, DishInput, DishRecord> = {
  table: dishes,
  toColumns: ({ recipe }) => ({ recipe }),
  toRecord: (row, stored) => ({ ...stored, recipe: row.recipe }),
}

/** Dishes by themselves. A change of one reaches all its servings; taken away it takes them along, and put back it brings them back. */
export function createDishRepository(db: Database, now: () => Date): RecordRepository<DishInput, DishRecord> {
  const records = createRecordRepository(db, now, dishMapping)
  const ofDish = (kitchenId: string, id: string) => and(eq(servings.kitchenId, kitchenId), eq(servings.dishId, id))
  const raised = () => ({ revision: sql`${servings.revision} + 1`, updatedAt: now() })
  return {
    ...records,
    update: async (kitchenId, id, revision, input) => {
      const outcome = await records.update(kitchenId, id, revision, input)
      if (outcome.status === 'changed')
        await db
          .update(servings)
          .set(raised())
          .where(and(ofDish(kitchenId, id), isNull(servings.deletedAt)))
      return outcome
    },
    remove: async (kitchenId, id, revision) => {
      const outcome = await records.remove(kitchenId, id, revision)
      if (outcome.status === 'changed' && outcome.record.deletedAt !== null)
        await db
          .update(servings)
          .set({ deletedAt: new Date(outcome.record.deletedAt), goneWithDish: true, ...raised() })
          .where(and(ofDish(kitchenId, id), isNull(servings.deletedAt)))
      return outcome
    },
    restore: async (kitchenId, id) => {
      const record = await records.restore(kitchenId, id)
      // Those that went with it; one that was taken away by itself stays away.
      if (record)
        await db
          .update(servings)
          .set({ deletedAt: null, goneWithDish: false, ...raised() })
          .where(and(ofDish(kitchenId, id), eq(servings.goneWithDish, true)))
      return record
    },
  }
}
