import type { SettledName } from '@tender-gill/contract'
import type { Compute } from '../compute/index.ts'
import type { Database } from '../database/openDatabase.ts'
import { Answered } from '../http/answered.ts'
import { RequestFailure, notFound, refuse } from '../http/errors.ts'
import type { HandlersOf } from '../http/serveOperations.ts'
import { merchantMapping } from '../records/mappings.ts'
import { createRecordRepository } from '../records/recordRepository.ts'
import { keepList } from './keepList.ts'
import { createPriceListRepository } from './priceListRepository.ts'

interface Deps {
  readonly db: Database
  readonly now: () => Date
  readonly compute: Compute
}

/** Merchants' lists: looked at, kept, taken back, and the names on them settled. */
export function createPriceListHandlers({
  db,
  now,
  compute,
}: Deps): HandlersOf<'priceLists' | 'priceList' | 'bringList' | 'takeListBack' | 'putListBack' | 'settledNames' | 'settleNames'> {
  const lists = createPriceListRepository(db, now)
  const setStanding = async (tx: Database, kitchenId: string, id: string, standing: boolean) => {
    const list = await createPriceListRepository(tx, now).setStanding(kitchenId, id, standing)
    if (!list) throw notFound('No such list')
    return list
  }
  return {
    priceLists: ({ kitchen }) => lists.list(kitchen.id),
    priceList: async ({ kitchen, params }) => {
      const detail = await lists.readDetail(kitchen.id, params.id)
      if (!detail) throw notFound('No such list')
      return detail
    },
    bringList: async ({ kitchen, input, signal }) => {
      const record = await createRecordRepository(db, now, merchantMapping).find(kitchen.id, input.merchantId)
      if (!record) throw refuse([{ path: '/merchantId', message: 'no such merchant' }])
      const read = await compute.ask('readList', kitchen, { input, merchant: record.merchant, source: 'file' }, signal)
      if (!read.toKeep) return read.report
      return async (tx) => {
        const report = await keepList(tx, now, kitchen.id, read)
        return new Answered(report, { status: report.same ? 200 : 201 })
      }
    },
    takeListBack:
      async ({ kitchen, params }) =>
      (tx) =>
        setStanding(tx, kitchen.id, params.id, false),
    putListBack:
      async ({ kitchen, params }) =>
      (tx) =>
        setStanding(tx, kitchen.id, params.id, true),
    settledNames: async ({ kitchen }) =>
      [...(await lists.readNames(kitchen.id))].map(([name, species]): SettledName => ({ name, species })),
    settleNames: async ({ kitchen, input, signal }) => {
      const read = await compute.ask('readAgain', kitchen, input, signal)
      return async (tx) => {
        const repository = createPriceListRepository(tx, now)
        await repository.rememberNames(kitchen.id, read.names)
        for (const list of read.lists)
          if (!(await repository.takeReading(kitchen.id, list)))
            throw new RequestFailure('conflict', 'A list changed while its names were settled. Nothing was kept; try again.')
        return { lists: read.lists.length }
      }
    },
  }
}
