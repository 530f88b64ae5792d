import type { Database } from '../database/openDatabase.ts'
import { RequestFailure, refuse } from '../http/errors.ts'
import type { HandlersOf } from '../http/serveOperations.ts'
import { createLeaningsRepository } from './leaningsRepository.ts'

/** How the house leans, for every dish that does not say otherwise. */
export const createLeaningsHandlers = (db: Database, now: () => Date): HandlersOf<'leanings' | 'saveLeanings'> => ({
  leanings: ({ kitchen }) => createLeaningsRepository(db, now).get(kitchen.id),
  saveLeanings: async ({ kitchen, revision, input }) => {
    const { leanings } = input
    const upsideDown = Object.entries(leanings.asks ?? {}).filter(([, { from, to }]) => from != null && to != null && from > to)
    if (upsideDown.length > 0)
      throw refuse(
        upsideDown.map(([key, { from, to }]) => ({ path: `/leanings/asks/${key}/from`, message: `is ${from}, above the upper end ${to}` })),
      )
    return async (tx) => {
      const repository = createLeaningsRepository(tx, now)
      const record = await repository.set(kitchen.id, revision, leanings)
      if (record) return record
      throw new RequestFailure('conflict', 'The leanings were changed elsewhere. Both versions are here.', {
        current: await repository.get(kitchen.id),
        sent: input,
      })
    }
  },
})
