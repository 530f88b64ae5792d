import { sql } from 'drizzle-orm'
import {
  date,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
} from 'drizzle-orm/pg-core'
import type { BadRow, Form, ListReading, OpenName, Price } from '@tender-gill/contract'
import { bytea } from './columns.ts'
import { kitchens } from './kitchens.ts'
import { merchants } from './market.ts'

/** A merchant's list of one day: its rows never change, it is only taken back and put back. */
export const priceLists = pgTable(
  'price_lists',
  {
    kitchenId: text().notNull(),
    id: text().notNull(),
    merchantId: text().notNull(),
    date: date({ mode: 'string' }).notNull(),
    source: text().$type<'file' | 'feed'>().notNull(),
    fileName: text(),
    keptAt: timestamp({ withTimezone: true, mode: 'date' }).notNull(),
    takenBackAt: timestamp({ withTimezone: true, mode: 'date' }),
    /** As it came, to be read again when a waiting name is settled. */
    text: text().notNull(),
    reading: jsonb().$type<ListReading>().notNull(),
    textHash: text().notNull(),
    /** SHA-256 of the text and of how it was read: the same list twice is one list. */
    contentHash: text().notNull(),
    bad: jsonb().$type<readonly BadRow[]>().notNull(),
    open: jsonb().$type<readonly OpenName[]>().notNull(),
    quoteCount: integer().notNull(),
    badCount: integer().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    foreignKey({ columns: [table.kitchenId, table.merchantId], foreignColumns: [merchants.kitchenId, merchants.id] }),
    index('price_lists_day')
      .on(table.kitchenId, table.date)
      .where(sql`${table.takenBackAt} is null`),
    index('price_lists_merchant').on(table.kitchenId, table.merchantId, table.date),
    uniqueIndex('price_lists_content')
      .on(table.kitchenId, table.contentHash)
      .where(sql`${table.takenBackAt} is null`),
  ],
)

/** Rows of merchants' lists, each in its place. */
export const quotes = pgTable(
  'quotes',
  {
    kitchenId: text().notNull(),
    listId: text().notNull(),
    line: integer().notNull(),
    species: text().notNull(),
    form: text().$type<Form>().notNull(),
    origin: text().$type<Price['origin']>(),
    state: text().$type<Price['state']>(),
    part: text().$type<Price['part']>(),
    grade: text(),
    merchant: text(),
    date: date({ mode: 'string' }).notNull(),
    price: doublePrecision().notNull(),
    currency: text().notNull(),
    unit: text().$type<Price['unit']>().notNull(),
    eachG: doublePrecision(),
    minimumKg: doublePrecision(),
    glaze: doublePrecision(),
  },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.listId, table.line] }),
    foreignKey({ columns: [table.kitchenId, table.listId], foreignColumns: [priceLists.kitchenId, priceLists.id] }).onDelete('cascade'),
    index('quotes_of_species').on(table.kitchenId, table.species, table.date),
  ],
)

/**
 * Quotes of lists that count, kept as the series that prices are estimated from: one row a kind of fish, a merchant and a quarter of a year.
 * All of it follows from the quotes; it is kept so that years of lists need not be read again for one day.
 */
export const priceSeries = pgTable(
  'price_series',
  {
    kitchenId: text().notNull(),
    species: text().notNull(),
    form: text().$type<Form>().notNull(),
    /** Empty where the quotes leave it open. */
    origin: text().$type<NonNullable<Price['origin']> | ''>().notNull(),
    state: text().$type<NonNullable<Price['state']> | ''>().notNull(),
    part: text().$type<NonNullable<Price['part']> | ''>().notNull(),
    currency: text().notNull(),
    merchant: text().notNull(),
    /** Its first day. */
    quarter: date({ mode: 'string' }).notNull(),
    packed: bytea().notNull(),
  },
  (table) => [
    primaryKey({
      name: 'price_series_pk',
      columns: [
        ...([table.kitchenId, table.quarter, table.species, table.form, table.origin, table.state, table.part] as const),
        ...([table.currency, table.merchant] as const),
      ],
    }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
  ],
)

/** What a name on a list stands for in this kitchen; null where it is not fish. */
export const settledNames = pgTable('settled_names', { kitchenId: text().notNull(), name: text().notNull(), species: text() }, (table) => [
  primaryKey({ columns: [table.kitchenId, table.name] }),
  foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
])
