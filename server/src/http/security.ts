import { randomBytes } from 'node:crypto'
import type { RequestHandler } from 'express'
import { rateLimit } from 'express-rate-limit'
import helmet from 'helmet'
import { RequestFailure } from './errors.ts'

/** A fresh nonce for each answer, for the styles that are made in the page. */
export const createNonce: RequestHandler = (_req, res, next) => {
  res.locals.nonce = randomBytes(16).toString('base64')
  next()
}

/** Headers for every answer: nothing from elsewhere, no inline script, no frame around it. */
export const createSecurityHeaders = (): RequestHandler =>
  helmet({
    strictTransportSecurity: false,
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'", (_req, res) => `'nonce-${(res as unknown as { locals: { nonce: string } }).locals.nonce}'`],
        styleSrcAttr: ["'none'"],
        imgSrc: ["'self'", 'data:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
        objectSrc: ["'none'"],
      },
    },
  })

const isWrite = (method: string) => method !== 'GET' && method !== 'HEAD' && method !== 'OPTIONS'

/** Refuses more than so many writes and computations a minute from one address. */
export const createWriteLimit = (perMinute: number): RequestHandler =>
  rateLimit({
    windowMs: 60_000,
    limit: perMinute,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    skip: (req) => !isWrite(req.method),
    handler: (_req, _res, next) => next(new RequestFailure('too-many', 'Wait a minute and try again.')),
  })

/** Refuses writes that another site made the browser send. */
export const refuseForeignWrites: RequestHandler = (req, _res, next) => {
  const site = req.get('Sec-Fetch-Site')
  if (isWrite(req.method) && site !== undefined && site !== 'same-origin' && site !== 'none')
    next(new RequestFailure('invalid', 'Writes are taken from this site alone.'))
  else next()
}
