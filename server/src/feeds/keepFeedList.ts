import type { Kitchen, MerchantRecord } from '@tender-gill/contract'
import { commitChange } from '../commands/index.ts'
import type { Compute } from '../compute/index.ts'
import type { OpenDatabase } from '../database/openDatabase.ts'
import { createKitchenRepository } from '../kitchens/kitchenRepository.ts'
import { keepList } from '../priceLists/keepList.ts'
import { merchantMapping } from '../records/mappings.ts'
import { createRecordRepository } from '../records/recordRepository.ts'
import type { FetchedList } from './fetchList.ts'

interface Deps {
  readonly db: OpenDatabase['db']
  readonly now: () => Date
  readonly compute: Compute
}

/** Keeps a fetched list for one merchant of one kitchen. @returns rows that could be read */
async function keepFor(
  { db, now, compute }: Deps,
  kitchen: Kitchen,
  { id, merchant }: MerchantRecord,
  { text, date }: FetchedList,
): Promise<number> {
  // A feed has its own headings: a reading made for the merchant's files would not fit them.
  const plain = { ...merchant, reading: null }
  // Where the merchant's morning is still the kitchen's evening, the list is of the kitchen's own day: it counts at once.
  const day = date < kitchen.today ? date : kitchen.today
  const input = { merchantId: id, date: day, text, keep: 'good' as const }
  const read = await compute.ask('readList', kitchen, { input, merchant: plain, source: 'feed' })
  if (read.toKeep)
    await commitChange({ db, now }, { kitchenId: kitchen.id, actor: null, touches: ['list', 'feed'], key: null }, async (tx) => ({
      ...{ status: 201, headers: {} },
      body: await keepList(tx, now, kitchen.id, read),
    }))
  return read.report.good
}

/**
 * Keeps a feed's list for every kitchen that buys from a merchant of that feed: its good rows, with the bad ones and the names that wait
 * beside them.
 * @returns rows read by the kitchen that could read most; the number of rows where nobody buys there
 */
export function createKeepFeedList(deps: Deps) {
  const kitchens = createKitchenRepository(deps.db, deps.now)
  const merchants = createRecordRepository(deps.db, deps.now, merchantMapping)
  return async (key: string, list: FetchedList): Promise<number> => {
    let most: number | null = null
    for (const kitchen of await kitchens.list())
      for (const record of await merchants.list(kitchen.id))
        if (record.merchant.feed === key) most = Math.max(most ?? 0, await keepFor(deps, kitchen, record, list))
    return most ?? list.text.split('\n').length
  }
}
