import { and, eq, gte, isNull, sql } from 'drizzle-orm'
import { addDays, gatherSeries, type PriceSeries, type SeriesQuote } from '@tender-gill/core'
import type { Database } from '../database/openDatabase.ts'
import { priceLists, priceSeries } from '../database/schema/index.ts'
import { createLeastRecent } from '../sheets/leastRecent.ts'
import { unpackQuotes } from './packQuotes.ts'
import { quarterOf } from './priceSeriesRepository.ts'

/** Days of lists that count: quotes live a year, and a year ago must still be seen. */
const DAYS_THAT_COUNT = 800
/** Kitchens whose series are kept in memory. */
const MOST_KITCHENS = 12

/** What merchants' lists say of prices, and the name of exactly that. */
export interface ListedPrices {
  /** Null where no list counts. */
  readonly stamp: string | null
  readonly series: readonly PriceSeries[]
}

/** What quotes leave open is kept as an empty text. */
const sayOpen = <T extends string>(value: T | ''): T | null => (value === '' ? null : value)

/** Reads what lists say of prices; kept in memory for as long as it is the same. */
export function createListedPrices(db: Database): (kitchenId: string, today: string) => Promise<ListedPrices> {
  const kept = createLeastRecent<ListedPrices>(MOST_KITCHENS)
  const readRows = async (query: Database, kitchenId: string, since: string): Promise<readonly PriceSeries[]> => {
    const rows = await query
      .select()
      .from(priceSeries)
      .where(and(eq(priceSeries.kitchenId, kitchenId), gte(priceSeries.quarter, since)))
      .orderBy(priceSeries.merchant, priceSeries.quarter)
    const kinds = new Map<string, { readonly kind: Omit<PriceSeries, 'days'>; readonly quotes: SeriesQuote[] }>()
    for (const { species, form, origin, state, part, currency, merchant, packed } of rows) {
      const key = `${species}|${form}|${origin}|${state}|${part}|${currency}`
      const kind = { species, form, origin: sayOpen(origin), state: sayOpen(state), part: sayOpen(part), currency }
      const own = kinds.get(key) ?? { kind, quotes: [] }
      kinds.set(key, own)
      own.quotes.push(...unpackQuotes(packed, sayOpen(merchant)))
    }
    return [...kinds.values()].map(({ kind, quotes }) => ({ ...kind, days: gatherSeries(quotes) }))
  }
  return async (kitchenId: string, today: string): Promise<ListedPrices> => {
    const since = quarterOf(addDays(today, -DAYS_THAT_COUNT))
    // Both at one moment, so that no stamp names what it does not.
    return db.transaction(
      async (tx) => {
        const [row] = await tx
          .select({
            stamp: sql<string | null>`md5(string_agg(${priceLists.contentHash}, ',' order by ${priceLists.date}, ${priceLists.id}))`,
          })
          .from(priceLists)
          .where(and(eq(priceLists.kitchenId, kitchenId), isNull(priceLists.takenBackAt), gte(priceLists.date, since)))
        const stamp = row?.stamp ?? null
        if (stamp === null) return { stamp, series: [] }
        const key = `${kitchenId}|${since}|${stamp}`
        return kept.find(key) ?? kept.keep(key, { stamp, series: await readRows(tx, kitchenId, since) })
      },
      { isolationLevel: 'repeatable read', accessMode: 'read only' },
    )
  }
}
