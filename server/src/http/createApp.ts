import cookieParser from 'cookie-parser'
import { sql } from 'drizzle-orm'
import express, { type Express, type RequestHandler } from 'express'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import { buildOpenApi } from '@tender-gill/contract'
import { parseMerchantInput, parseRateInput } from '@tender-gill/contract/validators'
import { createParseBrief, createParsePrice, createParseSeason, createParseStock } from '../records/senses.ts'
import { ENGINE_VERSION } from '@tender-gill/core'
import { createAbsenceRepository } from '../absences/absenceRepository.ts'
import { createAbsenceRoutes } from '../absences/absenceRoutes.ts'
import { createAnswerRoutes } from '../answers/answerRoutes.ts'
import { createBookRoutes, createParseHouseSpecies } from '../book/bookRoutes.ts'
import { createHouseBooks } from '../book/houseBook.ts'
import { createCoverCardRoutes } from '../coverCard/coverCardRoutes.ts'
import { createDecisionRepository } from '../decisions/decisionRepository.ts'
import { createDecisionRoutes } from '../decisions/decisionRoutes.ts'
import type { Database } from '../database/openDatabase.ts'
import { createCurrentKitchen } from '../kitchens/currentKitchen.ts'
import type { FeedReader } from '../feeds/feedReader.ts'
import { createFeedRoutes } from '../feeds/feedRoutes.ts'
import { createKitchenRepository } from '../kitchens/kitchenRepository.ts'
import { createKitchenRoutes } from '../kitchens/kitchenRoutes.ts'
import { createLeaningsRepository } from '../leanings/leaningsRepository.ts'
import { createLeaningsRoutes } from '../leanings/leaningsRoutes.ts'
import {
  briefMapping,
  houseSpeciesMapping,
  merchantMapping,
  priceMapping,
  rateMapping,
  seasonMapping,
  stockMapping,
} from '../records/mappings.ts'
import { createMarketFileRoutes } from '../marketFiles/marketFileRoutes.ts'
import { createMarketDayRoutes } from '../marketDay/marketDayRoutes.ts'
import { createPriceListRepository } from '../priceLists/priceListRepository.ts'
import { createPriceListRoutes } from '../priceLists/priceListRoutes.ts'
import { createRecordRepository } from '../records/recordRepository.ts'
import { createRecordRoutes } from '../records/recordRoutes.ts'
import { createKitchenSheets } from '../sheets/kitchenSheets.ts'
import { createErrorHandler } from './errorHandler.ts'
import { notFound } from './errors.ts'
import { createNonce, createSecurityHeaders, createWriteLimit, refuseForeignWrites } from './security.ts'
import { mountWeb } from './webRoutes.ts'

export interface AppDeps {
  readonly db: Database
  readonly log: Logger
  readonly now: () => Date
  readonly cookieSecret: string
  /** Folder of the built web application; undefined when only the API is served. */
  readonly webFolder?: string | undefined
  readonly writesPerMinute?: number
  /** Merchants' feeds, as they are set when the server starts. */
  readonly feeds?: FeedReader | undefined
}

/** A body may be 1 MB; a file that is brought in may be larger. */
const readSmall = express.json({ limit: '1mb' })
const readFile = express.json({ limit: '40mb' })
const LARGE_BODIES: ReadonlySet<string> = new Set(['/species-import', '/price-lists', '/seasons-file', '/stocks-file'])
const readBody: RequestHandler = (req, res, next) => (LARGE_BODIES.has(req.path) ? readFile : readSmall)(req, res, next)

/** The whole application over a database: security, kitchen, routes, pages, errors last. */
export function createApp({ db, log, now, cookieSecret, webFolder, writesPerMinute = 600, feeds }: AppDeps): Express {
  const kitchens = createKitchenRepository(db, now)
  const briefs = createRecordRepository(db, now, briefMapping)
  const prices = createRecordRepository(db, now, priceMapping)
  const seasons = createRecordRepository(db, now, seasonMapping)
  const stocks = createRecordRepository(db, now, stockMapping)
  const house = createRecordRepository(db, now, houseSpeciesMapping)
  const leanings = createLeaningsRepository(db, now)
  const books = createHouseBooks(db, leanings)
  const decisions = createDecisionRepository(db, now)
  const absences = createAbsenceRepository(db, now)
  const merchants = createRecordRepository(db, now, merchantMapping)
  const rates = createRecordRepository(db, now, rateMapping)
  const lists = createPriceListRepository(db, now)
  const openSheets = createKitchenSheets({ books, prices, lists, rates, kitchens, seasons, stocks, absences })
  const app = express()
  app.disable('x-powered-by')
  app.use(pinoHttp({ logger: log, quietReqLogger: true, autoLogging: { ignore: (req) => !req.url?.startsWith('/api') } }))
  app.use(createNonce, createSecurityHeaders())
  app.get('/api/health', async (_req, res) => {
    await db.execute(sql`select 1`)
    res.json({ status: 'ok', engineVersion: ENGINE_VERSION })
  })
  app.use('/api', refuseForeignWrites, createWriteLimit(writesPerMinute), readBody, cookieParser(cookieSecret))
  app.use('/api', (_req, res, next) => {
    res.set('Cache-Control', 'no-store')
    next()
  })
  app.get('/api/openapi.json', (_req, res) => {
    res.json(buildOpenApi(ENGINE_VERSION))
  })
  app.use('/api', createCurrentKitchen(kitchens))
  app.use(
    '/api',
    createKitchenRoutes(kitchens),
    createAnswerRoutes(openSheets),
    createAbsenceRoutes({ absences, briefs, openSheets }),
    createCoverCardRoutes({ briefs, openSheets }),
    createBookRoutes({ db, now, books, house }),
    createDecisionRoutes({ decisions, briefs, openSheets }),
    createLeaningsRoutes(leanings),
    createPriceListRoutes({ books, lists, merchants }),
    createFeedRoutes(feeds),
    createMarketFileRoutes({ db, now, seasons, stocks, parseSeason: createParseSeason(books), parseStock: createParseStock(books) }),
    createMarketDayRoutes({ briefs, decisions, merchants, openSheets, now }),
  )
  app.use('/api', createRecordRoutes({ path: 'briefs', what: 'dish', repository: briefs, parse: createParseBrief(books) }))
  app.use('/api', createRecordRoutes({ path: 'prices', what: 'price', repository: prices, parse: createParsePrice(books) }))
  app.use('/api', createRecordRoutes({ path: 'seasons', what: 'year', repository: seasons, parse: createParseSeason(books) }))
  app.use('/api', createRecordRoutes({ path: 'stocks', what: 'stock', repository: stocks, parse: createParseStock(books) }))
  app.use('/api', createRecordRoutes({ path: 'merchants', what: 'merchant', repository: merchants, parse: parseMerchantInput }))
  app.use('/api', createRecordRoutes({ path: 'rates', what: 'rate', repository: rates, parse: parseRateInput }))
  app.use(
    '/api',
    createRecordRoutes({
      path: 'house-species',
      what: 'species in the house’s hand',
      repository: house,
      parse: createParseHouseSpecies(books),
    }),
  )
  app.use('/api', (req) => {
    throw notFound(`No route ${req.method} ${req.originalUrl}`)
  })
  if (webFolder) mountWeb(app, webFolder)
  app.use(createErrorHandler(log))
  return app
}
