import { createHash } from 'node:crypto'
import type { RequestHandler } from 'express'
import { buildOpenApi } from '@tender-gill/contract'
import { ENGINE_VERSION } from '@tender-gill/core'
import { RequestFailure } from './errors.ts'

let name: string | undefined
/** Names what this server can be asked, and what it answers: another as soon as any of it changes. */
export const nameApi = (): string =>
  (name ??= createHash('sha256')
    .update(JSON.stringify(buildOpenApi(ENGINE_VERSION)))
    .digest('hex')
    .slice(0, 16))

/**
 * Refuses pages that were made for another server: a page says for which one it was made, and one that a phone kept from before an update
 * must load itself anew. Programs need say nothing.
 */
export const refuseOldPages: RequestHandler = (req, _res, next) => {
  const madeFor = req.get('Api')
  if (madeFor === undefined || madeFor === nameApi()) return next()
  next(new RequestFailure('outdated', 'Tender Gill was renewed. Load the page anew; what waits in this browser is kept.'))
}
