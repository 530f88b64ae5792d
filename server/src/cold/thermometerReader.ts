import { and, desc, eq, isNull, sql } from 'drizzle-orm'
import { EventSource } from 'eventsource'
import { commitChange } from '../commands/index.ts'
import type { OpenDatabase } from '../database/openDatabase.ts'
import { coldPlaces, coldReadings } from '../database/schema/index.ts'

/** Readings are asked for this often, whatever the stream says: what it lost is fetched. */
const EVERY_MS = 10 * 60_000
const PATIENCE_MS = 5_000
/** More readings than this of one thermometer are not taken at once. */
const MOST = 2_000

interface Reading {
  readonly at: string
  readonly celsius: number
}
interface Options {
  readonly db: OpenDatabase['db']
  readonly now: () => Date
  /** Where the thermometers are asked, and where they tell what they read. */
  readonly url: string
  readonly onProblem: (error: unknown) => void
}

const isReading = (value: unknown): value is Reading => {
  const { at, celsius } = (value ?? {}) as Partial<Reading>
  return typeof at === 'string' && !Number.isNaN(Date.parse(at)) && typeof celsius === 'number' && celsius >= -60 && celsius <= 60
}

/**
 * Reads thermometers as outside devices for every place that names one: what they remember since the last reading that is kept, and what
 * their stream tells. What makes no sense, or lies ahead of the clock, is passed over.
 */
export function createThermometerReader({ db, now, url, onProblem }: Options) {
  const listPlaces = (name?: string) =>
    db
      .select({ kitchenId: coldPlaces.kitchenId, id: coldPlaces.id, thermometer: sql<string>`${coldPlaces.place}->>'thermometer'` })
      .from(coldPlaces)
      .where(
        and(
          isNull(coldPlaces.deletedAt),
          sql`${coldPlaces.place}->>'thermometer' is not null`,
          ...(name === undefined ? [] : [sql`${coldPlaces.place}->>'thermometer' = ${name}`]),
        ),
      )
  const keep = async (kitchenId: string, placeId: string, readings: readonly Reading[]): Promise<void> => {
    const sound = readings.filter((one) => isReading(one) && Date.parse(one.at) <= now().getTime()).slice(-MOST)
    if (sound.length === 0) return
    const order = { kitchenId, actor: null, touches: ['coldReading' as const], key: null }
    await commitChange({ db, now }, order, async (tx) => {
      await tx
        .insert(coldReadings)
        .values(sound.map(({ at, celsius }) => ({ kitchenId, placeId, at: new Date(at), celsius })))
        .onConflictDoNothing()
      return { status: 200, headers: {}, body: {} }
    })
  }
  return {
    /** Fetches what every thermometer remembers since the last reading that is kept. */
    readAll: async (): Promise<void> => {
      for (const { kitchenId, id, thermometer } of await listPlaces()) {
        try {
          const [last] = await db
            .select({ at: coldReadings.at })
            .from(coldReadings)
            .where(and(eq(coldReadings.kitchenId, kitchenId), eq(coldReadings.placeId, id)))
            .orderBy(desc(coldReadings.at))
            .limit(1)
          const since = last ? `?since=${last.at.toISOString()}` : ''
          const answer = await fetch(`${url}/thermometers/${encodeURIComponent(thermometer)}/readings${since}`, {
            ...{ redirect: 'error' as const, signal: AbortSignal.timeout(PATIENCE_MS) },
          })
          if (!answer.ok) throw new Error(`the thermometer ${thermometer} answered ${answer.status}`)
          const told: unknown = await answer.json()
          await keep(kitchenId, id, Array.isArray(told) ? (told as Reading[]) : [])
        } catch (error) {
          onProblem(error)
        }
      }
    },
    /** Keeps what the stream told of one thermometer. */
    hear: async (said: unknown): Promise<void> => {
      const { name } = (said ?? {}) as { name?: unknown }
      if (typeof name !== 'string') return
      for (const { kitchenId, id } of await listPlaces(name)) await keep(kitchenId, id, [said as Reading])
    },
  }
}
export type ThermometerReader = ReturnType<typeof createThermometerReader>

/** Lets a reader run: at once, every so often, and whenever the stream tells something. @returns how to stop it */
export function runThermometerReader(reader: ThermometerReader, { url, onProblem }: Pick<Options, 'url' | 'onProblem'>): () => void {
  const read = () => void reader.readAll().catch(onProblem)
  read()
  const timer = setInterval(read, EVERY_MS)
  const source = new EventSource(`${url}/stream`, { fetch: (address, init) => fetch(address, { ...init, redirect: 'error' }) })
  source.addEventListener('reading', ({ data }: { readonly data: unknown }) => {
    try {
      void reader.hear(JSON.parse(String(data))).catch(onProblem)
    } catch (error) {
      onProblem(error)
    }
  })
  return () => {
    clearInterval(timer)
    source.close()
  }
}
