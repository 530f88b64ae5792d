import { sql } from 'drizzle-orm'
import {
  boolean,
  customType,
  date,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  numeric,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
} from 'drizzle-orm/pg-core'
import type {
  Absence,
  AbsenceReason,
  BadRow,
  Choice,
  Diners,
  Entity,
  Form,
  HouseLeanings,
  ListReading,
  Merchant,
  OpenName,
  Origin,
  Part,
  Price,
  PortionCost,
  PriceUnit,
  Recipe,
  Season,
  State,
  Stock,
} from '@tender-gill/contract'

const bytea = customType<{ data: Buffer }>({ dataType: () => 'bytea' })

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

const recordColumns = {
  kitchenId: text().notNull(),
  id: text().notNull(),
  revision: integer().notNull().default(1),
  updatedAt: timestamp({ withTimezone: true, mode: 'date' }).notNull(),
  deletedAt: timestamp({ withTimezone: true, mode: 'date' }),
}

/** What is cooked, apart from when and for whom. */
export const dishes = pgTable('dishes', { ...recordColumns, recipe: jsonb().$type<Recipe>().notNull() }, (table) => [
  primaryKey({ columns: [table.kitchenId, table.id] }),
  foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
])

/** A dish on a day for so many, with its diners and the fish taken for it. */
export const servings = pgTable(
  'servings',
  {
    ...recordColumns,
    dishId: text().notNull(),
    /** Null where no day is set yet. */
    day: date({ mode: 'string' }),
    /** Null where nobody said: one then. */
    covers: integer(),
    diners: jsonb().$type<Diners>(),
    choice: jsonb().$type<Choice>(),
    /** Taken away with its dish, and not by itself: it comes back with it. */
    goneWithDish: boolean().notNull().default(false),
  },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    foreignKey({ columns: [table.kitchenId, table.dishId], foreignColumns: [dishes.kitchenId, dishes.id] }),
    index('servings_dish').on(table.kitchenId, table.dishId),
    index('servings_day').on(table.kitchenId, table.day),
  ],
)

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

/** What a currency was worth in the kitchen's own, from a day on. */
export const rates = pgTable(
  'rates',
  { ...recordColumns, currency: text().notNull(), date: date({ mode: 'string' }).notNull(), worth: numeric({ mode: 'number' }).notNull() },
  (table) => [
    primaryKey({ columns: [table.kitchenId, table.id] }),
    foreignKey({ columns: [table.kitchenId], foreignColumns: [kitchens.id] }),
  ],
)

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
