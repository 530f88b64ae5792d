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

/** Names under which this machine calls itself. */
const OWN_HOSTS: readonly string[] = ['127.0.0.1', 'localhost', '[::1]']

const hostName = (host: string): string => host.replace(/:\d+$/, '').toLowerCase()

/**
 * Takes requests only under a name on the list: a page elsewhere can make its own name point here, and would otherwise read and write as
 * if it were ours.
 */
export function refuseForeignHosts(more: readonly string[] = []): RequestHandler {
  const known = new Set([...OWN_HOSTS, ...more.map((name) => name.toLowerCase())])
  return (req, _res, next) => {
    const host = req.get('Host')
    next(host !== undefined && known.has(hostName(host)) ? undefined : new RequestFailure('foreign-host', 'This name is not one of ours.'))
  }
}

/** Refuses writes that another site made the browser send: told by the browser's own word, or by where it says they come from. */
export const refuseForeignWrites: RequestHandler = (req, _res, next) => {
  const site = req.get('Sec-Fetch-Site')
  const origin = req.get('Origin')
  const foreignSite = site !== undefined && site !== 'same-origin' && site !== 'none'
  const foreignOrigin = origin !== undefined && origin.replace(/^https?:\/\//, '') !== req.get('Host')
  if (isWrite(req.method) && (foreignSite || foreignOrigin)) next(new RequestFailure('invalid', 'Writes are taken from this site alone.'))
  else next()
}
