import type { HouseBooks } from '../book/houseBook.ts'
import type { KitchenRepository } from '../kitchens/kitchenRepository.ts'
import { bringInList } from '../priceLists/bringInList.ts'
import type { PriceListRepository } from '../priceLists/priceListRepository.ts'
import type { MerchantInput, MerchantRecord } from '@tender-gill/contract'
import type { RecordRepository } from '../records/recordRepository.ts'
import type { FetchedList } from './fetchList.ts'

interface Deps {
  readonly books: HouseBooks
  readonly lists: PriceListRepository
  readonly kitchens: Pick<KitchenRepository, 'list'>
  readonly merchants: Pick<RecordRepository<MerchantInput, MerchantRecord>, 'list'>
}

/**
 * Keeps a feed's list for every kitchen that buys from a merchant of that feed: its good rows, with the bad ones and the names that wait
 * beside them.
 * @returns rows read by the kitchen that could read most; the number of rows where nobody buys there
 */
export const createKeepFeedList =
  ({ books, lists, kitchens, merchants }: Deps) =>
  async (key: string, { text, date }: FetchedList): Promise<number> => {
    let most: number | null = null
    for (const kitchen of await kitchens.list())
      for (const { id, merchant } of await merchants.list(kitchen.id)) {
        if (merchant.feed !== key) continue
        // A feed has its own headings: a reading made for the merchant's files would not fit them.
        const plain = { ...merchant, reading: null }
        // Where the merchant's morning is still the kitchen's evening, the list is of the kitchen's own day: it counts at once.
        const day = date < kitchen.today ? date : kitchen.today
        const input = { merchantId: id, date: day, text, keep: 'good' as const }
        const report = await bringInList({ books, lists }, kitchen, { input, merchant: plain, source: 'feed' })
        most = Math.max(most ?? 0, report.ok ? report.value.good : 0)
      }
    return most ?? text.split('\n').length
  }
