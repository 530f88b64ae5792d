import { randomUUID } from 'node:crypto'
import { and, asc, eq, gte, isNotNull, isNull, lt, ne, notExists, sql } from 'drizzle-orm'
import type { Choice, Recipe, ServingInput, ServingRecord } from '@tender-gill/contract'
import { DAY_MS } from '@tender-gill/core'
import type { Database } from '../database/openDatabase.ts'
import { dishes, servings } from '../database/schema/index.ts'
import { UNDO_DAYS, type ChangeOutcome, type RecordRepository } from '../records/recordRepository.ts'
import { joinBrief, splitBrief } from './briefParts.ts'

export interface ServingRepository extends RecordRepository<ServingInput, ServingRecord> {
  /** Changes the fish of a serving that is still at this revision; whether it was. */
  readonly take: (kitchenId: string, id: string, revision: number, choice: Choice) => Promise<boolean>
}

type Row = { readonly serving: typeof servings.$inferSelect; readonly recipe: Recipe }
const toRecord = ({ serving, recipe }: Row): ServingRecord => ({
  id: serving.id,
  revision: serving.revision,
  updatedAt: serving.updatedAt.toISOString(),
  deletedAt: serving.deletedAt?.toISOString() ?? null,
  dishId: serving.dishId,
  brief: joinBrief(recipe, serving),
  choice: serving.choice,
})

/**
 * Servings with their dishes, always within one kitchen. What is changed of the dish itself is changed for all its servings, whose revisions
 * rise with it: whoever edits another of them meets that, and not a silent loss. The writes belong into one transaction.
 */
export function createServingRepository(db: Database, now: () => Date): ServingRepository {
  const own = (kitchenId: string, id: string) => and(eq(servings.kitchenId, kitchenId), eq(servings.id, id))
  const ownDish = (kitchenId: string, id: string) => and(eq(dishes.kitchenId, kitchenId), eq(dishes.id, id))
  const raised = () => ({ revision: sql`${servings.revision} + 1`, updatedAt: now() })
  const query = () =>
    db
      .select({ serving: servings, recipe: dishes.recipe })
      .from(servings)
      .innerJoin(dishes, and(eq(dishes.kitchenId, servings.kitchenId), eq(dishes.id, servings.dishId)))
  const read = async (kitchenId: string, id: string): Promise<ServingRecord | undefined> => {
    const [row] = await query().where(own(kitchenId, id))
    return row && toRecord(row)
  }
  const find = async (kitchenId: string, id: string): Promise<ServingRecord | undefined> => {
    const record = await read(kitchenId, id)
    return record?.deletedAt === null ? record : undefined
  }
  const need = async (kitchenId: string, id: string): Promise<ServingRecord> => {
    const record = await read(kitchenId, id)
    if (!record) throw new Error(`serving ${id} is not there`)
    return record
  }
  const refuse = async (kitchenId: string, id: string): Promise<ChangeOutcome<ServingRecord>> => {
    const current = await find(kitchenId, id)
    return current ? { status: 'conflict', current } : { status: 'missing' }
  }
  /** Changes what is cooked, where it is another: for every serving of the dish. */
  const changeRecipe = async (kitchenId: string, dishId: string, recipe: Recipe, but: string): Promise<void> => {
    const changed = await db
      .update(dishes)
      .set({ recipe, revision: sql`${dishes.revision} + 1`, updatedAt: now() })
      .where(and(ownDish(kitchenId, dishId), ne(dishes.recipe, recipe)))
      .returning({ id: dishes.id })
    if (changed.length > 0)
      await db
        .update(servings)
        .set(raised())
        .where(and(eq(servings.kitchenId, kitchenId), eq(servings.dishId, dishId), ne(servings.id, but), isNull(servings.deletedAt)))
  }
  /** A dish goes with its last serving, and comes back with the first. */
  const followServings = async (kitchenId: string, dishId: string): Promise<void> => {
    const live = db
      .select({ id: servings.id })
      .from(servings)
      .where(and(eq(servings.kitchenId, kitchenId), eq(servings.dishId, dishId), isNull(servings.deletedAt)))
    const left = (await live).length
    await db
      .update(dishes)
      .set({ deletedAt: left === 0 ? now() : null })
      .where(and(ownDish(kitchenId, dishId), left === 0 ? isNull(dishes.deletedAt) : isNotNull(dishes.deletedAt)))
  }
  return {
    find,
    list: async (kitchenId) => {
      const rows = await query()
        .where(and(eq(servings.kitchenId, kitchenId), isNull(servings.deletedAt)))
        .orderBy(asc(servings.updatedAt), asc(servings.id))
      return rows.map(toRecord)
    },
    create: async (kitchenId, { brief, choice, dishId }) => {
      const { recipe, parts } = splitBrief(brief)
      const stored = { kitchenId, updatedAt: now() }
      const dish = dishId ?? randomUUID()
      if (dishId === undefined) await db.insert(dishes).values({ ...stored, id: dish, recipe })
      const id = randomUUID()
      await db.insert(servings).values({ ...stored, id, dishId: dish, ...parts, choice: choice ?? null })
      return need(kitchenId, id)
    },
    update: async (kitchenId, id, revision, { brief, choice }) => {
      const { recipe, parts } = splitBrief(brief)
      const [row] = await db
        .update(servings)
        .set({ ...parts, choice: choice ?? null, ...raised() })
        .where(and(own(kitchenId, id), isNull(servings.deletedAt), eq(servings.revision, revision)))
        .returning({ dishId: servings.dishId })
      if (!row) return refuse(kitchenId, id)
      await changeRecipe(kitchenId, row.dishId, recipe, id)
      return { status: 'changed', record: await need(kitchenId, id) }
    },
    take: async (kitchenId, id, revision, choice) => {
      const changed = await db
        .update(servings)
        .set({ choice, ...raised() })
        .where(and(own(kitchenId, id), isNull(servings.deletedAt), eq(servings.revision, revision)))
        .returning({ id: servings.id })
      return changed.length > 0
    },
    remove: async (kitchenId, id, revision) => {
      const [row] = await db
        .update(servings)
        .set({ deletedAt: now(), ...raised() })
        .where(and(own(kitchenId, id), isNull(servings.deletedAt), eq(servings.revision, revision)))
        .returning({ dishId: servings.dishId })
      if (!row) return refuse(kitchenId, id)
      await followServings(kitchenId, row.dishId)
      return { status: 'changed', record: await need(kitchenId, id) }
    },
    restore: async (kitchenId, id) => {
      const [row] = await db
        .update(servings)
        .set({ deletedAt: null, goneWithDish: false, ...raised() })
        .where(
          and(own(kitchenId, id), isNotNull(servings.deletedAt), gte(servings.deletedAt, new Date(now().getTime() - UNDO_DAYS * DAY_MS))),
        )
        .returning({ dishId: servings.dishId })
      if (row) await followServings(kitchenId, row.dishId)
      return find(kitchenId, id)
    },
    purge: async () => {
      const before = new Date(now().getTime() - UNDO_DAYS * DAY_MS)
      await db.delete(servings).where(lt(servings.deletedAt, before))
      const kept = db
        .select({ id: servings.id })
        .from(servings)
        .where(and(eq(servings.kitchenId, dishes.kitchenId), eq(servings.dishId, dishes.id)))
      await db.delete(dishes).where(and(lt(dishes.deletedAt, before), notExists(kept)))
    },
  }
}
