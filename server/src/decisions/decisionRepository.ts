import { randomUUID } from 'node:crypto'
import { and, desc, eq, max } from 'drizzle-orm'
import type { Brief, Choice, Decision, LineUp, NormalisedBrief, OfferSheet, PortionCost } from '@tender-gill/contract'
import type { Database } from '../database/openDatabase.ts'
import { blobs, decisions } from '../database/schema.ts'
import { unpackContents, type PackedContents } from './contents.ts'

/** Everything an answer was worked out from. The sheet stands apart, since many decisions of a day share it. */
export interface DecisionInputs {
  readonly brief: Brief
  readonly normalised: NormalisedBrief
  readonly today: string
  readonly engineVersion: string
  readonly sheetHash: string
}

/** A decision with what it rests on, worked out and packed: all that is left to do is to keep it. */
export interface PreparedDecision {
  readonly servingId: string
  readonly dish: string
  readonly choice: Choice
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
  const readBlob = async (kitchenId: string, hash: string): Promise<unknown> => {
    const [row] = await db
      .select({ text: blobs.body, packed: blobs.packed })
      .from(blobs)
      .where(and(eq(blobs.kitchenId, kitchenId), eq(blobs.hash, hash)))
    if (!row) throw new Error(`contents ${hash} are missing`)
    return unpackContents({ hash, ...row })
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
          ...{ ...fields, ...choice, kitchenId, id: randomUUID(), revision: (last?.revision ?? 0) + 1, decidedAt: now() },
          ...{ inputsHash: inputs.hash, outputHash: output.hash, sheetHash: sheet.hash },
        })
        .returning()
      if (!row) throw new Error('the decision was not kept')
      return toDecision(row)
    },
    readInputs: async (kitchenId: string, { inputsHash }: Decision): Promise<DecisionInputs> =>
      (await readBlob(kitchenId, inputsHash)) as DecisionInputs,
    readSheet: async (kitchenId: string, { sheetHash }: DecisionInputs): Promise<OfferSheet> =>
      (await readBlob(kitchenId, sheetHash)) as OfferSheet,
    readOutput: async (kitchenId: string, { outputHash }: Decision): Promise<LineUp> => (await readBlob(kitchenId, outputHash)) as LineUp,
  }
}
export type DecisionRepository = ReturnType<typeof createDecisionRepository>
