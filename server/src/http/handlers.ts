import { createPhoneHandlers, type LanDoor } from '../lan/index.ts'
import { createBuySheetHandlers } from '../buySheet/buySheetHandlers.ts'
import type { OpenDatabase } from '../database/openDatabase.ts'
import { createAbsenceHandlers } from '../absences/absenceHandlers.ts'
import { createAnswerHandlers } from '../answers/answerHandlers.ts'
import { createBookHandlers } from '../book/bookHandlers.ts'
import { createHouseBooks } from '../book/houseBook.ts'
import type { Compute } from '../compute/index.ts'
import { createDecisionHandlers } from '../decisions/decisionHandlers.ts'
import { createFeedHandlers } from '../feeds/feedHandlers.ts'
import type { FeedReader } from '../feeds/feedReader.ts'
import { createColdHandlers } from '../cold/coldHandlers.ts'
import { createEntryFileHandlers } from '../houseBook/entryFileHandlers.ts'
import { createPhotoHandlers } from '../houseBook/photoHandlers.ts'
import { createHouseBookHandlers } from '../houseBook/houseBookHandlers.ts'
import { createKitchenHandlers } from '../kitchens/kitchenHandlers.ts'
import type { KitchenRepository } from '../kitchens/kitchenRepository.ts'
import { createLeaningsHandlers } from '../leanings/leaningsHandlers.ts'
import { createLeaningsRepository } from '../leanings/leaningsRepository.ts'
import { createMarketFileHandlers } from '../marketFiles/marketFileHandlers.ts'
import { createRunSheetHandlers } from '../runSheet/runSheetHandlers.ts'
import { createPriceListHandlers } from '../priceLists/priceListHandlers.ts'
import { createCheckBrief } from '../records/checks.ts'
import { createKeptRecords } from '../records/keptRecords.ts'
import { createSheetHandlers } from '../sheets/sheetHandlers.ts'
import type { Handlers } from './serveOperations.ts'

export interface HandlerDeps {
  readonly db: OpenDatabase['db']
  readonly now: () => Date
  readonly compute: Compute
  readonly kitchens: KitchenRepository
  readonly feeds: FeedReader | undefined
  readonly lan: LanDoor | undefined
}

/** A handler for every operation: the compiler names the one that is missing. */
export function createHandlers({ db, now, compute, kitchens, feeds, lan }: HandlerDeps): Handlers {
  const books = createHouseBooks(db, createLeaningsRepository(db, now))
  return {
    ...createKitchenHandlers(db, kitchens),
    ...createAnswerHandlers(compute),
    ...createSheetHandlers(compute),
    ...createKeptRecords({ db, now, books }),
    ...createColdHandlers({ db, now, books }),
    ...createDecisionHandlers({ db, now, compute, checkBrief: createCheckBrief(books) }),
    ...createAbsenceHandlers({ db, now, compute }),
    ...createLeaningsHandlers(db, now),
    ...createBookHandlers({ db, now, compute }),
    ...createPriceListHandlers({ db, now, compute }),
    ...createFeedHandlers(feeds),
    ...createMarketFileHandlers({ db, now, compute }),
    ...createBuySheetHandlers(compute),
    ...createRunSheetHandlers(now),
    ...createPhotoHandlers(db, now),
    ...createEntryFileHandlers({ db, now, compute }),
    ...createHouseBookHandlers({ db, now, books, compute }),
    ...createPhoneHandlers(db, now, lan),
    coverCard: ({ kitchen, query, signal }) => compute.ask('coverCard', kitchen, query, signal),
    slab: ({ kitchen, query, signal }) => compute.ask('slab', kitchen, query, signal),
    priceHistory: ({ kitchen, params, query, signal }) => compute.ask('priceHistory', kitchen, { ...params, ...query }, signal),
    alerts: ({ kitchen, signal }) => compute.ask('alerts', kitchen, null, signal),
  }
}
