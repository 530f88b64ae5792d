import { and, eq, gte, isNull, sql } from 'drizzle-orm'
import { addDays, groupBy, layEndToEnd, sortQuotes, type PriceSeries } from '@tender-gill/core'
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
    const keyOf = ({ species, form, origin, state, part, currency }: (typeof rows)[number]): string =>
      `${species}|${form}|${origin}|${state}|${part}|${currency}`
    return [...groupBy(rows, keyOf).values()].flatMap((own): readonly PriceSeries[] => {
      const [first] = own
      if (!first) return []
      const { species, form, origin, state, part, currency } = first
      const quotes = sortQuotes(layEndToEnd(own.map(({ packed, merchant }) => unpackQuotes(packed, sayOpen(merchant)))))
      return [{ species, form, origin: sayOpen(origin), state: sayOpen(state), part: sayOpen(part), currency, quotes }]
    })
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
