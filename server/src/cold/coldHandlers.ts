import { and, asc, eq, gte } from 'drizzle-orm'
import type { ColdReading, LotRecord } from '@tender-gill/contract'
import { atHour, planUseFirst, SERVICE_HOUR, thinReadings } from '@tender-gill/core'
import type { HouseBooks } from '../book/houseBook.ts'
import { asFile } from '../http/answered.ts'
import { coldPlaceMapping, lotMapping } from '../records/mappings.ts'
import { createRecordRepository } from '../records/recordRepository.ts'
import { createServingRepository } from '../servings/servingRepository.ts'
import { writeCalendar } from '../calendar/writeCalendar.ts'
import { listTasks } from './listTasks.ts'
import { coldPlaces, coldReadings } from '../database/schema/index.ts'
import type { Database } from '../database/openDatabase.ts'
import { notFound, refuse } from '../http/errors.ts'
import type { HandlersOf } from '../http/serveOperations.ts'

/** Hours of readings before the oldest lot: what a place was like, where nothing lies in it. */
const HOURS_BEFORE = 26
/** A clock may go a little ahead of ours. */
const AHEAD_MS = 10 * 60_000

/** Readings of the places of a kitchen since a moment, place by place, the oldest first. */
export async function listReadings(db: Database, kitchenId: string, since: Date): Promise<readonly ColdReading[]> {
  const rows = await db
    .select()
    .from(coldReadings)
    .where(and(eq(coldReadings.kitchenId, kitchenId), gte(coldReadings.at, since)))
    .orderBy(asc(coldReadings.placeId), asc(coldReadings.at))
  return rows.map(({ placeId, at, celsius }) => ({ place: placeId, at: at.toISOString(), celsius }))
}

/** From when on readings count: since the oldest lot in the house was bought, so that no warm hour of its is ever forgotten; a day where none is. */
function sinceOldest(lots: readonly LotRecord[], now: Date): Date {
  const bought = lots.flatMap(({ lot }) => (lot.state === 'here' ? [Date.parse(lot.boughtAt)] : []))
  return new Date(Math.min(now.getTime(), ...bought) - HOURS_BEFORE * 3_600_000)
}

interface Deps {
  readonly db: Database
  readonly now: () => Date
  readonly books: Pick<HouseBooks, 'read'>
}

/** How warm it was where fish is kept: told, and taken from thermometers. */
export const createColdHandlers = ({ db, now, books }: Deps): HandlersOf<'coldReadings' | 'keepReadings' | 'coldCalendar'> => ({
  coldCalendar: async ({ kitchen }) => {
    const { id, today, zone } = kitchen
    const [lots, places, servings, { offers }] = await Promise.all([
      createRecordRepository(db, now, lotMapping).list(id),
      createRecordRepository(db, now, coldPlaceMapping).list(id),
      createServingRepository(db, now).list(id),
      books.read(id),
    ])
    const readings = await listReadings(db, id, sinceOldest(lots, now()))
    const eaten = servings.map(({ id: serving, brief: { dish, date } }) => ({
      ...{ id: serving, dish, eatenMs: date === undefined ? null : atHour(date, SERVICE_HOUR, zone) },
    }))
    const plan = planUseFirst({ lots, places, readings, servings: eaten, offers, nowMs: now().getTime() })
    const text = writeCalendar(kitchen, listTasks(plan, lots, now().getTime()), now(), { what: 'fish', product: 'cold' })
    return asFile(`fish-${today}.ics`, 'text/calendar', text)
  },
  coldReadings: async ({ kitchen, query: { since } }) => {
    const from =
      since === undefined
        ? sinceOldest(await createRecordRepository(db, now, lotMapping).list(kitchen.id), now())
        : new Date(`${since}T00:00:00Z`)
    return [...thinReadings(await listReadings(db, kitchen.id, from))]
  },
  keepReadings: async ({ kitchen, params: { id }, input: { readings } }) => {
    const late = readings.findIndex(({ at }) => new Date(at).getTime() > now().getTime() + AHEAD_MS)
    if (late >= 0) throw refuse([{ path: `/readings/${late}/at`, message: 'is still to come' }])
    return async (tx) => {
      const [place] = await tx
        .select({ deletedAt: coldPlaces.deletedAt })
        .from(coldPlaces)
        .where(and(eq(coldPlaces.kitchenId, kitchen.id), eq(coldPlaces.id, id)))
      if (!place || place.deletedAt) throw notFound('No such place')
      const kept = await tx
        .insert(coldReadings)
        .values(readings.map(({ at, celsius }) => ({ kitchenId: kitchen.id, placeId: id, at: new Date(at), celsius })))
        .onConflictDoNothing()
        .returning({ at: coldReadings.at })
      return { changed: kept.length }
    }
  },
})
