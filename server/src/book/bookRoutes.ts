import { Router, type Request } from 'express'
import { exportSpecies, findMistakes, findShipped, listSources } from '@tender-gill/catalogue'
import type { HouseSpeciesInput, HouseSpeciesRecord, Problem, Result } from '@tender-gill/contract'
import { SourceSpecies } from '@tender-gill/contract'
import { parseHouseSpeciesInput, parseSpeciesImport } from '@tender-gill/contract/validators'
import { notFound } from '../http/errors.ts'
import { unwrap } from '../http/parseInput.ts'
import { kitchenOf } from '../kitchens/currentKitchen.ts'
import type { RecordRepository } from '../records/recordRepository.ts'
import type { HouseBooks } from './houseBook.ts'
import { bringIn, takeBack, type ImportDeps } from './speciesImport.ts'

interface BookDeps extends ImportDeps {
  readonly books: HouseBooks
  readonly house: RecordRepository<HouseSpeciesInput, HouseSpeciesRecord>
}

/** A species in the house's hand is checked as the shipped files are, and may not take another's name. */
export const createParseHouseSpecies =
  (books: HouseBooks) =>
  async (body: unknown, kitchenId: string): Promise<Result<HouseSpeciesInput, readonly Problem[]>> => {
    const parsed = parseHouseSpeciesInput(body)
    if (!parsed.ok) return parsed
    const { source } = parsed.value
    const { findSpecies } = await books.read(kitchenId)
    const taken = [source.scientific, ...(source.synonyms ?? [])].flatMap((name): Problem[] => {
      const owner = findSpecies(name)
      return owner !== undefined && owner !== source.scientific
        ? [{ path: '/scientific', message: `the name ${name} belongs to ${owner}` }]
        : []
    })
    const problems = [...findMistakes(source), ...taken].map(({ path, message }) => ({ path: `/source${path}`, message }))
    return problems.length > 0 ? { ok: false, error: problems } : parsed
  }

const formatOf = (req: Request): 'json' | 'csv' => (req.query.format === 'csv' ? 'csv' : 'json')

/** The species book: every entry as the kitchen has it, what stands in the files behind it, in and out as files. */
export function createBookRoutes({ db, now, books, house }: BookDeps): Router {
  const router = Router()
  router.get('/species', async (_req, res) => {
    res.json((await books.read(kitchenOf(res).id)).sheets)
  })
  router.get('/species/:name', async (req, res) => {
    const { sheets, findSpecies } = await books.read(kitchenOf(res).id)
    const accepted = findSpecies(req.params.name)
    const found = sheets.find(({ species }) => species === accepted)
    if (!found) throw notFound(`No fish named "${req.params.name}" in the book`)
    res.json(accepted === req.params.name ? found : { ...found, askedAs: req.params.name })
  })
  /** What stands written under a name; nothing where the name is no species. */
  router.get('/species/:name/source', async (req, res) => {
    const { findSpecies } = await books.read(kitchenOf(res).id)
    const accepted = findSpecies(req.params.name)
    const own = (await house.list(kitchenOf(res).id)).find(({ source }) => source.scientific === accepted)
    res.json({ shipped: (accepted && findShipped(accepted)) ?? null, house: own ?? null })
  })
  router.get('/species-schema', (_req, res) => {
    res.json({ $schema: 'https://json-schema.org/draft/2020-12/schema', ...SourceSpecies })
  })
  router.get('/species-export', async (req, res) => {
    const kitchenId = kitchenOf(res).id
    const format = formatOf(req)
    const all = (await books.read(kitchenId)).listSources()
    const sources = req.query.what === 'house' ? (await house.list(kitchenId)).map(({ source }) => source) : all
    res.type(format === 'csv' ? 'text/csv' : 'application/json').attachment(`species.${format}`)
    res.send(exportSpecies(sources, format, [...all, ...listSources()]))
  })
  router.post('/species-import', async (req, res) => {
    const kitchenId = kitchenOf(res).id
    const file = unwrap(parseSpeciesImport(req.body))
    res.json(await bringIn({ db, now }, kitchenId, await books.read(kitchenId), file))
  })
  router.post('/species-import/:id/undo', async (req, res) => {
    const rows = await takeBack({ db, now }, kitchenOf(res).id, req.params.id)
    if (rows === 0) throw notFound('No such import, or it was taken back already')
    res.json({ rows })
  })
  return router
}
