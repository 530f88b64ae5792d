import { Router, type Response } from 'express'
import type { Brief, OfferSheet, PriceInput, PriceRecord } from '@tender-gill/contract'
import {
  parseBrief,
  parseFishFirstRequest,
  parsePotRequest,
  parseStandInsRequest,
  parseTurningRequest,
} from '@tender-gill/contract/validators'
import { answerFishFirst, answerPot, createBoard, findStandIns, mapSwaps, stepBoard, stepTurningPoints } from '@tender-gill/core'
import { createBareSheet, createKitchenSheet, type HouseBooks } from '../book/houseBook.ts'
import { RequestFailure } from '../http/errors.ts'
import { unwrap } from '../http/parseInput.ts'
import { kitchenOf } from '../kitchens/currentKitchen.ts'
import { answerInSlices } from './runInSlices.ts'
import type { RecordRepository } from '../records/recordRepository.ts'

const ISO_DATE = /^\d{4}-\d{2}-\d{2}$/

/** Routes that compute and store nothing: line-up, stand-ins, what would change it, pot, fish first and the day's offers. */
export function createAnswerRoutes(prices: RecordRepository<PriceInput, PriceRecord>, books: HouseBooks): Router {
  const router = Router()
  const readPrices = async (res: Response) => (await prices.list(kitchenOf(res).id)).map(({ price }) => price)
  /** A brief that brings its own market is answered from the book alone; any other from the kitchen's prices. */
  const sheetFor = async (brief: Pick<Brief, 'date' | 'market'>, res: Response): Promise<OfferSheet> => {
    const date = brief.date ?? kitchenOf(res).today
    const book = await books.read(kitchenOf(res).id)
    return brief.market ? createBareSheet(book, date) : createKitchenSheet(book, await readPrices(res), date)
  }
  router.post('/line-up', async (req, res) => {
    const brief = unwrap(parseBrief(req.body))
    const sheet = await sheetFor(brief, res)
    const board = unwrap(createBoard(brief, sheet, kitchenOf(res).today))
    await answerInSlices(stepBoard(board, sheet, {}), res, (lineUp) => res.json(lineUp))
  })
  router.post('/stand-ins', async (req, res) => {
    const request = unwrap(parseStandInsRequest(req.body))
    res.json(unwrap(findStandIns(request, await sheetFor(request, res), { today: kitchenOf(res).today })))
  })
  router.post('/swap-map', async (req, res) => {
    const brief = unwrap(parseBrief(req.body))
    res.json(unwrap(mapSwaps(brief, await sheetFor(brief, res), { today: kitchenOf(res).today })))
  })
  router.post('/turning-points', async (req, res) => {
    const { winner, ...brief } = unwrap(parseTurningRequest(req.body))
    const options = { today: kitchenOf(res).today, ...(winner === undefined ? {} : { winner }) }
    await answerInSlices(stepTurningPoints(brief, await sheetFor(brief, res), options), res, (points) => res.json(unwrap(points)))
  })
  router.post('/pot', async (req, res) => {
    const request = unwrap(parsePotRequest(req.body))
    res.json(unwrap(answerPot(request, await sheetFor(request, res), { today: kitchenOf(res).today })))
  })
  router.post('/fish-first', async (req, res) => {
    const request = unwrap(parseFishFirstRequest(req.body))
    res.json(unwrap(answerFishFirst(request, await sheetFor(request, res), { today: kitchenOf(res).today })))
  })
  router.get('/offers', async (req, res) => {
    const asked = req.query.date
    if (asked !== undefined && (typeof asked !== 'string' || !ISO_DATE.test(asked) || Number.isNaN(Date.parse(asked))))
      throw new RequestFailure('invalid', 'date must be an ISO date', {
        problems: [{ path: '/date', message: 'must be a date, as 2026-06-13' }],
      })
    const book = await books.read(kitchenOf(res).id)
    res.json(createKitchenSheet(book, await readPrices(res), asked ?? kitchenOf(res).today))
  })
  return router
}
