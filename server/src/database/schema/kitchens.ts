import { foreignKey, integer, jsonb, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core'
import type { Entity } from '@tender-gill/contract'

/** A kitchen: whose data this is. Everything else is keyed by it. */
export const kitchens = pgTable('kitchens', {
  id: text().primaryKey(),
  name: text().notNull(),
  waters: text().notNull(),
  /** IANA zone: decides what "today" is here. */
  zone: text().notNull(),
  currency: text().notNull(),
  /** Counts the changes of this kitchen: whatever was worked out at a version holds until the next. */
  version: integer().notNull().default(0),
})

/** What was changed at each version of a kitchen, written in the transaction of the change; an id where one record was meant. */
export const changes = pgTable(
  'changes',
  {
    kitchenId: text().notNull(),
    version: integer().notNull(),
    entity: text().$type<Entity>().notNull(),
    entityId: text().notNull().default(''),
    actor: text(),
    at: timestamp({ withTimezone: true, mode: 'date' }).notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.version, table.entity, table.entityId] }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
  ],
)

/** Commands that were carried out, under the key their sender made: sent again, each is answered as it was. */
export const commands = pgTable(
  'commands',
  {
    kitchenId: text().notNull(),
    key: text().notNull(),
    /** SHA-256 of what was asked: one key is one command. */
    asked: text().notNull(),
    status: integer().notNull(),
    headers: jsonb().$type<Readonly<Record<string, string>>>().notNull(),
    body: jsonb().notNull(),
    at: timestamp({ withTimezone: true, mode: 'date' }).notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.key] }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
  ],
)
