import { boolean, date, foreignKey, index, integer, jsonb, pgTable, primaryKey, text } from 'drizzle-orm/pg-core'
import type { Choice, Diners, Recipe } from '@tender-gill/contract'
import { recordColumns } from './columns.ts'
import { kitchens } from './kitchens.ts'

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
