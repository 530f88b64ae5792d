import { randomUUID } from 'node:crypto'
import { and, desc, eq, max, sql } from 'drizzle-orm'
import type { Brief, Choice, Decision, LineUp, NormalisedBrief, OfferSheet, PortionCost, Untold } from '@tender-gill/contract'
import { DAY_MS } from '@tender-gill/core'
import type { Database } from '../database/openDatabase.ts'
import { blobs, decisions } from '../database/schema/index.ts'
import { unpackContents, type PackedContents } from './contents.ts'

/** Days for which a decision can be worked out again from the very offers it was made from: a year, and the season after it. */
export const SHEET_DAYS = 400

/** Everything an answer was worked out from. The sheet stands apart, since many decisions of a day share it. */
export interface DecisionInputs {
  readonly brief: Brief
  readonly normalised: Untold<NormalisedBrief>
  readonly today: string
  readonly engineVersion: string
  readonly sheetHash: string
  /** The line-up was of what can be bought. */
  readonly onlyOffered?: true
}

/** A decision with what it rests on, worked out and packed: all that is left to do is to keep it. */
export interface PreparedDecision {
  readonly servingId: string
  readonly dish: string
  readonly choice: Choice
  /** The others of a pot of several, by their common names; null where one fish does it alone. */
  readonly beside: string[] | null
  readonly note: string | null
  readonly common: string
  readonly place: number | null
  readonly fit: number | null
  /** Who led then, and what a portion of the fish taken cost: what alerts look at. */
  readonly leader: string | null
  readonly portionCost: PortionCost | null
  readonly engineVersion: string
  readonly snapshot: string
  readonly sheet: PackedContents
  readonly inputs: PackedContents
  readonly output: PackedContents
}

/** What alerts need to know of the decision that stands for a dish. */
export interface StandingDecision {
  readonly servingId: string
  readonly offerId: string
  readonly leader: string | null
  readonly portionCost: PortionCost | null
}

type Row = typeof decisions.$inferSelect
const toDecision = ({ kitchenId: _kitchen, decidedAt, leader: _leader, portionCost: _cost, sheetHash: _sheet, ...row }: Row): Decision => ({
  ...row,
  decidedAt: decidedAt.toISOString(),
})

/** Decisions of a kitchen: written once, read as they were; what they rest on is kept under the hash of its contents. */
export function createDecisionRepository(db: Database, now: () => Date) {
  const findBlob = async (kitchenId: string, hash: string): Promise<unknown> => {
    const [row] = await db
      .select({ text: blobs.body, packed: blobs.packed })
      .from(blobs)
      .where(and(eq(blobs.kitchenId, kitchenId), eq(blobs.hash, hash)))
    return row && unpackContents({ hash, ...row })
  }
  const readBlob = async (kitchenId: string, hash: string): Promise<unknown> => {
    const contents = await findBlob(kitchenId, hash)
    if (contents === undefined) throw new Error(`contents ${hash} are missing`)
    return contents
  }
  return {
    list: async (kitchenId: string, servingId?: string): Promise<readonly Decision[]> => {
      const rows = await db
        .select()
        .from(decisions)
        .where(and(eq(decisions.kitchenId, kitchenId), servingId === undefined ? undefined : eq(decisions.servingId, servingId)))
        // By revision within a dish: a clock may have gone back.
        .orderBy(desc(decisions.decidedAt), desc(decisions.revision))
      return (servingId === undefined ? rows : [...rows].sort((a, b) => b.revision - a.revision)).map(toDecision)
    },
    /** The latest decision of each dish, as alerts need it. */
    listStanding: async (kitchenId: string): Promise<ReadonlyMap<string, StandingDecision>> => {
      const rows = await db
        .selectDistinctOn([decisions.servingId], {
          servingId: decisions.servingId,
          offerId: decisions.offerId,
          leader: decisions.leader,
          portionCost: decisions.portionCost,
        })
        .from(decisions)
        .where(eq(decisions.kitchenId, kitchenId))
        .orderBy(decisions.servingId, desc(decisions.revision))
      return new Map(rows.map((row) => [row.servingId, row]))
    },
    find: async (kitchenId: string, id: string): Promise<Decision | undefined> => {
      const [row] = await db
        .select()
        .from(decisions)
        .where(and(eq(decisions.kitchenId, kitchenId), eq(decisions.id, id)))
      return row ? toDecision(row) : undefined
    },
    /** Keeps a decision as the next of its dish. Changes of a kitchen stand in line, so no two take the same number. */
    keep: async (kitchenId: string, prepared: PreparedDecision): Promise<Decision> => {
      const { sheet, inputs, output, choice, ...fields } = prepared
      const { species, offerId, form } = choice
      for (const { hash, packed } of [sheet, inputs, output])
        await db
          .insert(blobs)
          .values({ kitchenId, hash, packed: Buffer.from(packed) })
          .onConflictDoNothing()
      const [last] = await db
        .select({ revision: max(decisions.revision) })
        .from(decisions)
        .where(and(eq(decisions.kitchenId, kitchenId), eq(decisions.servingId, fields.servingId)))
      const [row] = await db
        .insert(decisions)
        .values({
          ...{ ...fields, species, offerId, form, kitchenId, id: randomUUID(), revision: (last?.revision ?? 0) + 1, decidedAt: now() },
          ...{ inputsHash: inputs.hash, outputHash: output.hash, sheetHash: sheet.hash },
        })
        .returning()
      if (!row) throw new Error('the decision was not kept')
      return toDecision(row)
    },
    readInputs: async (kitchenId: string, { inputsHash }: Decision): Promise<DecisionInputs> =>
      (await readBlob(kitchenId, inputsHash)) as DecisionInputs,
    /** The offers a decision was made from; undefined once they were let go. */
    findSheet: async (kitchenId: string, { sheetHash }: DecisionInputs): Promise<OfferSheet | undefined> =>
      (await findBlob(kitchenId, sheetHash)) as OfferSheet | undefined,
    /**
     * Lets go of the offers behind decisions that are older than `SHEET_DAYS`: a sheet is a megabyte, and a kitchen makes some a day. What
     * was decided, and the line-up behind it, stay.
     */
    purgeSheets: async (): Promise<void> => {
      const since = new Date(now().getTime() - SHEET_DAYS * DAY_MS)
      await db.execute(sql`delete from ${blobs} where (kitchen_id, hash) in (
        select ${decisions.kitchenId}, ${decisions.sheetHash} from ${decisions} where ${decisions.sheetHash} is not null
        group by 1, 2 having max(${decisions.decidedAt}) < ${since.toISOString()}::timestamptz)`)
    },
    /** The line-up behind a decision; of one kept by an earlier version the sentences are text already. */
    readOutput: async (kitchenId: string, { outputHash }: Decision): Promise<Untold<LineUp>> =>
      (await readBlob(kitchenId, outputHash)) as Untold<LineUp>,
  }
}
export type DecisionRepository = ReturnType<typeof createDecisionRepository>
