import { doublePrecision, foreignKey, integer, jsonb, pgTable, primaryKey, text, timestamp, uniqueIndex } from 'drizzle-orm/pg-core'
import type { Form, PortionCost } from '@tender-gill/contract'
import { bytea } from './columns.ts'
import { kitchens } from './kitchens.ts'

/** What decisions rest on, each under the SHA-256 of its canonical JSON; written once and never changed. Packed, or as text by earlier versions. */
export const blobs = pgTable('blobs', { kitchenId: text().notNull(), hash: text().notNull(), body: text(), packed: bytea() }, (table) => [
  primaryKey({ columns: [table.kitchenId, table.hash] }),
  foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
])

/** Decisions: never changed, only followed by the next revision. */
export const decisions = pgTable(
  'decisions',
  {
    kitchenId: text().notNull(),
    id: text().notNull(),
    servingId: text().notNull(),
    dish: text().notNull(),
    revision: integer().notNull(),
    decidedAt: timestamp({ withTimezone: true, mode: 'date' }).notNull(),
    species: text().notNull(),
    common: text().notNull(),
    offerId: text().notNull(),
    form: text().$type<Form>().notNull(),
    /** The others of a pot of several, by their common names. */
    beside: jsonb().$type<string[]>(),
    place: integer(),
    fit: doublePrecision(),
    note: text(),
    engineVersion: text().notNull(),
    snapshot: text().notNull(),
    leader: text(),
    portionCost: jsonb().$type<PortionCost>(),
    /** Null where it was kept by an earlier version: the inputs name it. */
    sheetHash: text(),
    inputsHash: text().notNull(),
    outputHash: text().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    uniqueIndex('decisions_revision').on(table.kitchenId, table.servingId, table.revision),
    foreignKey({ columns: [table.kitchenId, table.inputsHash], foreignColumns: [blobs.kitchenId, blobs.hash] }),
    foreignKey({ columns: [table.kitchenId, table.outputHash], foreignColumns: [blobs.kitchenId, blobs.hash] }),
  ],
)
