import cookieParser from 'cookie-parser'
import { sql } from 'drizzle-orm'
import express, { type Express, type RequestHandler } from 'express'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import { buildOpenApi, type BriefInput, type Problem, type Result } from '@tender-gill/contract'
import { parseBriefInput, parsePriceInput } from '@tender-gill/contract/validators'
import { ENGINE_VERSION, normaliseBrief } from '@tender-gill/core'
import { createAbsenceRepository } from '../absences/absenceRepository.ts'
import { createAbsenceRoutes } from '../absences/absenceRoutes.ts'
import { createAnswerRoutes } from '../answers/answerRoutes.ts'
import { createBookRoutes, createParseHouseSpecies } from '../book/bookRoutes.ts'
import { createHouseBooks, type HouseBooks } from '../book/houseBook.ts'
import { createCoverCardRoutes } from '../coverCard/coverCardRoutes.ts'
import { createDecisionRepository } from '../decisions/decisionRepository.ts'
import { createDecisionRoutes } from '../decisions/decisionRoutes.ts'
import type { Database } from '../database/openDatabase.ts'
import { createCurrentKitchen } from '../kitchens/currentKitchen.ts'
import { createKitchenRepository } from '../kitchens/kitchenRepository.ts'
import { createKitchenRoutes } from '../kitchens/kitchenRoutes.ts'
import { createLeaningsRepository } from '../leanings/leaningsRepository.ts'
import { createLeaningsRoutes } from '../leanings/leaningsRoutes.ts'
import { briefMapping, houseSpeciesMapping, priceMapping } from '../records/mappings.ts'
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
}

const within = (place: string, problems: readonly Problem[]): readonly Problem[] =>
  problems.map(({ path, message }) => ({ path: `${place}${path}`, message }))

/** A brief is stored only when it makes sense as well as fits its schema. */
const createParseBrief =
  (books: HouseBooks) =>
  async (body: unknown, kitchenId: string): Promise<Result<BriefInput, readonly Problem[]>> => {
    const parsed = parseBriefInput(body)
    if (!parsed.ok) return parsed
    const { findSpecies } = await books.read(kitchenId)
    const sense = normaliseBrief(parsed.value.brief, { findSpecies, today: '2000-01-01' })
    return sense.ok ? parsed : { ok: false, error: within('/brief', sense.error) }
  }

/** A price needs a fish of the book, and a weight where it is by the piece. */
const createParsePrice =
  (books: HouseBooks) =>
  async (body: unknown, kitchenId: string): Promise<ReturnType<typeof parsePriceInput>> => {
    const parsed = parsePriceInput(body)
    if (!parsed.ok) return parsed
    const { findSpecies } = await books.read(kitchenId)
    const { species, unit, eachG } = parsed.value.price
    const problems: Problem[] = []
    if (!findSpecies(species)) problems.push({ path: '/price/species', message: `no fish named "${species}" in the book` })
    if (unit === 'each' && eachG === undefined) problems.push({ path: '/price/eachG', message: 'is required for a price by the piece' })
    return problems.length > 0 ? { ok: false, error: problems } : parsed
  }

/** A body may be 1 MB; a file of species that is brought in may be larger. */
const readSmall = express.json({ limit: '1mb' })
const readFile = express.json({ limit: '40mb' })
const readBody: RequestHandler = (req, res, next) => (req.path === '/species-import' ? readFile : readSmall)(req, res, next)

/** The whole application over a database: security, kitchen, routes, pages, errors last. */
export function createApp({ db, log, now, cookieSecret, webFolder, writesPerMinute = 600 }: AppDeps): Express {
  const kitchens = createKitchenRepository(db, now)
  const briefs = createRecordRepository(db, now, briefMapping)
  const prices = createRecordRepository(db, now, priceMapping)
  const house = createRecordRepository(db, now, houseSpeciesMapping)
  const leanings = createLeaningsRepository(db, now)
  const books = createHouseBooks(db, leanings)
  const decisions = createDecisionRepository(db, now)
  const absences = createAbsenceRepository(db, now)
  const openSheets = createKitchenSheets({ books, prices, absences })
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
  )
  app.use('/api', createRecordRoutes({ path: 'briefs', what: 'dish', repository: briefs, parse: createParseBrief(books) }))
  app.use('/api', createRecordRoutes({ path: 'prices', what: 'price', repository: prices, parse: createParsePrice(books) }))
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
