import { Router, type Response } from 'express'
import type { Brief, OfferSheet } from '@tender-gill/contract'
import {
  parseBrief,
  parseFishFirstRequest,
  parsePotRequest,
  parseStandInsRequest,
  parseTurningRequest,
} from '@tender-gill/contract/validators'
import {
  answerFishFirst,
  answerPot,
  createBoard,
  findStandIns,
  mapSwaps,
  stepBoard,
  stepTurningPoints,
  stepYearOfDish,
} from '@tender-gill/core'
import { unwrap } from '../http/parseInput.ts'
import { readDay } from '../http/readDay.ts'
import { kitchenOf } from '../kitchens/currentKitchen.ts'
import { answerInSlices } from './runInSlices.ts'
import type { OpenSheets } from '../sheets/kitchenSheets.ts'

/** Routes that compute and store nothing: line-up, stand-ins, the map of swaps, what would change it, pot, fish first, the day's offers. */
export function createAnswerRoutes(openSheets: OpenSheets): Router {
  const router = Router()
  const sheetFor = async (brief: Pick<Brief, 'date' | 'market'>, res: Response): Promise<OfferSheet> => {
    const { id, today } = kitchenOf(res)
    return (await openSheets(id, today)).sheetOf(brief)
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
  router.post('/year', async (req, res) => {
    const brief = unwrap(parseBrief(req.body))
    const steps = stepYearOfDish(brief, await sheetFor(brief, res), { today: kitchenOf(res).today })
    await answerInSlices(steps, res, (year) => res.json(unwrap(year)))
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
    const asked = readDay(req, 'date')
    const { id, today } = kitchenOf(res)
    res.json((await openSheets(id, today)).sheetOn(asked ?? today))
  })
  return router
}
