import { Router } from 'express'
import type { FeedReader } from './feedReader.ts'

/** How the feeds stand, and a look at them now. */
export function createFeedRoutes(reader: Pick<FeedReader, 'states' | 'readNow'> | undefined): Router {
  const router = Router()
  router.get('/feeds', (_req, res) => {
    res.json(reader?.states() ?? [])
  })
  router.post('/feeds/read', async (_req, res) => {
    await reader?.readNow()
    res.json(reader?.states() ?? [])
  })
  return router
}
