import { randomUUID } from 'node:crypto'
import { and, desc, eq, gte, isNull } from 'drizzle-orm'
import { createServingRepository } from '../servings/servingRepository.ts'
import type { Absence, AbsenceInput, AbsenceUndo, Choice } from '@tender-gill/contract'
import type { Database } from '../database/openDatabase.ts'
import { absences } from '../database/schema/index.ts'
import { createDecisionRepository, type PreparedDecision } from '../decisions/decisionRepository.ts'

/** One dish that changes its fish, with the decision that stands behind the change. */
export interface PreparedMove {
  /** The dish's revision when the move was worked out. */
  readonly revision: number
  readonly before: Choice
  readonly decision: PreparedDecision
}

/** A dish that was changed elsewhere since the plan was made: nothing of the plan is kept. */
export class DishChanged extends Error {
  constructor(readonly servingId: string) {
    super(`dish ${servingId} was changed`)
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

/** Fish a kitchen does without: marked with every dish it moves, and taken back with them. Both belong into one transaction. */
export function createAbsenceRepository(db: Database, now: () => Date) {
  const own = (kitchenId: string, id: string) => and(eq(absences.kitchenId, kitchenId), eq(absences.id, id))
  /** Changes the fish of a serving and keeps the decision; whether it was still at that revision. */
  const moveDish = async (kitchenId: string, { revision, decision }: PreparedMove): Promise<boolean> => {
    if (!(await createServingRepository(db, now).take(kitchenId, decision.servingId, revision, decision.choice))) return false
    await createDecisionRepository(db, now).keep(kitchenId, decision)
    return true
  }
  return {
    /** Everything that was marked and not taken back and is not over before a day, the newest first. */
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
    /** @throws DishChanged when a dish is no longer at the revision of its move */
    mark: async (
      kitchenId: string,
      { species, common, offerId, because, from, to }: AbsenceInput & { readonly common: string },
      moves: readonly PreparedMove[],
    ): Promise<Absence> => {
      for (const move of moves) if (!(await moveDish(kitchenId, move))) throw new DishChanged(move.decision.servingId)
      const [row] = await db
        .insert(absences)
        .values({
          ...{ kitchenId, id: randomUUID(), species, common, offerId, because, fromDay: from, toDay: to, markedAt: now() },
          moves: moves.map(({ before, decision: { servingId, dish, choice, common: name } }) => ({
            ...{ servingId, dish, before, after: choice, common: name },
          })),
        })
        .returning()
      if (!row) throw new Error('the absence was not kept')
      return toAbsence(row)
    },
    /** The fish is there again; dishes keep what they were moved to. Undefined when it does not stand. */
    end: async (kitchenId: string, id: string): Promise<Absence | undefined> => {
      const [row] = await db
        .update(absences)
        .set({ takenBackAt: now() })
        .where(and(own(kitchenId, id), isNull(absences.takenBackAt)))
        .returning()
      return row && toAbsence(row)
    },
    /** Takes an absence back with every dish it moved. A dish that was changed since stays as it is and is named. */
    undo: async (kitchenId: string, id: string, prepared: readonly PreparedMove[]): Promise<AbsenceUndo | undefined> => {
      const [row] = await db
        .update(absences)
        .set({ takenBackAt: now() })
        .where(and(own(kitchenId, id), isNull(absences.takenBackAt)))
        .returning()
      if (!row) return undefined
      const putBack: string[] = []
      const left: string[] = []
      for (const { servingId, dish } of row.moves) {
        const move = prepared.find(({ decision }) => decision.servingId === servingId)
        ;(move && (await moveDish(kitchenId, move)) ? putBack : left).push(dish)
      }
      return { absence: toAbsence(row), putBack, left }
    },
  }
}
export type AbsenceRepository = ReturnType<typeof createAbsenceRepository>
