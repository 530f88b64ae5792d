import { Router, type Response } from 'express'
import type { Brief, BriefInput, BriefRecord, Decision, DecisionDetail, DecisionRerun, LineUp, OfferSheet } from '@tender-gill/contract'
import { parseDecisionInput } from '@tender-gill/contract/validators'
import { ENGINE_VERSION, compareLineUps, rankLineUp } from '@tender-gill/core'
import { RequestFailure, notFound } from '../http/errors.ts'
import { unwrap } from '../http/parseInput.ts'
import { kitchenOf } from '../kitchens/currentKitchen.ts'
import type { RecordRepository } from '../records/recordRepository.ts'
import type { OpenSheets } from '../sheets/kitchenSheets.ts'
import type { DecisionRepository } from './decisionRepository.ts'

interface DecisionDeps {
  readonly decisions: DecisionRepository
  readonly briefs: RecordRepository<BriefInput, BriefRecord>
  readonly openSheets: OpenSheets
}

/** Decisions: the fish taken for a dish with the whole line-up behind it; reopened as it was, run again with the difference shown. */
export function createDecisionRoutes({ decisions, briefs, openSheets }: DecisionDeps): Router {
  const router = Router()
  const layToday = async (brief: Brief, res: Response): Promise<OfferSheet> => {
    const { id, today } = kitchenOf(res)
    return (await openSheets(id, today)).sheetOf(brief)
  }
  const rank = (brief: Brief, sheet: OfferSheet, today: string): LineUp => unwrap(rankLineUp(brief, sheet, { today }))
  const need = async (res: Response, id: string): Promise<Decision> => {
    const decision = await decisions.find(kitchenOf(res).id, id)
    if (!decision) throw notFound('No such decision')
    return decision
  }

  router.get('/decisions', async (req, res) => {
    const { brief } = req.query
    res.json(await decisions.list(kitchenOf(res).id, typeof brief === 'string' ? brief : undefined))
  })
  router.post('/decisions', async (req, res) => {
    const { id: kitchenId, today } = kitchenOf(res)
    const input = unwrap(parseDecisionInput(req.body))
    const record = await briefs.find(kitchenId, input.briefId)
    if (!record) throw new RequestFailure('invalid', 'There is no such dish', { problems: [{ path: '/briefId', message: 'no such dish' }] })
    const { brief } = record
    const sheet = await layToday(brief, res)
    const offer = sheet.offers.find(({ id, species }) => id === input.offerId && species === input.species)
    if (!offer)
      throw new RequestFailure('invalid', 'There is no such fish', {
        problems: [{ path: '/offerId', message: `no offer "${input.offerId}" of ${input.species}` }],
      })
    const output = rank(brief, sheet, today)
    const decision = await decisions.create(kitchenId, { input, common: offer.common, brief, today, sheet, output })
    res.status(201).location(`/api/decisions/${decision.id}`).json(decision)
  })
  router.get('/decisions/:id', async (req, res) => {
    const kitchenId = kitchenOf(res).id
    const decision = await need(res, req.params.id)
    const { brief } = await decisions.readInputs(kitchenId, decision)
    const detail: DecisionDetail = { decision, brief, output: await decisions.readOutput(kitchenId, decision) }
    res.json(detail)
  })
  router.post('/decisions/:id/rerun', async (req, res) => {
    const { id: kitchenId, today } = kitchenOf(res)
    const decision = await need(res, req.params.id)
    const inputs = await decisions.readInputs(kitchenId, decision)
    const then = await decisions.readOutput(kitchenId, decision)
    const same = rank(inputs.brief, await decisions.readSheet(kitchenId, inputs), inputs.today)
    // The dish as it is kept now; as it was decided when it has been taken away since.
    const brief = (await briefs.find(kitchenId, decision.briefId))?.brief ?? inputs.brief
    const current = rank(brief, await layToday(brief, res), today)
    const rerun: DecisionRerun = {
      engineThen: decision.engineVersion,
      engineNow: ENGINE_VERSION,
      sameInputs: compareLineUps(then, same, decision),
      todaysInputs: compareLineUps(then, current, decision),
    }
    res.json(rerun)
  })
  return router
}
