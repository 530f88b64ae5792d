import { customType, integer, text, timestamp } from 'drizzle-orm/pg-core'

/** Bytes, as a column. */
export const bytea = customType<{ data: Buffer }>({ dataType: () => 'bytea' })

export const recordColumns = {
  kitchenId: text().notNull(),
  id: text().notNull(),
  revision: integer().notNull().default(1),
  updatedAt: timestamp({ withTimezone: true, mode: 'date' }).notNull(),
  deletedAt: timestamp({ withTimezone: true, mode: 'date' }),
}
