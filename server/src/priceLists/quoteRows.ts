import type { Price } from '@tender-gill/contract'
import type { Database } from '../database/openDatabase.ts'
import { quotes } from '../database/schema/index.ts'

type QuoteRow = typeof quotes.$inferSelect

/** A row of a list as the price it tells: what it leaves open is left out. */
export function toPrice({ kitchenId: _kitchen, listId: _list, line: _line, ...row }: QuoteRow): Price {
  return Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null)) as Price
}

/** Rows written in one statement; a statement takes 65,535 values at most. */
const MOST_AT_ONCE = 3_000

/** Writes the rows of a list that has none. @param list its day counts for rows that name none */
export async function writeQuotes(
  db: Database,
  { kitchenId, listId, date }: { readonly kitchenId: string; readonly listId: string; readonly date: string },
  prices: readonly Price[],
): Promise<void> {
  const rows = prices.map(({ id: _id, ...price }, line) => ({ date, ...price, kitchenId, listId, line }))
  for (let from = 0; from < rows.length; from += MOST_AT_ONCE) await db.insert(quotes).values(rows.slice(from, from + MOST_AT_ONCE))
}
