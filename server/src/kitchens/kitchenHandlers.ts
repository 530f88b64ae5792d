import { ENGINE_VERSION } from '@tender-gill/core'
import { sql } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import type { HandlersOf } from '../http/serveOperations.ts'
import type { KitchenRepository } from './kitchenRepository.ts'

/** The kitchens kept here, and whether anything answers at all. */
export const createKitchenHandlers = (db: Database, kitchens: KitchenRepository): HandlersOf<'kitchens' | 'kitchen' | 'health'> => ({
  kitchens: () => kitchens.list(),
  kitchen: ({ kitchen }) => kitchen,
  health: async () => {
    await db.execute(sql`select 1`)
    return { status: 'ok', engineVersion: ENGINE_VERSION }
  },
})
