import type { HouseBooks } from '../book/houseBook.ts'
import type { Database } from '../database/openDatabase.ts'
import type { Handlers } from '../http/serveOperations.ts'
import {
  createCheckDish,
  createCheckHouseSpecies,
  createCheckLook,
  createCheckLot,
  createCheckPrice,
  createCheckPurchase,
  createCheckRestUse,
  createCheckSeason,
  createCheckServing,
  createCheckStock,
} from './checks.ts'
import {
  coldPlaceMapping,
  houseSpeciesMapping,
  lookMapping,
  lotMapping,
  merchantMapping,
  priceMapping,
  purchaseMapping,
  restUseMapping,
  rateMapping,
  seasonMapping,
  stockMapping,
} from './mappings.ts'
import { createTellBook } from '../houseBook/tellBook.ts'
import { createKitchenRepository } from '../kitchens/kitchenRepository.ts'
import { createDishRepository } from '../servings/dishRepository.ts'
import { createServingRepository } from '../servings/servingRepository.ts'
import { createRecordHandlers } from './recordHandlers.ts'
import { createRecordRepository } from './recordRepository.ts'

/** Every kind of record over a database: what goes through all of them, as forgetting what was taken away long ago, goes through this. */
const openRecords = (now: () => Date) => ({
  serving: (db: Database) => createServingRepository(db, now),
  dish: (db: Database) => createDishRepository(db, now),
  price: (db: Database) => createRecordRepository(db, now, priceMapping),
  season: (db: Database) => createRecordRepository(db, now, seasonMapping),
  stock: (db: Database) => createRecordRepository(db, now, stockMapping),
  merchant: (db: Database) => createRecordRepository(db, now, merchantMapping),
  purchase: (db: Database) => createRecordRepository(db, now, purchaseMapping),
  restUse: (db: Database) => createRecordRepository(db, now, restUseMapping),
  look: (db: Database) => createRecordRepository(db, now, lookMapping),
  lot: (db: Database) => createRecordRepository(db, now, lotMapping),
  coldPlace: (db: Database) => createRecordRepository(db, now, coldPlaceMapping),
  rate: (db: Database) => createRecordRepository(db, now, rateMapping),
  species: (db: Database) => createRecordRepository(db, now, houseSpeciesMapping),
})

/** Forgets whatever was taken away longer ago than it can be put back. Servings go before their dishes. */
export async function purgeRecords(db: Database, now: () => Date): Promise<void> {
  const { dish: _withItsServings, ...kinds } = openRecords(now)
  for (const open of Object.values(kinds)) await open(db).purge()
}

interface Deps {
  readonly db: Database
  readonly now: () => Date
  readonly books: HouseBooks
}

/** The handlers of every kind of record. */
export function createKeptRecords({ db, now, books }: Deps) {
  const open = openRecords(now)
  const tellBook = createTellBook(now)
  const serving = createRecordHandlers(db, {
    what: 'serving',
    entity: 'serving',
    over: open.serving,
    check: createCheckServing(books, open.dish(db)),
  })
  const dish = createRecordHandlers(db, { what: 'dish', entity: 'dish', over: open.dish, check: createCheckDish(books) })
  const price = createRecordHandlers(db, { what: 'price', entity: 'price', over: open.price, check: createCheckPrice(books) })
  const season = createRecordHandlers(db, { what: 'year', entity: 'season', over: open.season, check: createCheckSeason(books) })
  const stock = createRecordHandlers(db, { what: 'stock', entity: 'stock', over: open.stock, check: createCheckStock(books) })
  const merchant = createRecordHandlers(db, { what: 'merchant', entity: 'merchant', over: open.merchant })
  const purchase = createRecordHandlers(db, {
    what: 'purchase',
    entity: 'purchase',
    over: open.purchase,
    check: createCheckPurchase(books, open.rate(db), createKitchenRepository(db, now)),
    tell: tellBook.purchase,
  })
  const restUse = createRecordHandlers(db, {
    what: 'use of a part',
    entity: 'restUse',
    over: open.restUse,
    check: createCheckRestUse(open.serving(db)),
  })
  const look = createRecordHandlers(db, {
    what: 'look',
    entity: 'look',
    over: open.look,
    check: createCheckLook(books),
    tell: tellBook.look,
  })
  const lot = createRecordHandlers(db, {
    what: 'lot of fish',
    entity: 'lot',
    over: open.lot,
    check: createCheckLot(books, open.coldPlace(db)),
    tell: tellBook.lot,
  })
  const coldPlace = createRecordHandlers(db, { what: 'place', entity: 'coldPlace', over: open.coldPlace })
  const rate = createRecordHandlers(db, { what: 'rate', entity: 'rate', over: open.rate })
  const species = createRecordHandlers(db, {
    ...{ what: 'species in the house’s hand', entity: 'species' as const, over: open.species },
    check: createCheckHouseSpecies(books),
  })
  return {
    ...nameHandlers('serving', 'servings', serving),
    ...nameHandlers('dish', 'dishes', dish),
    ...nameHandlers('price', 'prices', price),
    ...nameHandlers('season', 'seasons', season),
    ...nameHandlers('stock', 'stocks', stock),
    ...nameHandlers('merchant', 'merchants', merchant),
    ...nameHandlers('purchase', 'purchases', purchase),
    ...nameHandlers('restUse', 'restUses', restUse),
    ...nameHandlers('look', 'looks', look),
    ...nameHandlers('lot', 'lots', lot),
    ...nameHandlers('coldPlace', 'coldPlaces', coldPlace),
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
