import { doublePrecision, foreignKey, index, jsonb, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core'
import type { ColdPlace, Look, Lot } from '@tender-gill/contract'
import { recordColumns } from './columns.ts'
import { kitchens } from './kitchens.ts'

const moment = () => timestamp({ withTimezone: true, mode: 'date' }).notNull()

/** Fish that was looked at, as one document. */
export const looks = pgTable('looks', { ...recordColumns, at: moment(), look: jsonb().$type<Look>().notNull() }, (table) => [
  primaryKey({ columns: [table.kitchenId, table.id] }),
  foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
  index('looks_at').on(table.kitchenId, table.at),
])

/** Fish that came in, and how it has been kept, as one document. */
export const lots = pgTable('lots', { ...recordColumns, boughtAt: moment(), lot: jsonb().$type<Lot>().notNull() }, (table) => [
  primaryKey({ columns: [table.kitchenId, table.id] }),
  foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
  index('lots_bought').on(table.kitchenId, table.boughtAt),
])

export const coldPlaces = pgTable('cold_places', { ...recordColumns, place: jsonb().$type<ColdPlace>().notNull() }, (table) => [
  primaryKey({ columns: [table.kitchenId, table.id] }),
  foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
])

/** How warm it was in a place: as it was sent, never changed. */
export const coldReadings = pgTable(
  'cold_readings',
  { kitchenId: text().notNull(), placeId: text().notNull(), at: moment(), celsius: doublePrecision().notNull() },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.placeId, table.at] }),
    foreignKey({ columns: [table.kitchenId, table.placeId], foreignColumns: [coldPlaces.kitchenId, coldPlaces.id] }).onDelete('cascade'),
    index('cold_readings_at').on(table.kitchenId, table.at),
  ],
)
