import compression from 'compression'
import express, { Router, type Express, type RequestHandler } from 'express'
import { randomUUID } from 'node:crypto'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import { buildOpenApi, operations, pathsOf, type Operation } from '@tender-gill/contract'
import { ENGINE_VERSION } from '@tender-gill/core'
import { createChangeStream, type ChangeFeed } from '../changes/index.ts'
import type { Compute } from '../compute/index.ts'
import type { OpenDatabase } from '../database/openDatabase.ts'
import type { FeedReader } from '../feeds/feedReader.ts'
import { createKitchenRepository } from '../kitchens/kitchenRepository.ts'
import { createLanGate, createPairPhone, createPhoneRepository, type LanDoor } from '../lan/index.ts'
import { createErrorHandler } from './errorHandler.ts'
import { notFound } from './errors.ts'
import { createHandlers } from './handlers.ts'
import { createNonce, createSecurityHeaders, createWriteLimit, refuseForeignHosts, refuseForeignWrites } from './security.ts'
import { serveOperations } from './serveOperations.ts'
import { refuseOldPages } from './apiName.ts'
import { mountWeb } from './webRoutes.ts'

export interface AppDeps {
  readonly db: OpenDatabase['db']
  readonly log: Logger
  readonly now: () => Date
  /** Whoever computes what keeps a processor busy. */
  readonly compute: Compute
  /** What was kept, as it is kept. */
  readonly changes: ChangeFeed
  /** Folder of the built web application; undefined when only the API is served. */
  readonly webFolder?: string | undefined
  readonly writesPerMinute?: number
  /** Names beside those of this machine under which it may be asked. */
  readonly hosts?: readonly string[]
  /** Merchants' feeds, as they are set when the server starts. */
  readonly feeds?: FeedReader | undefined
  /** The door to the local network, where it is open. */
  readonly lan?: LanDoor | undefined
  /** Whether this is what stands behind that door: who comes in has to be paired. */
  readonly gated?: boolean
}

/** A body may be 1 MB; a file that is brought in may be larger. */
const readSmall = express.json({ limit: '1mb' })
const readFile = express.json({ limit: '40mb' })

/** Paths below /api of operations whose body may be as large as a file. */
const FILE_PATHS = (Object.values(operations) as Operation[])
  .filter(({ file }) => file)
  .flatMap(pathsOf)
  .map((path) => new RegExp(`^${path.replace(/^\/api/, '').replaceAll(/\{\w+\}/g, '[^/]+')}$`))
const readBody: RequestHandler = (req, res, next) => (FILE_PATHS.some((path) => path.test(req.path)) ? readFile : readSmall)(req, res, next)

/** The whole application over a database: security, the operations of the contract, pages, errors last. */
export function createApp({
  db,
  log,
  now,
  compute,
  changes,
  webFolder,
  writesPerMinute = 600,
  hosts = [],
  feeds,
  lan,
  gated = false,
}: AppDeps): Express {
  const kitchens = createKitchenRepository(db, now)
  const app = express()
  app.disable('x-powered-by')
  app.use(
    pinoHttp({
      logger: log,
      quietReqLogger: true,
      genReqId: () => randomUUID().slice(0, 8),
      autoLogging: { ignore: (req) => !req.url?.startsWith('/api') },
    }),
  )
  app.use(createNonce, createSecurityHeaders(), refuseForeignHosts(hosts))
  if (gated)
    app.use(refuseForeignWrites, createLanGate({ phones: createPhoneRepository(db, now), pairPhone: createPairPhone(db, now), kitchens }))
  const api = Router()
  api.use((_req, res, next) => {
    res.set('Cache-Control', 'no-store')
    next()
  })
  api.use(refuseForeignWrites, refuseOldPages)
  api.get('/kitchens/:kitchen/changes', createChangeStream(changes, kitchens))
  api.use(compression({ threshold: 2_000 }), createWriteLimit(writesPerMinute), readBody)
  api.get('/openapi.json', (_req, res) => {
    res.json(buildOpenApi(ENGINE_VERSION))
  })
  api.use(serveOperations({ db, now, kitchens }, createHandlers({ db, now, compute, kitchens, feeds, lan })))
  api.use((req) => {
    throw notFound(`No route ${req.method} ${req.originalUrl}`)
  })
  app.use('/api', api)
  if (webFolder) mountWeb(app, webFolder)
  app.use(createErrorHandler(log))
  return app
}
