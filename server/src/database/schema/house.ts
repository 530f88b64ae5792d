import { sql } from 'drizzle-orm'
import { boolean, date, foreignKey, index, integer, jsonb, pgTable, primaryKey, text, timestamp, uniqueIndex } from 'drizzle-orm/pg-core'
import type { Absence, AbsenceReason, HouseLeanings } from '@tender-gill/contract'
import { recordColumns } from './columns.ts'
import { kitchens } from './kitchens.ts'

/** Species in a house's hand: what differs from the shipped book, or the whole of one the book has not. One live row a species. */
export const houseSpecies = pgTable(
  'house_species',
  {
    ...recordColumns,
    species: text().notNull(),
    hidden: boolean().notNull().default(false),
    patch: jsonb(),
    /** The import that brought this row in, and the one that put another in its place: so that an import can be taken back whole. */
    broughtBy: text(),
    replacedBy: text(),
  },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
    uniqueIndex('house_species_live')
      .on(table.kitchenId, table.species)
      .where(sql`${table.deletedAt} is null`),
  ],
)

/** How a house leans; one row a kitchen. */
export const leanings = pgTable(
  'leanings',
  {
    kitchenId: text().primaryKey(),
    revision: integer().notNull(),
    leanings: jsonb().$type<HouseLeanings>().notNull(),
    updatedAt: timestamp({ withTimezone: true, mode: 'date' }).notNull(),
  },
  (table) => [foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] })],
)

/** Fish a kitchen does without for some days, with the dishes that were moved by it. */
export const absences = pgTable(
  'absences',
  {
    kitchenId: text().notNull(),
    id: text().notNull(),
    species: text().notNull(),
    common: text().notNull(),
    /** One offer alone; null where all of the species is missing. */
    offerId: text(),
    because: text().$type<AbsenceReason>(),
    /** Both days count. */
    fromDay: date({ mode: 'string' }).notNull(),
    toDay: date({ mode: 'string' }).notNull(),
    markedAt: timestamp({ withTimezone: true, mode: 'date' }).notNull(),
    takenBackAt: timestamp({ withTimezone: true, mode: 'date' }),
    moves: jsonb().$type<Absence['moves']>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    index('absences_until')
      .on(table.kitchenId, table.toDay)
      .where(sql`${table.takenBackAt} is null`),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
  ],
)
