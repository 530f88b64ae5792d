import { Router, type Response } from 'express'
import type { BriefInput, BriefRecord, MerchantInput, MerchantRecord } from '@tender-gill/contract'
import { stepAlerts, stepSlab, type DecidedDish } from '@tender-gill/core'
import { answerInSlices } from '../answers/runInSlices.ts'
import type { DecisionRepository } from '../decisions/decisionRepository.ts'
import { notFound } from '../http/errors.ts'
import { readDay } from '../http/readDay.ts'
import { kitchenOf } from '../kitchens/currentKitchen.ts'
import { computeHour } from '../kitchens/today.ts'
import type { RecordRepository } from '../records/recordRepository.ts'
import type { OpenSheets } from '../sheets/kitchenSheets.ts'
import { createPriceHistory } from './priceHistory.ts'

interface MarketDayDeps {
  readonly briefs: Pick<RecordRepository<BriefInput, BriefRecord>, 'list'>
  readonly decisions: DecisionRepository
  readonly merchants: Pick<RecordRepository<MerchantInput, MerchantRecord>, 'list'>
  readonly openSheets: OpenSheets
  readonly now: () => Date
}

/** What the day does to the kitchen: the slab, the price of one fish over time, and what happened to decisions already taken. */
export function createMarketDayRoutes({ briefs, decisions, merchants, openSheets, now }: MarketDayDeps): Router {
  const router = Router()
  const open = (res: Response) => openSheets(kitchenOf(res).id, kitchenOf(res).today)
  router.get('/slab', async (req, res) => {
    const { id, today, zone } = kitchenOf(res)
    const date = readDay(req, 'date') ?? today
    const { sheetOf, pricesOn } = await open(res)
    const context = {
      ...{ today, date, sheetOf, dishes: await briefs.list(id) },
      now: { date: today, time: computeHour(now(), zone) },
      merchants: (await merchants.list(id)).map(({ merchant }) => merchant),
      usualOf: pricesOn(date).usualOf,
    }
    await answerInSlices(stepSlab(context), res, (slab) => res.json(slab))
  })
  router.get('/price-history/:name', async (req, res) => {
    const { today } = kitchenOf(res)
    const sheets = await open(res)
    const species = sheets.book.findSpecies(req.params.name)
    const history = species && createPriceHistory(sheets, species, readDay(req, 'date') ?? today)
    if (!history) throw notFound('No such fish')
    res.json(history)
  })
  router.get('/alerts', async (_req, res) => {
    const { id, today } = kitchenOf(res)
    const { sheetOf } = await open(res)
    const latest = new Map((await decisions.list(id)).map((decision) => [decision.briefId, decision] as const).reverse())
    const decided: DecidedDish[] = []
    for (const kept of await briefs.list(id)) {
      const decision = latest.get(kept.id)
      const { choice } = kept
      if (!choice || !decision || decision.offerId !== choice.offerId) continue
      decided.push({ kept, choice, then: await decisions.readOutput(id, decision) })
    }
    await answerInSlices(stepAlerts(decided, { today, sheetOf }), res, (alerts) => res.json(alerts))
  })
  return router
}
