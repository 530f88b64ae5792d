import { sql } from 'drizzle-orm'
import { date, doublePrecision, foreignKey, index, jsonb, numeric, pgTable, primaryKey, text, uniqueIndex } from 'drizzle-orm/pg-core'
import type { Form, Merchant, Origin, Part, PriceUnit, Purchase, RestUsed, Season, State, Stock } from '@tender-gill/contract'
import { recordColumns } from './columns.ts'
import { kitchens } from './kitchens.ts'

export const prices = pgTable(
  'prices',
  {
    ...recordColumns,
    merchant: text(),
    date: date({ mode: 'string' }),
    species: text().notNull(),
    origin: text().$type<Origin>(),
    state: text().$type<State>(),
    part: text().$type<Part>(),
    form: text().$type<Form>().notNull(),
    grade: text(),
    amount: numeric({ mode: 'number' }).notNull(),
    currency: text().notNull(),
    unit: text().$type<PriceUnit>().notNull(),
    eachG: doublePrecision(),
    minimumKg: doublePrecision(),
    glaze: doublePrecision(),
  },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
  ],
)

/** A species' year in one water: landings, condition, closures, as one document. */
export const seasons = pgTable(
  'seasons',
  { ...recordColumns, species: text().notNull(), water: text().notNull(), season: jsonb().$type<Season>().notNull() },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
    uniqueIndex('seasons_live')
      .on(table.kitchenId, table.species, table.water, sql`coalesce(${table.season}->>'gear', '')`)
      .where(sql`${table.deletedAt} is null`),
  ],
)

/** What a kitchen keeps on one stock, as one document. */
export const stocks = pgTable(
  'stocks',
  { ...recordColumns, species: text().notNull(), stock: jsonb().$type<Stock>().notNull() },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
    uniqueIndex('stocks_live')
      .on(
        table.kitchenId,
        table.species,
        sql`coalesce(${table.stock}->>'water', '')`,
        sql`coalesce(${table.stock}->>'origin', 'wild')`,
        sql`coalesce(${table.stock}->>'gear', '')`,
      )
      .where(sql`${table.deletedAt} is null`),
  ],
)

/** A merchant of a kitchen, as one document. */
export const merchants = pgTable('merchants', { ...recordColumns, merchant: jsonb().$type<Merchant>().notNull() }, (table) => [
  primaryKey({ columns: [table.kitchenId, table.id] }),
  foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
])

/** What was ordered and bought, as one document; one for each line of a buy sheet. */
export const purchases = pgTable(
  'purchases',
  {
    ...recordColumns,
    line: text().notNull(),
    date: date({ mode: 'string' }).notNull(),
    purchase: jsonb().$type<Purchase>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
    index('purchases_day').on(table.kitchenId, table.date),
    uniqueIndex('purchases_live')
      .on(table.kitchenId, table.line)
      .where(sql`${table.deletedAt} is null`),
  ],
)

/** Where the rest of a fish goes: each part of what a serving buys once. */
export const restUses = pgTable(
  'rest_uses',
  { ...recordColumns, servingId: text().notNull(), part: text().$type<RestUsed>().notNull(), toServing: text() },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
    uniqueIndex('rest_uses_live')
      .on(table.kitchenId, table.servingId, table.part)
      .where(sql`${table.deletedAt} is null`),
  ],
)

/** What a currency was worth in the kitchen's own, from a day on. */
export const rates = pgTable(
  'rates',
  { ...recordColumns, currency: text().notNull(), date: date({ mode: 'string' }).notNull(), worth: numeric({ mode: 'number' }).notNull() },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
  ],
)
