import { and, eq, inArray, isNull, notExists, or, sql } from 'drizzle-orm'
import type { Price } from '@tender-gill/contract'
import { splitQuotes } from '@tender-gill/core'
import type { Database } from '../database/openDatabase.ts'
import { priceLists, priceSeries, quotes } from '../database/schema/index.ts'
import { toPrice } from '../priceLists/quoteRows.ts'
import { packQuotes } from './packQuotes.ts'

/** The first day of the quarter of a year that a day lies in. */
export function quarterOf(date: string): string {
  const month = Number(date.slice(5, 7))
  return `${date.slice(0, 5)}${String(month - ((month - 1) % 3)).padStart(2, '0')}-01`
}

type Chunk = typeof priceSeries.$inferInsert

/** Quotes as rows of the table: apart by kind, merchant and quarter. */
function toChunks(kitchenId: string, prices: readonly Price[]): readonly Chunk[] {
  const apart = new Map<string, Price[]>()
  for (const price of prices) {
    const key = `${quarterOf(price.date ?? '')}|${price.merchant ?? ''}`
    const own = apart.get(key)
    if (own) own.push(price)
    else apart.set(key, [price])
  }
  return [...apart.values()].flatMap((own) => {
    const { date = '', merchant = '' } = own[0] ?? {}
    return splitQuotes(own, date).map(({ kind: { species, form, origin, state, part, currency }, quotes: told }): Chunk => ({
      ...{ kitchenId, species, form, origin: origin ?? '', state: state ?? '', part: part ?? '', currency, merchant },
      ...{ quarter: quarterOf(date), packed: packQuotes(told) },
    }))
  })
}

/** The price series of kitchens, kept in step with the lists that count: every change of those calls `add` or `lay` in its transaction. */
export function createPriceSeriesRepository(db: Database) {
  const add = async (kitchenId: string, prices: readonly Price[]): Promise<void> => {
    const chunks = toChunks(kitchenId, prices)
    for (let from = 0; from < chunks.length; from += 2_000)
      await db
        .insert(priceSeries)
        .values(chunks.slice(from, from + 2_000))
        .onConflictDoUpdate({
          target: [
            ...[priceSeries.kitchenId, priceSeries.quarter, priceSeries.species, priceSeries.form, priceSeries.origin],
            ...[priceSeries.state, priceSeries.part, priceSeries.currency, priceSeries.merchant],
          ],
          set: { packed: sql`${priceSeries.packed} || excluded.packed` },
        })
  }
  /** Quotes of the lists of a kitchen that count. */
  const counting = (kitchenId: string) =>
    and(
      eq(quotes.kitchenId, kitchenId),
      sql`exists (select 1 from ${priceLists} where ${priceLists.kitchenId} = ${quotes.kitchenId}
        and ${priceLists.id} = ${quotes.listId} and ${priceLists.takenBackAt} is null)`,
    )
  return {
    /** Quotes of a list that counts from now on. */
    add,
    /** Lays anew what some lists, or all of a kitchen's, have a part in: one of them counts no more, or again, or reads otherwise. */
    lay: async (kitchenId: string, lists?: readonly string[]): Promise<void> => {
      const touched = lists
        ? await db
            .selectDistinct({
              merchant: sql<string>`coalesce(${quotes.merchant}, '')`,
              quarter: sql<string>`date_trunc('quarter', ${quotes.date})::date::text`,
            })
            .from(quotes)
            .where(and(eq(quotes.kitchenId, kitchenId), inArray(quotes.listId, [...lists])))
        : undefined
      if (touched?.length === 0) return
      const among = (merchant: unknown, quarter: unknown) =>
        touched && or(...touched.map((one) => sql`(${merchant} = ${one.merchant} and ${quarter} = ${one.quarter}::date)`))
      await db.delete(priceSeries).where(and(eq(priceSeries.kitchenId, kitchenId), among(priceSeries.merchant, priceSeries.quarter)))
      const rows = await db
        .select()
        .from(quotes)
        .where(and(counting(kitchenId), among(sql`coalesce(${quotes.merchant}, '')`, sql`date_trunc('quarter', ${quotes.date})::date`)))
      await add(kitchenId, rows.map(toPrice))
    },
    /** Lays the series of kitchens that have lists and no series: those of an earlier version. */
    layMissing: async (): Promise<void> => {
      const missing = await db
        .selectDistinct({ id: priceLists.kitchenId })
        .from(priceLists)
        .where(
          and(
            isNull(priceLists.takenBackAt),
            notExists(
              db
                .select({ one: sql`1` })
                .from(priceSeries)
                .where(eq(priceSeries.kitchenId, priceLists.kitchenId)),
            ),
          ),
        )
      const repository = createPriceSeriesRepository(db)
      for (const { id } of missing) await repository.lay(id)
    },
  }
}
