import { foreignKey, pgTable, primaryKey, text, timestamp, uniqueIndex } from 'drizzle-orm/pg-core'
import { kitchens } from './kitchens.ts'

const moment = () => timestamp({ withTimezone: true, mode: 'date' })

/** Codes with which a phone may come in: kept as their hash, for some minutes. */
export const pairingCodes = pgTable(
  'pairing_codes',
  { kitchenId: text().notNull(), codeHash: text().notNull(), expiresAt: moment().notNull(), usedAt: moment() },
  (table) => [
    primaryKey({ columns: [table.codeHash] }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }).onDelete('cascade'),
  ],
)

/** Phones that came in: each by a secret of its own, of which the hash is kept. */
export const phones = pgTable(
  'phones',
  {
    kitchenId: text().notNull(),
    id: text().notNull(),
    name: text().notNull(),
    tokenHash: text().notNull(),
    pairedAt: moment().notNull(),
    lastSeenAt: moment(),
    revokedAt: moment(),
  },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    uniqueIndex('phones_token').on(table.tokenHash),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }).onDelete('cascade'),
  ],
)
