import { and, asc, desc, eq, gt } from 'drizzle-orm'
import type { EntryAct } from '@tender-gill/contract'
import type { Database } from '../database/openDatabase.ts'
import { entryActs } from '../database/schema/index.ts'

/** What is to be done in the book; when is the server's to say. */
export type NewAct = Pick<EntryAct, 'about' | 'act' | 'entry'>

type Row = Pick<typeof entryActs.$inferSelect, 'about' | 'act' | 'entry' | 'writtenAt'>
const toAct = ({ about, act, entry, writtenAt }: Row): EntryAct => ({ about, act, entry, writtenAt: writtenAt.toISOString() })

/** Rows written with one statement: parameters of a statement are counted in 16 bits. */
const ROWS_AT_ONCE = 1000

/** The acts of a kitchen's book: added and read, never changed. */
export function createEntryRepository(db: Database, now: () => Date) {
  const own = (kitchenId: string, about: string) => and(eq(entryActs.kitchenId, kitchenId), eq(entryActs.about, about))
  return {
    /** Acts after the one that was read last, in their order. */
    listSince: async (kitchenId: string, seq: number): Promise<{ readonly acts: readonly EntryAct[]; readonly seq: number }> => {
      const rows = await db
        .select()
        .from(entryActs)
        .where(and(eq(entryActs.kitchenId, kitchenId), gt(entryActs.seq, seq)))
        .orderBy(asc(entryActs.seq))
      return { acts: rows.map(toAct), seq: rows.at(-1)?.seq ?? seq }
    },
    listAbout: async (kitchenId: string, about: string): Promise<readonly EntryAct[]> =>
      (await db.select().from(entryActs).where(own(kitchenId, about)).orderBy(asc(entryActs.seq))).map(toAct),
    listBroughtBy: async (kitchenId: string, importId: string): Promise<readonly EntryAct[]> =>
      (
        await db
          .select()
          .from(entryActs)
          .where(and(eq(entryActs.kitchenId, kitchenId), eq(entryActs.broughtBy, importId)))
          .orderBy(asc(entryActs.seq))
      ).map(toAct),
    /** What was written of a line last; undefined where nobody wrote it, or it was withdrawn. */
    findWritten: async (kitchenId: string, about: string): Promise<EntryAct['entry'] | undefined> => {
      const rows = await db.select().from(entryActs).where(own(kitchenId, about)).orderBy(desc(entryActs.seq))
      return rows.find(({ act }) => act === 'write' || act === 'withdraw')?.entry ?? undefined
    },
    add: async (kitchenId: string, acts: readonly NewAct[], broughtBy: string | null = null): Promise<void> => {
      for (let from = 0; from < acts.length; from += ROWS_AT_ONCE)
        await db
          .insert(entryActs)
          .values(acts.slice(from, from + ROWS_AT_ONCE).map((act) => ({ ...act, kitchenId, writtenAt: now(), broughtBy })))
    },
  }
}
export type EntryRepository = ReturnType<typeof createEntryRepository>
