import { and, asc, desc, eq, gt, isNull, like, notInArray, or } from 'drizzle-orm'
import type { EntryAct } from '@tender-gill/contract'
import type { Database } from '../database/openDatabase.ts'
import { entryActs } from '../database/schema/index.ts'

/** What is to be done in the book; when is the server's to say. */
export type NewAct = Pick<EntryAct, 'about' | 'act' | 'entry'>

type Row = Pick<typeof entryActs.$inferSelect, 'about' | 'act' | 'entry' | 'writtenAt'>
const toAct = ({ about, act, entry, writtenAt }: Row): EntryAct => ({ about, act, entry, writtenAt: writtenAt.toISOString() })

const FILE = 'import:'
/** What an act about a file that was brought in is about. */
export const aboutFile = (importId: string): string => `${FILE}${importId}`

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
    /** Acts about a line but for those that some files brought. */
    listAboutWithout: async (
      kitchenId: string,
      about: string,
      files: readonly string[],
    ): Promise<readonly (EntryAct & { readonly broughtBy: string | null })[]> => {
      const rows = await db
        .select()
        .from(entryActs)
        .where(and(own(kitchenId, about), or(isNull(entryActs.broughtBy), notInArray(entryActs.broughtBy, [...files]))))
        .orderBy(asc(entryActs.seq))
      return rows.map((row) => ({ ...toAct(row), broughtBy: row.broughtBy }))
    },
    /** Files that were taken back; that is an act, too, about the file. */
    listTakenBack: async (kitchenId: string): Promise<readonly string[]> => {
      const rows = await db
        .select({ about: entryActs.about })
        .from(entryActs)
        .where(and(eq(entryActs.kitchenId, kitchenId), eq(entryActs.act, 'withdraw'), like(entryActs.about, `${FILE}%`)))
      return rows.map(({ about }) => about.slice(FILE.length))
    },
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
