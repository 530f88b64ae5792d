import { and, eq, lt, sql } from 'drizzle-orm'
import type { Entity } from '@tender-gill/contract'
import { DAY_MS } from '@tender-gill/core'
import type { Database, OpenDatabase } from '../database/openDatabase.ts'
import { changes, commands, kitchens } from '../database/schema/index.ts'
import { RequestFailure, notFound } from '../http/errors.ts'

/** An answer as it went out, to be given again to whoever sends the same command again. */
export interface Told {
  readonly status: number
  readonly headers: Readonly<Record<string, string>>
  readonly body: unknown
}

/** What a commit may say it touched beyond what its operation declares: the id of one record. */
export type Touch = (entity: Entity, id?: string) => void

export interface ChangeOrder {
  readonly kitchenId: string
  /** Who asked: the page or program that sent the command; null for the server itself. */
  readonly actor: string | null
  readonly touches: readonly Entity[]
  /** The key its sender made, with a hash of what was asked; null where a command may be carried out twice. */
  readonly key: { readonly name: string; readonly asked: string } | null
}

/** Channel on which a change is told once it is kept. */
export const CHANGES_CHANNEL = 'tender_gill_changes'
/** A note of PostgreSQL may be 8,000 bytes: with more records than this, kinds alone are told. */
const MOST_IDS_TOLD = 60
const TRIES = 3
/** Days after which a command that is sent again is a new one. */
const KEY_DAYS = 30

/** Deadlock, or a transaction that could not be put in order with another. */
const AGAIN = new Set(['40P01', '40001'])
function wantsAgain(error: unknown, depth = 0): boolean {
  if (depth > 5 || typeof error !== 'object' || error === null) return false
  const { code, cause } = error as { code?: unknown; cause?: unknown }
  return AGAIN.has(String(code)) || wantsAgain(cause, depth + 1)
}

/**
 * Carries out a change of one kitchen in one transaction: its version is raised first, so that changes of a kitchen stand in line and no
 * two of them wait for each other in a ring; then the work; then the log of what was touched, and the answer under its key. All of it is
 * kept or nothing, and everybody who listens is told once it is.
 * @throws RequestFailure 404 for a kitchen that is not there, 400 for a key used for something else, and whatever the work throws
 */
export async function commitChange(
  { db, now }: { readonly db: OpenDatabase['db']; readonly now: () => Date },
  { kitchenId, actor, touches, key }: ChangeOrder,
  work: (tx: Database, touch: Touch) => Promise<Told>,
): Promise<Told> {
  for (let tries = 1; ; tries += 1)
    try {
      return await db.transaction(async (tx) => {
        const [kitchen] = await tx
          .update(kitchens)
          .set({ version: sql`${kitchens.version} + 1` })
          .where(eq(kitchens.id, kitchenId))
          .returning({ version: kitchens.version })
        if (!kitchen) throw notFound(`No kitchen "${kitchenId}"`)
        const told = key && (await readTold(tx, kitchenId, key))
        if (told) return told
        const touched = new Map<string, readonly [Entity, string]>(touches.map((entity) => [entity, [entity, '']]))
        const answer = await work(tx, (entity, id = '') => touched.set(`${entity} ${id}`, [entity, id]))
        const rows = [...touched.values()]
        await tx
          .insert(changes)
          .values(rows.map(([entity, entityId]) => ({ kitchenId, version: kitchen.version, entity, entityId, actor, at: now() })))
        if (key) await tx.insert(commands).values({ kitchenId, key: key.name, asked: key.asked, at: now(), ...answer })
        const note = {
          kitchenId,
          version: kitchen.version,
          actor,
          touched: rows.length > MOST_IDS_TOLD ? rows.filter(([, id]) => id === '') : rows,
        }
        await tx.execute(sql`select pg_notify(${CHANGES_CHANNEL}, ${JSON.stringify(note)})`)
        return answer
      })
    } catch (error) {
      if (!wantsAgain(error)) throw error
      if (tries >= TRIES) throw new RequestFailure('conflict', 'Others changed the same at the same moment. Nothing was kept; try again.')
    }
}

async function readTold(tx: Database, kitchenId: string, key: NonNullable<ChangeOrder['key']>): Promise<Told | undefined> {
  const [row] = await tx
    .select()
    .from(commands)
    .where(and(eq(commands.kitchenId, kitchenId), eq(commands.key, key.name)))
  if (!row) return undefined
  if (row.asked !== key.asked)
    throw new RequestFailure('invalid', 'This key was used for another command.', {
      problems: [{ path: '', message: 'Idempotency-Key was used for another command' }],
    })
  return { status: row.status, headers: row.headers, body: row.body }
}

/** Forgets the keys of commands that nobody sends again any more. */
export const purgeCommands = async ({ db, now }: { readonly db: Database; readonly now: () => Date }): Promise<void> => {
  await db.delete(commands).where(lt(commands.at, new Date(now().getTime() - KEY_DAYS * DAY_MS)))
}
