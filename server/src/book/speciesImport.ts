import { randomUUID } from 'node:crypto'
import { findShipped, toPatch, type ImportedSpecies } from '@tender-gill/catalogue'
import { and, eq, inArray, isNull, sql } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { houseSpecies } from '../database/schema/index.ts'

/** Rows written by one statement. */
const BATCH = 500

const batches = <T>(items: readonly T[]): readonly (readonly T[])[] =>
  Array.from({ length: Math.ceil(items.length / BATCH) }, (_, i) => items.slice(i * BATCH, (i + 1) * BATCH))

export interface ImportDeps {
  readonly db: Database
  readonly now: () => Date
}

/** Puts the rows of a file in the place of what the kitchen had of the same species; within the caller's transaction. */
export async function keepRows(
  { db, now }: ImportDeps,
  kitchenId: string,
  rows: readonly ImportedSpecies[],
  importId: string,
): Promise<void> {
  for (const batch of batches(rows)) {
    const names = batch.map(({ source }) => source.scientific)
    await db
      .update(houseSpecies)
      .set({ deletedAt: now(), replacedBy: importId })
      .where(and(eq(houseSpecies.kitchenId, kitchenId), isNull(houseSpecies.deletedAt), inArray(houseSpecies.species, names)))
    const changed = batch
      .map(({ source }) => ({ source, patch: toPatch(source, findShipped(source.scientific)) }))
      .filter(({ patch }) => patch !== null)
    if (changed.length === 0) continue
    await db.insert(houseSpecies).values(
      changed.map(({ source, patch }) => ({
        kitchenId,
        id: randomUUID(),
        species: source.scientific,
        patch,
        updatedAt: now(),
        broughtBy: importId,
      })),
    )
  }
}

/** Takes an import back: what it brought goes, what it replaced returns. @returns rows that changed; 0 for an unknown import */
export async function takeBack({ db, now }: ImportDeps, kitchenId: string, importId: string): Promise<number> {
  const mine = eq(houseSpecies.kitchenId, kitchenId)
  const gone = await db
    .update(houseSpecies)
    .set({ deletedAt: now() })
    .where(and(mine, eq(houseSpecies.broughtBy, importId), isNull(houseSpecies.deletedAt)))
    .returning({ id: houseSpecies.id })
  const back = await db
    .update(houseSpecies)
    .set({ deletedAt: null, replacedBy: null, revision: sql`${houseSpecies.revision} + 1`, updatedAt: now() })
    .where(and(mine, eq(houseSpecies.replacedBy, importId)))
    .returning({ id: houseSpecies.id })
  return gone.length + back.length
}
