import { DAY_MS } from '@tender-gill/core'
import { parse } from 'cookie'
import express, { Router, type Request, type RequestHandler } from 'express'
import { rateLimit } from 'express-rate-limit'
import { RequestFailure, notFound } from '../http/errors.ts'
import type { KitchenRepository } from '../kitchens/kitchenRepository.ts'
import { writePairPage } from './pairPage.ts'
import type { PairPhone } from './pairPhone.ts'
import type { PhoneRepository } from './phoneRepository.ts'

/** The phone's secret: sent by its browser alone, and only back here. */
const COOKIE = 'tender-gill-phone'
const COOKIE_LIFE_MS = 180 * DAY_MS
/** Tries at a code a minute from one address: eight signs of thirty-two are then out of reach. */
const MOST_TRIES = 10

/** What a browser fetches without saying who asks. */
const PUBLIC_FILES: ReadonlySet<string> = new Set(['/mark.svg', '/manifest.webmanifest', '/service-worker.js'])
const tokenOf = (req: Request): string | undefined => parse(req.get('Cookie') ?? '')[COOKIE]
const isAsset = ({ path }: Request): boolean => path.startsWith('/assets/') || PUBLIC_FILES.has(path)

interface GateDeps {
  readonly phones: Pick<PhoneRepository, 'findKitchen'>
  readonly pairPhone: PairPhone
  readonly kitchens: Pick<KitchenRepository, 'find'>
}

/** Addresses are matched without regard to case further in: here as well, or a phone would pass by writing them otherwise. */
const IS_API = /^\/api(\/|$)/i
const OF_NOBODY = /^\/api\/(health|openapi\.json)\/?$/i
const KITCHENS = /^\/api\/kitchens\/?$/i
const OF_KITCHEN = /^\/api\/kitchens\/([^/]+)(\/.*)?$/i
/** Who else may come in is the desk's business. */
const OF_PHONES = /^\/phones(\/|$)/i

/** Whether an address is of a phone's own kitchen, and nothing that only the desk may do. */
function isOwn(path: string, own: string): boolean {
  const [, kitchen = '', rest = ''] = OF_KITCHEN.exec(path) ?? []
  return kitchen === encodeURIComponent(own) && !OF_PHONES.test(rest)
}

/** What a phone may ask of the server: its own kitchen, and nothing of who else may come in. Whatever is not known to be that is refused. */
function createScope({ kitchens }: GateDeps): RequestHandler {
  return async (req, res, next) => {
    const own = String(res.locals.phoneKitchen)
    if (!IS_API.test(req.path) || OF_NOBODY.test(req.path) || isOwn(req.path, own)) return next()
    if (!KITCHENS.test(req.path)) return next(notFound('Not from a phone'))
    const kitchen = await kitchens.find(own)
    res.json(kitchen ? [kitchen] : [])
  }
}

/** Stands before everything that comes from the local network: a phone pairs by a code, and sees its own kitchen from then on. */
export function createLanGate(deps: GateDeps): Router {
  const { phones, pairPhone } = deps
  const router = Router()
  const page = (code: string, problem: string | null) => (nonce: string) => writePairPage({ nonce, code, problem })
  router.get('/pair', (req, res) => {
    const code = typeof req.query.code === 'string' ? req.query.code.slice(0, 20) : ''
    res
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(page(code, null)(String(res.locals.nonce)))
  })
  const limit = rateLimit({
    ...{ windowMs: 60_000, limit: MOST_TRIES, standardHeaders: 'draft-8', legacyHeaders: false },
    handler: (_req, _res, next) => next(new RequestFailure('too-many', 'Wait a minute and try again.')),
  })
  router.post('/pair', limit, express.urlencoded({ extended: false, limit: '4kb' }), async (req, res) => {
    const { code = '', name = '' } = (req.body ?? {}) as { code?: unknown; name?: unknown }
    const called = String(name).trim().slice(0, 80) || 'A phone'
    const claimed = await pairPhone(String(code).slice(0, 40), called)
    if (!claimed) {
      const problem = 'That code lets nobody in: it is mistyped, past, or was used. Ask for a new one under House.'
      res
        .status(400)
        .type('html')
        .send(page(String(code).slice(0, 20), problem)(String(res.locals.nonce)))
      return
    }
    res.cookie(COOKIE, claimed.token, { httpOnly: true, secure: true, sameSite: 'strict', path: '/', maxAge: COOKIE_LIFE_MS })
    res.redirect(303, `/k/${encodeURIComponent(claimed.kitchenId)}/buy`)
  })
  router.use(async (req, res, next) => {
    if (isAsset(req)) return next()
    const token = tokenOf(req)
    const kitchen = token === undefined ? undefined : await phones.findKitchen(token)
    if (kitchen === undefined) {
      if (IS_API.test(req.path)) return next(new RequestFailure('unpaired', 'This phone was not let in, or was shut out. Pair it again.'))
      res.redirect(303, '/pair')
      return
    }
    res.locals.phoneKitchen = kitchen
    next()
  })
  router.use(async (req, res, next) => {
    if (isAsset(req)) return next()
    await createScope(deps)(req, res, next)
  })
  return router
}
