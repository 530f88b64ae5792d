import { randomUUID } from 'node:crypto'
import { and, asc, desc, eq, inArray, isNotNull, isNull, lte, ne, sql } from 'drizzle-orm'
import type { ListReading, Price, PriceList, PriceListDetail, SettledName } from '@tender-gill/contract'
import { nameContents } from '../contents/index.ts'
import type { Database } from '../database/openDatabase.ts'
import { merchants, priceLists, quotes, settledNames } from '../database/schema/index.ts'
import { createPriceSeriesRepository } from '../priceSeries/priceSeriesRepository.ts'
import { toPrice, writeQuotes } from './quoteRows.ts'
import { foldListName, type ListOnDay, type ReadList } from './readPriceList.ts'

export interface ListToKeep {
  readonly merchantId: string
  readonly date: string
  readonly source: 'file' | 'feed'
  readonly fileName: string | null
  readonly text: string
  readonly read: ReadList
}
/** A list read again: how it stood when it was read, and how it reads now. */
export interface ListReadAgain {
  readonly id: string
  readonly contentHash: string
  readonly read: ReadList
}

const columns = {
  id: priceLists.id,
  merchantId: priceLists.merchantId,
  date: priceLists.date,
  source: priceLists.source,
  fileName: priceLists.fileName,
  keptAt: priceLists.keptAt,
  quotes: priceLists.quoteCount,
  bad: priceLists.badCount,
  takenBackAt: priceLists.takenBackAt,
  merchant: sql<string>`${merchants.merchant}->>'name'`,
}
type Row = Omit<PriceList, 'keptAt' | 'takenBackAt'> & { readonly keptAt: Date; readonly takenBackAt: Date | null }
const toList = ({ keptAt, takenBackAt, ...row }: Row): PriceList => ({
  ...row,
  keptAt: keptAt.toISOString(),
  takenBackAt: takenBackAt?.toISOString() ?? null,
})

const contentOf = (read: ReadList) => ({ reading: read.reading, bad: read.bad, open: read.open })
const nameContent = (textHash: string, read: ReadList): string => nameContents([textHash, { ...contentOf(read), quotes: read.quotes }])
const counts = (read: ReadList) => ({ quoteCount: read.quotes.length, badCount: read.bad.length })

/** No other list with the same rows counts by now. */
const notStandingTwice = sql`not exists (
  select 1 from price_lists as other
  where other.kitchen_id = ${priceLists.kitchenId} and other.content_hash = ${priceLists.contentHash} and other.taken_back_at is null
)`

