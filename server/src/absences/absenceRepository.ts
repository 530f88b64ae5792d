import { randomUUID } from 'node:crypto'
import { and, desc, eq, gte, isNull, sql } from 'drizzle-orm'
import type { Absence, AbsenceInput, AbsenceUndo, Brief, Choice, LineUp, OfferSheet } from '@tender-gill/contract'
import type { Database } from '../database/openDatabase.ts'
import { absences, briefs } from '../database/schema.ts'
import { createDecisionRepository } from '../decisions/decisionRepository.ts'

/** One dish that changes its fish, with the line-up that stands behind the change. */
export interface PreparedMove {
  readonly briefId: string
  readonly revision: number
  readonly brief: Brief
  readonly before: Choice
  readonly after: Choice
  readonly common: string
  readonly sheet: OfferSheet
  readonly output: LineUp
}

/** A dish that was changed elsewhere since the plan was made: nothing of the plan is kept. */
export class DishChanged extends Error {
  constructor(readonly briefId: string) {
    super(`dish ${briefId} was changed`)
  }
}

type Row = typeof absences.$inferSelect
const toAbsence = ({ kitchenId: _kitchen, fromDay, toDay, markedAt, takenBackAt, ...row }: Row): Absence => ({
  ...row,
  from: fromDay,
  to: toDay,
  markedAt: markedAt.toISOString(),
  takenBackAt: takenBackAt?.toISOString() ?? null,
})

const sameChoice = (a: Choice | null, b: Choice): boolean => a !== null && a.offerId === b.offerId && a.form === b.form

/** Fish a kitchen does without: marked with every dish it moves in one step, and taken back in one step. */
export function createAbsenceRepository(db: Database, now: () => Date) {
  const own = (kitchenId: string, id: string) => and(eq(absences.kitchenId, kitchenId), eq(absences.id, id))
  /** Changes the fish of a dish and keeps the decision; whether the dish was still at that revision. */
  const moveDish = async (tx: Database, kitchenId: string, move: PreparedMove, today: string, note: string): Promise<boolean> => {
    const { briefId, revision, brief, after, common, sheet, output } = move
    const changed = await tx
      .update(briefs)
      .set({ choice: after, revision: sql`${briefs.revision} + 1`, updatedAt: now() })
      .where(and(eq(briefs.kitchenId, kitchenId), eq(briefs.id, briefId), isNull(briefs.deletedAt), eq(briefs.revision, revision)))
      .returning({ id: briefs.id })
    if (changed.length === 0) return false
    await createDecisionRepository(tx, now).create(kitchenId, { input: { briefId, ...after, note }, common, brief, today, sheet, output })
    return true
  }
  return {
    /** Everything that was marked and not taken back, the newest first. */
    listStanding: async (kitchenId: string, since = '0001-01-01'): Promise<readonly Absence[]> => {
      const rows = await db
        .select()
        .from(absences)
        .where(and(eq(absences.kitchenId, kitchenId), isNull(absences.takenBackAt), gte(absences.toDay, since)))
        .orderBy(desc(absences.markedAt), desc(absences.id))
      return rows.map(toAbsence)
    },
    find: async (kitchenId: string, id: string): Promise<Absence | undefined> => {
      const [row] = await db.select().from(absences).where(own(kitchenId, id))
      return row && toAbsence(row)
    },
    /** @throws DishChanged when a dish is no longer at the revision of its move; nothing is kept then */
    mark: async (
      kitchenId: string,
      input: AbsenceInput & { readonly common: string },
      moves: readonly PreparedMove[],
      { today, note }: { today: string; note: string },
    ): Promise<Absence> =>
      db.transaction(async (tx) => {
        for (const move of moves)
          if (!(await moveDish(tx as unknown as Database, kitchenId, move, today, note))) throw new DishChanged(move.briefId)
        const { species, common, offerId, because, from, to } = input
        const [row] = await tx
          .insert(absences)
          .values({
            kitchenId,
            id: randomUUID(),
            species,
            common,
            offerId,
            because,
            fromDay: from,
            toDay: to,
            markedAt: now(),
            moves: moves.map(({ briefId, brief, before, after, common: name }) => ({
              briefId,
              dish: brief.dish,
              before,
              after,
              common: name,
            })),
          })
          .returning()
        if (!row) throw new Error('the absence was not kept')
        return toAbsence(row)
      }),
    /** The fish is there again; dishes keep what they were moved to. Undefined when it does not stand. */
    end: async (kitchenId: string, id: string): Promise<Absence | undefined> => {
      const [row] = await db
        .update(absences)
        .set({ takenBackAt: now() })
        .where(and(own(kitchenId, id), isNull(absences.takenBackAt)))
        .returning()
      return row && toAbsence(row)
    },
    /**
     * Takes an absence back with every dish it moved, in one step. A dish that was changed since stays as it is and is named.
     * @param prepare the line-up behind putting a dish back, and its present revision; undefined when the dish is gone
     */
    undo: async (
      kitchenId: string,
      id: string,
      prepared: readonly PreparedMove[],
      { today, note }: { today: string; note: string },
    ): Promise<AbsenceUndo | undefined> =>
      db.transaction(async (tx) => {
        const [row] = await tx
          .update(absences)
          .set({ takenBackAt: now() })
          .where(and(own(kitchenId, id), isNull(absences.takenBackAt)))
          .returning()
        if (!row) return undefined
        const putBack: string[] = []
        const left: string[] = []
        for (const { briefId, dish } of row.moves) {
          const move = prepared.find((one) => one.briefId === briefId)
          const done = move && (await moveDish(tx as unknown as Database, kitchenId, move, today, note))
          ;(done ? putBack : left).push(dish)
        }
        return { absence: toAbsence(row), putBack, left }
      }),
    sameChoice,
  }
}
export type AbsenceRepository = ReturnType<typeof createAbsenceRepository>
