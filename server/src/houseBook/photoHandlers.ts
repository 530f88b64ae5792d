import { and, eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { photos } from '../database/schema/index.ts'
import { Answered } from '../http/answered.ts'
import { notFound } from '../http/errors.ts'
import type { HandlersOf } from '../http/serveOperations.ts'

/** Small pictures of what was served: kept under the id their sender made, and never changed. */
export const createPhotoHandlers = (db: Database, now: () => Date): HandlersOf<'keepPhoto' | 'photo'> => ({
  keepPhoto:
    async ({ kitchen, input: { id, jpeg } }) =>
    async (tx) => {
      const kept = await tx
        .insert(photos)
        .values({ kitchenId: kitchen.id, id, jpeg: Buffer.from(jpeg, 'base64'), keptAt: now() })
        .onConflictDoNothing()
        .returning({ id: photos.id })
      return { changed: kept.length }
    },
  photo: async ({ kitchen, params: { id } }) => {
    const [row] = await db
      .select({ jpeg: photos.jpeg })
      .from(photos)
      .where(and(eq(photos.kitchenId, kitchen.id), eq(photos.id, id)))
    if (!row) throw notFound('No such picture')
    return new Answered(row.jpeg, { headers: { 'Content-Type': 'image/jpeg', 'Cache-Control': 'private, max-age=31536000, immutable' } })
  },
})
