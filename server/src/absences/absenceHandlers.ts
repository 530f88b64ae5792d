import { addDays } from '@tender-gill/core'
import type { Compute } from '../compute/index.ts'
import type { Database } from '../database/openDatabase.ts'
import { RequestFailure, notFound } from '../http/errors.ts'
import type { Commit, HandlersOf } from '../http/serveOperations.ts'
import { createServingRepository } from '../servings/servingRepository.ts'
import { createAbsenceRepository, DishChanged, type PreparedMove } from './absenceRepository.ts'

interface Deps {
  readonly db: Database
  readonly now: () => Date
  readonly compute: Compute
}

/** An absence that is over is still told this long: its dishes may want their fish back. */
const REMEMBERED_DAYS = 14

const gone = () => notFound('No such absence, or it was taken back')
const touchMoves = (touch: Parameters<Commit<unknown>>[1], moves: readonly PreparedMove[]): void => {
  for (const { decision } of moves) touch('serving', decision.servingId)
}

/** Fish a whole kitchen does without for some days: planned, confirmed with every dish it moves, ended, taken back. */
export const createAbsenceHandlers = ({
  db,
  now,
  compute,
}: Deps): HandlersOf<'absences' | 'absencePlan' | 'markAbsent' | 'endAbsence' | 'undoAbsence'> => ({
  absences: ({ kitchen: { id, today } }) => createAbsenceRepository(db, now).listStanding(id, addDays(today, -REMEMBERED_DAYS)),
  absencePlan: ({ kitchen, input, signal }) => compute.ask('absencePlan', kitchen, input, signal),
  markAbsent: async ({ kitchen, input, signal }) => {
    const { named, moves } = await compute.ask('prepareAbsence', kitchen, input, signal)
    return async (tx, touch) => {
      touchMoves(touch, moves)
      try {
        return await createAbsenceRepository(tx, now).mark(kitchen.id, named, moves)
      } catch (error) {
        if (!(error instanceof DishChanged)) throw error
        throw new RequestFailure('conflict', 'A dish was changed since the plan was made. Nothing was moved.', {
          current: await createServingRepository(db, now).find(kitchen.id, error.servingId),
        })
      }
    }
  },
  endAbsence:
    async ({ kitchen, params }) =>
    async (tx) => {
      const absence = await createAbsenceRepository(tx, now).end(kitchen.id, params.id)
      if (!absence) throw gone()
      return absence
    },
  undoAbsence: async ({ kitchen, params, signal }) => {
    const moves = await compute.ask('preparePutBack', kitchen, params, signal)
    return async (tx, touch) => {
      touchMoves(touch, moves)
      const undone = await createAbsenceRepository(tx, now).undo(kitchen.id, params.id, moves)
      if (!undone) throw gone()
      return undone
    }
  },
})