/** Merchants' lists: kept whole, taken back and put back, read again when a waiting name is settled. */
export function createPriceListRepository(db: Database, now: () => Date) {
  const series = createPriceSeriesRepository(db)
  const own = (kitchenId: string, id: string) => and(eq(priceLists.kitchenId, kitchenId), eq(priceLists.id, id))
  const from = (query: Database) =>
    query
      .select(columns)
      .from(priceLists)
      .innerJoin(merchants, and(eq(merchants.kitchenId, priceLists.kitchenId), eq(merchants.id, priceLists.merchantId)))
  const find = async (kitchenId: string, id: string): Promise<PriceList | undefined> => {
    const [row] = await from(db).where(own(kitchenId, id))
    return row && toList(row)
  }
  const readNames = async (kitchenId: string): Promise<ReadonlyMap<string, string | null>> => {
    const rows = await db.select().from(settledNames).where(eq(settledNames.kitchenId, kitchenId))
    return new Map(rows.map(({ name, species }) => [name, species]))
  }
  const rememberNames = async (kitchenId: string, names: readonly SettledName[]): Promise<void> => {
    if (names.length === 0) return
    await db
      .insert(settledNames)
      .values(names.map(({ name, species }) => ({ kitchenId, name: foldListName(name), species })))
      .onConflictDoUpdate({ target: [settledNames.kitchenId, settledNames.name], set: { species: sql`excluded.species` } })
  }
  const repository = {
    find,
    readNames,
    list: async (kitchenId: string): Promise<readonly PriceList[]> => {
      const rows = await from(db)
        .where(and(eq(priceLists.kitchenId, kitchenId), isNull(priceLists.takenBackAt)))
        .orderBy(desc(priceLists.date), desc(priceLists.keptAt), desc(priceLists.id))
        .limit(400)
      return rows.map(toList)
    },
    readDetail: async (kitchenId: string, id: string): Promise<PriceListDetail | undefined> => {
      const list = await find(kitchenId, id)
      const [row] = await db.select().from(priceLists).where(own(kitchenId, id))
      if (!list || !row) return undefined
      const told = await db
        .select()
        .from(quotes)
        .where(and(eq(quotes.kitchenId, kitchenId), eq(quotes.listId, id)))
        .orderBy(asc(quotes.line))
      return { list, quotes: told.map(toPrice), bad: [...row.bad], open: [...row.open] }
    },
    rememberNames,
    /**
     * Keeps a list with how it was read and what its names stand for, within the caller's transaction. The same text read in the same way is
     * the list that is there; read in another way it takes its place, and so does a later list of a feed on the same day.
     */
    keep: async (
      kitchenId: string,
      { merchantId, date, source, fileName, text, read }: ListToKeep,
      names: readonly SettledName[] = [],
    ): Promise<{ readonly list: PriceList; readonly same: boolean }> => {
      await rememberNames(kitchenId, names)
      const textHash = nameContents([merchantId, date, text])
      const contentHash = nameContent(textHash, read)
      const sameDay = await db
        .select({ id: priceLists.id, contentHash: priceLists.contentHash, textHash: priceLists.textHash, source: priceLists.source })
        .from(priceLists)
        .where(
          and(
            eq(priceLists.kitchenId, kitchenId),
            eq(priceLists.merchantId, merchantId),
            eq(priceLists.date, date),
            isNull(priceLists.takenBackAt),
          ),
        )
      const there = sameDay.find((one) => one.contentHash === contentHash)
      if (there) {
        const [row] = await from(db).where(own(kitchenId, there.id))
        if (row) return { list: toList(row), same: true }
      }
      const replaced = sameDay.filter((one) => one.textHash === textHash || (source === 'feed' && one.source === 'feed'))
      if (replaced.length > 0)
        await db
          .update(priceLists)
          .set({ takenBackAt: now() })
          .where(
            and(
              eq(priceLists.kitchenId, kitchenId),
              inArray(
                priceLists.id,
                replaced.map(({ id }) => id),
              ),
            ),
          )
      const id = randomUUID()
      await db.insert(priceLists).values({
        ...{ kitchenId, id, merchantId, date, source, fileName, text, textHash, contentHash, keptAt: now() },
        ...contentOf(read),
        ...counts(read),
      })
      await writeQuotes(db, { kitchenId, listId: id, date }, read.quotes)
      if (replaced.length > 0) await series.lay(kitchenId, [id, ...replaced.map((one) => one.id)])
      else
        await series.add(
          kitchenId,
          read.quotes.map((quote) => ({ date, ...quote })),
        )
      const [row] = await from(db).where(own(kitchenId, id))
      if (!row) throw new Error('a list that was just kept is not there')
      return { list: toList(row), same: false }
    },
    /** Remembers how a merchant's lists are read. It is no change of the merchant's own record: whoever edits that meets no other version. */
    rememberReading: async (kitchenId: string, merchantId: string, reading: ListReading): Promise<void> => {
      await db
        .update(merchants)
        .set({
          merchant: sql`jsonb_set(${merchants.merchant}, '{reading}', ${JSON.stringify(reading)}::jsonb)`,
        })
        .where(
          and(
            eq(merchants.kitchenId, kitchenId),
            eq(merchants.id, merchantId),
            ne(sql`coalesce(${merchants.merchant}->'reading', 'null'::jsonb)`, sql`${JSON.stringify(reading)}::jsonb`),
          ),
        )
    },
    /** Takes a list back, or puts it back unless the same list stands again by now; undefined when there is no such list. */
    setStanding: async (kitchenId: string, id: string, standing: boolean): Promise<PriceList | undefined> => {
      const changed = await db
        .update(priceLists)
        .set({ takenBackAt: standing ? null : now() })
        .where(
          and(own(kitchenId, id), standing ? and(isNotNull(priceLists.takenBackAt), notStandingTwice) : isNull(priceLists.takenBackAt)),
        )
        .returning({ id: priceLists.id })
      if (changed.length > 0) await series.lay(kitchenId, [id])
      return find(kitchenId, id)
    },
    /** The rows of each merchant's latest list that counts, dated on a day or before it. */
    listLatestQuotes: async (kitchenId: string, date: string): Promise<readonly Price[]> => {
      const latest = db
        .selectDistinctOn([priceLists.merchantId], { id: priceLists.id })
        .from(priceLists)
        .where(and(eq(priceLists.kitchenId, kitchenId), isNull(priceLists.takenBackAt), lte(priceLists.date, date)))
        .orderBy(priceLists.merchantId, desc(priceLists.date), desc(priceLists.keptAt))
      const rows = await db
        .select()
        .from(quotes)
        .where(and(eq(quotes.kitchenId, kitchenId), inArray(quotes.listId, latest)))
        .orderBy(quotes.listId, quotes.line)
      return rows.map(toPrice)
    },
    /** Lists on which some of these folded names wait, as they are to be read again. */
    listWaiting: async (
      kitchenId: string,
      asked: ReadonlySet<string>,
    ): Promise<readonly (ListOnDay & Pick<ListReadAgain, 'id' | 'contentHash'>)[]> => {
      const lists = await db
        .select({ list: priceLists, merchant: sql<string>`${merchants.merchant}->>'name'` })
        .from(priceLists)
        .innerJoin(merchants, and(eq(merchants.kitchenId, priceLists.kitchenId), eq(merchants.id, priceLists.merchantId)))
        .where(and(eq(priceLists.kitchenId, kitchenId), isNull(priceLists.takenBackAt), sql`jsonb_array_length(${priceLists.open}) > 0`))
      return lists
        .filter(({ list }) => list.open.some(({ name }) => asked.has(foldListName(name))))
        .map(({ list: { id, contentHash, text, date, reading }, merchant }) => ({ id, contentHash, text, date, reading, merchant }))
    },
    /** Puts a new reading in place of the one a list had; false when the list is no longer as it was read. */
    takeReading: async (kitchenId: string, { id, contentHash, read }: ListReadAgain): Promise<boolean> => {
      const [row] = await db.select({ textHash: priceLists.textHash, date: priceLists.date }).from(priceLists).where(own(kitchenId, id))
      if (!row) return false
      const changed = await db
        .update(priceLists)
        .set({ ...contentOf(read), ...counts(read), contentHash: nameContent(row.textHash, read) })
        .where(and(own(kitchenId, id), eq(priceLists.contentHash, contentHash)))
        .returning({ id: priceLists.id })
      if (changed.length === 0) return false
      await db.delete(quotes).where(and(eq(quotes.kitchenId, kitchenId), eq(quotes.listId, id)))
      await writeQuotes(db, { kitchenId, listId: id, date: row.date }, read.quotes)
      await series.lay(kitchenId, [id])
      return true
    },
  }
  return repository
}
export type PriceListRepository = ReturnType<typeof createPriceListRepository>
