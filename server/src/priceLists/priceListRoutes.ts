import { Router, type Request } from 'express'
import type { MerchantInput, MerchantRecord, SettledName } from '@tender-gill/contract'
import { parsePriceListInput, parseSettledNames } from '@tender-gill/contract/validators'
import type { HouseBooks } from '../book/houseBook.ts'
import { notFound, RequestFailure } from '../http/errors.ts'
import { unwrap } from '../http/parseInput.ts'
import { kitchenOf } from '../kitchens/currentKitchen.ts'
import type { RecordRepository } from '../records/recordRepository.ts'
import { bringInList, createReadAgain } from './bringInList.ts'
import type { PriceListRepository } from './priceListRepository.ts'

export interface PriceListDeps {
  readonly books: HouseBooks
  readonly lists: PriceListRepository
  readonly merchants: Pick<RecordRepository<MerchantInput, MerchantRecord>, 'find'>
}

/** Merchants' lists: looked at, kept, taken back, and the names on them settled. */
export function createPriceListRoutes({ books, lists, merchants }: PriceListDeps): Router {
  const router = Router()
  const idOf = (req: Request): string => String(req.params.id)
  router.get('/price-lists', async (_req, res) => {
    res.json(await lists.list(kitchenOf(res).id))
  })
  router.get('/price-lists-stamp', async (_req, res) => {
    res.json({ stamp: await lists.readStamp(kitchenOf(res).id) })
  })
  router.get('/price-lists/:id', async (req, res) => {
    const detail = await lists.readDetail(kitchenOf(res).id, idOf(req))
    if (!detail) throw notFound('No such list')
    res.json(detail)
  })
  router.post('/price-lists', async (req, res) => {
    const kitchen = kitchenOf(res)
    const input = unwrap(parsePriceListInput(req.body))
    const record = await merchants.find(kitchen.id, input.merchantId)
    if (!record)
      throw new RequestFailure('invalid', 'See the places named', { problems: [{ path: '/merchantId', message: 'no such merchant' }] })
    const report = unwrap(await bringInList({ books, lists }, kitchen, { input, merchant: record.merchant, source: 'file' }))
    res.status(report.list && !report.same ? 201 : 200).json(report)
  })
  for (const [verb, standing] of [
    ['undo', false],
    ['restore', true],
  ] as const)
    router.post(`/price-lists/:id/${verb}`, async (req, res) => {
      const list = await lists.setStanding(kitchenOf(res).id, idOf(req), standing)
      if (!list) throw notFound('No such list')
      res.json(list)
    })
  router.get('/settled-names', async (_req, res) => {
    const names = await lists.readNames(kitchenOf(res).id)
    res.json([...names].map(([name, species]): SettledName => ({ name, species })))
  })
  router.post('/settled-names', async (req, res) => {
    const kitchen = kitchenOf(res)
    const { names } = unwrap(parseSettledNames(req.body))
    const book = await books.read(kitchen.id)
    const unknown = names.flatMap(({ species }, i) =>
      species !== null && !book.findSpecies(species)
        ? [{ path: `/names/${i}/species`, message: `no fish named "${species}" in the book` }]
        : [],
    )
    if (unknown.length > 0) throw new RequestFailure('invalid', 'See the places named', { problems: unknown })
    const accepted = names.map(({ name, species }) => ({ name, species: species && (book.findSpecies(species) ?? null) }))
    res.json({ lists: await lists.settle(kitchen.id, accepted, createReadAgain(book, kitchen.currency)) })
  })
  return router
}
