import { createHash, randomUUID } from 'node:crypto'
import { and, desc, eq, max } from 'drizzle-orm'
import stringify from 'json-stable-stringify'
import type { Brief, Decision, DecisionInput, LineUp, NormalisedBrief, OfferSheet } from '@tender-gill/contract'
import type { Database } from '../database/openDatabase.ts'
import { blobs, decisions } from '../database/schema.ts'

/** Everything an answer was worked out from. The sheet stands apart, since many decisions of a day share it. */
export interface DecisionInputs {
  readonly brief: Brief
  readonly normalised: NormalisedBrief
  readonly today: string
  readonly engineVersion: string
  readonly sheetHash: string
}

export interface NewDecision {
  readonly input: DecisionInput
  readonly common: string
  readonly brief: Brief
  readonly today: string
  readonly sheet: OfferSheet
  readonly output: LineUp
}

/** Canonical JSON, so that the same contents have the same name whatever order their fields came in. */
export const toCanonical = (value: unknown): string => stringify(value) ?? 'null'
export const nameContents = (text: string): string => createHash('sha256').update(text).digest('hex')

const toDecision = ({ kitchenId: _kitchen, decidedAt, ...row }: typeof decisions.$inferSelect): Decision => ({
  ...row,
  decidedAt: decidedAt.toISOString(),
})

/** Decisions of a kitchen: written once, read as they were; what they rest on is kept under the hash of its contents. */
export function createDecisionRepository(db: Database, now: () => Date) {
  const readBlob = async (kitchenId: string, hash: string): Promise<unknown> => {
    const [row] = await db
      .select({ body: blobs.body })
      .from(blobs)
      .where(and(eq(blobs.kitchenId, kitchenId), eq(blobs.hash, hash)))
    if (!row) throw new Error(`contents ${hash} are missing`)
    if (nameContents(row.body) !== hash) throw new Error(`contents ${hash} are not what their name says`)
    return JSON.parse(row.body) as unknown
  }
  return {
    list: async (kitchenId: string, briefId?: string): Promise<readonly Decision[]> => {
      const rows = await db
        .select()
        .from(decisions)
        .where(and(eq(decisions.kitchenId, kitchenId), briefId === undefined ? undefined : eq(decisions.briefId, briefId)))
        .orderBy(desc(decisions.decidedAt), desc(decisions.revision))
      return rows.map(toDecision)
    },
    find: async (kitchenId: string, id: string): Promise<Decision | undefined> => {
      const [row] = await db
        .select()
        .from(decisions)
        .where(and(eq(decisions.kitchenId, kitchenId), eq(decisions.id, id)))
      return row ? toDecision(row) : undefined
    },
    create: async (kitchenId: string, { input, common, brief, today, sheet, output }: NewDecision): Promise<Decision> =>
      db.transaction(async (tx) => {
        const keep = async (value: unknown): Promise<string> => {
          const body = toCanonical(value)
          const hash = nameContents(body)
          await tx.insert(blobs).values({ kitchenId, hash, body }).onConflictDoNothing()
          return hash
        }
        const inputs: DecisionInputs = {
          brief,
          normalised: output.brief,
          today,
          engineVersion: output.engineVersion,
          sheetHash: await keep(sheet),
        }
        const inputsHash = await keep(inputs)
        const outputHash = await keep(output)
        const [last] = await tx
          .select({ revision: max(decisions.revision) })
          .from(decisions)
          .where(and(eq(decisions.kitchenId, kitchenId), eq(decisions.briefId, input.briefId)))
        const at = output.ranked.findIndex(({ species }) => species === input.species)
        const [row] = await tx
          .insert(decisions)
          .values({
            kitchenId,
            id: randomUUID(),
            briefId: input.briefId,
            dish: brief.dish,
            revision: (last?.revision ?? 0) + 1,
            decidedAt: now(),
            species: input.species,
            common,
            offerId: input.offerId,
            form: input.form,
            place: at < 0 ? null : at + 1,
            fit: output.ranked[at]?.fit ?? null,
            note: input.note ?? null,
            engineVersion: output.engineVersion,
            snapshot: output.snapshot,
            inputsHash,
            outputHash,
          })
          .returning()
        if (!row) throw new Error('the decision was not kept')
        return toDecision(row)
      }),
    readInputs: async (kitchenId: string, { inputsHash }: Decision): Promise<DecisionInputs> =>
      (await readBlob(kitchenId, inputsHash)) as DecisionInputs,
    readSheet: async (kitchenId: string, { sheetHash }: DecisionInputs): Promise<OfferSheet> =>
      (await readBlob(kitchenId, sheetHash)) as OfferSheet,
    readOutput: async (kitchenId: string, { outputHash }: Decision): Promise<LineUp> => (await readBlob(kitchenId, outputHash)) as LineUp,
  }
}
export type DecisionRepository = ReturnType<typeof createDecisionRepository>
