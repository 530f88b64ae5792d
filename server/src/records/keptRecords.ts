import type { HouseBooks } from '../book/houseBook.ts'
import type { Database } from '../database/openDatabase.ts'
import type { Handlers } from '../http/serveOperations.ts'
import { createCheckBrief, createCheckHouseSpecies, createCheckPrice, createCheckSeason, createCheckStock } from './checks.ts'
import { briefMapping, houseSpeciesMapping, merchantMapping, priceMapping, rateMapping, seasonMapping, stockMapping } from './mappings.ts'
import { createRecordHandlers } from './recordHandlers.ts'
import { createRecordRepository } from './recordRepository.ts'

/** Every kind of record by its mapping: what goes through all of them, as forgetting what was taken away long ago, goes through this. */
const MAPPINGS = [briefMapping, priceMapping, seasonMapping, stockMapping, merchantMapping, rateMapping, houseSpeciesMapping] as const

/** Forgets whatever was taken away longer ago than it can be put back. */
export async function purgeRecords(db: Database, now: () => Date): Promise<void> {
  for (const mapping of MAPPINGS) await createRecordRepository(db, now, mapping as typeof briefMapping).purge()
}

interface Deps {
  readonly db: Database
  readonly now: () => Date
  readonly books: HouseBooks
}

/** The handlers of every kind of record. */
export function createKeptRecords({ db, now, books }: Deps) {
  const brief = createRecordHandlers(db, now, { what: 'dish', entity: 'dish', mapping: briefMapping, check: createCheckBrief(books) })
  const price = createRecordHandlers(db, now, { what: 'price', entity: 'price', mapping: priceMapping, check: createCheckPrice(books) })
  const season = createRecordHandlers(db, now, { what: 'year', entity: 'season', mapping: seasonMapping, check: createCheckSeason(books) })
  const stock = createRecordHandlers(db, now, { what: 'stock', entity: 'stock', mapping: stockMapping, check: createCheckStock(books) })
  const merchant = createRecordHandlers(db, now, { what: 'merchant', entity: 'merchant', mapping: merchantMapping })
  const rate = createRecordHandlers(db, now, { what: 'rate', entity: 'rate', mapping: rateMapping })
  const species = createRecordHandlers(db, now, {
    ...{ what: 'species in the house’s hand', entity: 'species' as const, mapping: houseSpeciesMapping },
    check: createCheckHouseSpecies(books),
  })
  return {
    ...nameHandlers('brief', 'briefs', brief),
    ...nameHandlers('price', 'prices', price),
    ...nameHandlers('season', 'seasons', season),
    ...nameHandlers('stock', 'stocks', stock),
    ...nameHandlers('merchant', 'merchants', merchant),
    ...nameHandlers('rate', 'rates', rate),
    ...nameHandlers('houseSpecies', 'houseSpeciesList', species),
  } satisfies Partial<Handlers>
}

type RecordHandlers = ReturnType<typeof createRecordHandlers>
type Named<One extends string, Many extends string, H extends { readonly [Key in keyof RecordHandlers]: unknown }> = {
  readonly [K in Many]: H['list']
} & { readonly [K in One]: H['find'] } & { readonly [K in `create${Capitalize<One>}`]: H['create'] } & {
  readonly [K in `save${Capitalize<One>}`]: H['save']
} & { readonly [K in `remove${Capitalize<One>}`]: H['remove'] } & { readonly [K in `restore${Capitalize<One>}`]: H['restore'] }

/** The handlers of a kind under the names of its operations. */
function nameHandlers<One extends string, Many extends string, H extends { readonly [Key in keyof RecordHandlers]: unknown }>(
  one: One,
  many: Many,
  { list, find, create, save, remove, restore }: H,
): Named<One, Many, H> {
  const Name = `${one.slice(0, 1).toUpperCase()}${one.slice(1)}`
  return {
    [many]: list,
    [one]: find,
    [`create${Name}`]: create,
    [`save${Name}`]: save,
    [`remove${Name}`]: remove,
    [`restore${Name}`]: restore,
  } as Named<One, Many, H>
}
