import { Router } from 'express'
import type { BriefInput, BriefRecord, Problem } from '@tender-gill/contract'
import { stepCoverCard, addDays, countDays } from '@tender-gill/core'
import { answerInSlices } from '../answers/runInSlices.ts'
import { RequestFailure } from '../http/errors.ts'
import { readDay } from '../http/readDay.ts'
import { kitchenOf } from '../kitchens/currentKitchen.ts'
import type { RecordRepository } from '../records/recordRepository.ts'
import type { OpenSheets } from '../sheets/kitchenSheets.ts'

interface CoverCardDeps {
  readonly briefs: Pick<RecordRepository<BriefInput, BriefRecord>, 'list'>
  readonly openSheets: OpenSheets
}

/** Days a card may span: a week, or a month for who plans ahead. */
const MOST_DAYS = 31

function checkSpan(from: string, to: string): readonly Problem[] {
  const days = countDays(from, to) + 1
  if (days < 1) return [{ path: '/to', message: 'must not be before the first day' }]
  return days > MOST_DAYS ? [{ path: '/to', message: `at most ${MOST_DAYS} days in one card` }] : []
}

/** The cover card: each dish of some days with its fish, its ladder, and what the covers hang on. */
export function createCoverCardRoutes({ briefs, openSheets }: CoverCardDeps): Router {
  const router = Router()
  router.get('/cover-card', async (req, res) => {
    const { id, today } = kitchenOf(res)
    const from = readDay(req, 'from') ?? today
    const to = readDay(req, 'to') ?? addDays(from, 6)
    const problems = checkSpan(from, to)
    if (problems.length > 0) throw new RequestFailure('invalid', 'See the places named', { problems })
    const { sheetOf } = await openSheets(id, today)
    const context = { today, dishes: await briefs.list(id), sheetOf }
    await answerInSlices(stepCoverCard({ from, to }, context), res, (card) => res.json(card))
  })
  return router
}
