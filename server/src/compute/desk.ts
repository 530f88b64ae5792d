import type { Kitchen } from '@tender-gill/contract'
import { createAbsenceRepository } from '../absences/absenceRepository.ts'
import { createHouseBooks } from '../book/houseBook.ts'
import type { Database } from '../database/openDatabase.ts'
import { createDecisionRepository } from '../decisions/decisionRepository.ts'
import { createEntryRepository } from '../houseBook/entryRepository.ts'
import { createReadBook } from '../houseBook/readBook.ts'
import { createKitchenRepository } from '../kitchens/kitchenRepository.ts'
import { createLeaningsRepository } from '../leanings/leaningsRepository.ts'
import { createPriceListRepository } from '../priceLists/priceListRepository.ts'
import { createListedPrices } from '../priceSeries/listedPrices.ts'
import {
  merchantMapping,
  priceMapping,
  purchaseMapping,
  rateMapping,
  restUseMapping,
  seasonMapping,
  stockMapping,
} from '../records/mappings.ts'
import { createRecordRepository } from '../records/recordRepository.ts'
import { createServingRepository } from '../servings/servingRepository.ts'
import { createKitchenSheets, type KitchenSheets } from '../sheets/kitchenSheets.ts'

/** What a study has before it: the kitchen's book, the sheets of its days, and what it keeps. It only reads. */
export function createDesk(db: Database, now: () => Date) {
  const records = {
    servings: createServingRepository(db, now),
    prices: createRecordRepository(db, now, priceMapping),
    seasons: createRecordRepository(db, now, seasonMapping),
    stocks: createRecordRepository(db, now, stockMapping),
    merchants: createRecordRepository(db, now, merchantMapping),
    purchases: createRecordRepository(db, now, purchaseMapping),
    rates: createRecordRepository(db, now, rateMapping),
    restUses: createRecordRepository(db, now, restUseMapping),
  }
  const kitchens = createKitchenRepository(db, now)
  const lists = createPriceListRepository(db, now)
  const absences = createAbsenceRepository(db, now)
  const readHouseBook = createReadBook(createEntryRepository(db, now))
  const books = createHouseBooks(db, createLeaningsRepository(db, now))
  const readSheets = createKitchenSheets({ ...records, books, readListed: createListedPrices(db), readHouseBook, kitchens, absences })
  return {
    ...records,
    now,
    kitchens,
    lists,
    absences,
    books,
    readHouseBook,
    decisions: createDecisionRepository(db, now),
    /** The sheets of a kitchen as it stands now; each is laid out once. */
    openSheets: ({ id, today }: Pick<Kitchen, 'id' | 'today'>): Promise<KitchenSheets> => readSheets(id, today),
    /** The same as if only these absences stood. */
    openSheetsWith: ({ id, today }: Pick<Kitchen, 'id' | 'today'>, standing: Parameters<typeof readSheets>[2]): Promise<KitchenSheets> =>
      readSheets(id, today, standing),
  }
}
export type Desk = ReturnType<typeof createDesk>
