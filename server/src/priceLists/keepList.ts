import type { PriceListReport } from '@tender-gill/contract'
import type { Database } from '../database/openDatabase.ts'
import { createPriceListRepository } from './priceListRepository.ts'
import type { ListRead } from './priceListStudies.ts'

/** Keeps a list that was read, with what its names stand for and, for a file, how the merchant's files are read. */
export async function keepList(
  tx: Database,
  now: () => Date,
  kitchenId: string,
  { report, toKeep, names }: ListRead,
): Promise<PriceListReport> {
  if (!toKeep) return report
  const lists = createPriceListRepository(tx, now)
  const { list, same } = await lists.keep(kitchenId, toKeep, names)
  if (toKeep.source === 'file') await lists.rememberReading(kitchenId, toKeep.merchantId, toKeep.read.reading)
  return { ...report, list, same }
}
