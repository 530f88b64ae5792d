import { Router } from 'express'
import { parseKitchenSwitch } from '@tender-gill/contract/validators'
import { unwrap } from '../http/parseInput.ts'
import { kitchenOf, switchKitchen } from './currentKitchen.ts'
import type { KitchenRepository } from './kitchenRepository.ts'

export function createKitchenRoutes(repository: KitchenRepository): Router {
  const router = Router()
  router.get('/kitchens', async (_req, res) => {
    res.json(await repository.list())
  })
  router.get('/kitchen', (_req, res) => {
    res.json(kitchenOf(res))
  })
  router.put('/kitchen', async (req, res) => {
    const { id } = unwrap(parseKitchenSwitch(req.body))
    res.json(await switchKitchen(req, res, repository, id))
  })
  return router
}
