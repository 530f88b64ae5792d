import { Router } from 'express'
import { parseLeaningsInput } from '@tender-gill/contract/validators'
import { RequestFailure } from '../http/errors.ts'
import { unwrap } from '../http/parseInput.ts'
import { kitchenOf } from '../kitchens/currentKitchen.ts'
import { readRevision } from '../records/recordRoutes.ts'
import type { LeaningsRepository } from './leaningsRepository.ts'

/** How the house leans, for every dish that does not say otherwise. */
export function createLeaningsRoutes(repository: LeaningsRepository): Router {
  const router = Router()
  router.get('/leanings', async (_req, res) => {
    const record = await repository.get(kitchenOf(res).id)
    res.set('ETag', `"${record.revision}"`).json(record)
  })
  router.put('/leanings', async (req, res) => {
    const revision = readRevision(req)
    const { leanings } = unwrap(parseLeaningsInput(req.body))
    const upsideDown = Object.entries(leanings.asks ?? {}).filter(([, { from, to }]) => from != null && to != null && from > to)
    if (upsideDown.length > 0)
      throw new RequestFailure('invalid', 'See the places named', {
        problems: upsideDown.map(([key, { from, to }]) => ({
          path: `/leanings/asks/${key}/from`,
          message: `is ${from}, above the upper end ${to}`,
        })),
      })
    const record = await repository.set(kitchenOf(res).id, revision, leanings)
    if (!record)
      throw new RequestFailure('conflict', 'The leanings were changed elsewhere. Both versions are here.', {
        current: await repository.get(kitchenOf(res).id),
        sent: req.body,
      })
    res.set('ETag', `"${record.revision}"`).json(record)
  })
  return router
}
