import { bigint, foreignKey, index, jsonb, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core'
import type { Entry, EntryActKind } from '@tender-gill/contract'
import { bytea } from './columns.ts'
import { kitchens } from './kitchens.ts'

/** The house book: acts in the order in which they were done. Rows are only ever added; what they come to is the book. */
export const entryActs = pgTable(
  'entry_acts',
  {
    kitchenId: text().notNull(),
    seq: bigint({ mode: 'number' }).notNull().generatedAlwaysAsIdentity(),
    /** The line it is about, or the key of a learnt value. */
    about: text().notNull(),
    act: text().$type<EntryActKind>().notNull(),
    entry: jsonb().$type<Entry>(),
    writtenAt: timestamp({ withTimezone: true, mode: 'date' }).notNull(),
    /** The file it came in with, so that a file can be taken back whole. */
    broughtBy: text(),
  },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.seq] }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
    index('entry_acts_about').on(table.kitchenId, table.about, table.seq),
    index('entry_acts_brought').on(table.kitchenId, table.broughtBy),
  ],
)

/** Small pictures of what was served: written once. */
export const photos = pgTable(
  'photos',
  {
    kitchenId: text().notNull(),
    id: text().notNull(),
    jpeg: bytea().notNull(),
    keptAt: timestamp({ withTimezone: true, mode: 'date' }).notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
  ],
)
