import { Router, type Request, type Response } from 'express'
import type { Problem, Result } from '@tender-gill/contract'
import { RequestFailure, notFound } from '../http/errors.ts'
import { unwrap } from '../http/parseInput.ts'
import { kitchenOf } from '../kitchens/currentKitchen.ts'
import type { ChangeOutcome, RecordRepository, StoredFields } from './recordRepository.ts'

interface RecordRoutes<Input, Record_> {
  readonly path: string
  readonly what: string
  readonly repository: RecordRepository<Input, Record_>
  /** Schema and, where there is more to check, sense; what makes sense may depend on the kitchen. */
  readonly parse: (body: unknown, kitchenId: string) => Result<Input, readonly Problem[]> | Promise<Result<Input, readonly Problem[]>>
}

/** The revision in If-Match: a whole number in quotes. */
export function readRevision(req: Request): number {
  const header = req.get('If-Match')
  if (header === undefined) throw new RequestFailure('precondition-required', 'Send If-Match with the revision you read')
  const match = /^(?:W\/)?"(\d{1,9})"$/.exec(header.trim())
  if (!match)
    throw new RequestFailure('invalid', 'If-Match must be a revision in quotes, as "3"', {
      problems: [{ path: '', message: 'If-Match must be a revision in quotes' }],
    })
  return Number(match[1])
}

/** Routes of one kind of record, all within the current kitchen. Another kitchen's id is answered as if it did not exist. */
export function createRecordRoutes<Input, Record_ extends StoredFields>({
  path,
  what,
  repository,
  parse,
}: RecordRoutes<Input, Record_>): Router {
  const router = Router()
  const settle = (outcome: ChangeOutcome<Record_>, sent: unknown): Record_ => {
    if (outcome.status === 'changed') return outcome.record
    if (outcome.status === 'missing') throw notFound(`No such ${what}`)
    throw new RequestFailure('conflict', `This ${what} was changed elsewhere. Both versions are here.`, { current: outcome.current, sent })
  }
  const idOf = (req: Request): string => String(req.params.id)
  const read = async (req: Request, res: Response): Promise<Input> => unwrap(await parse(req.body, kitchenOf(res).id))
  router.get(`/${path}`, async (_req, res) => {
    res.json(await repository.list(kitchenOf(res).id))
  })
  router.post(`/${path}`, async (req, res) => {
    const record = await repository.create(kitchenOf(res).id, await read(req, res))
    res.status(201).location(`/api/${path}/${record.id}`).set('ETag', `"${record.revision}"`).json(record)
  })
  router.get(`/${path}/:id`, async (req, res) => {
    const record = await repository.find(kitchenOf(res).id, idOf(req))
    if (!record) throw notFound(`No such ${what}`)
    res.set('ETag', `"${record.revision}"`).json(record)
  })
  router.put(`/${path}/:id`, async (req, res) => {
    const revision = readRevision(req)
    const record = settle(await repository.update(kitchenOf(res).id, idOf(req), revision, await read(req, res)), req.body)
    res.set('ETag', `"${record.revision}"`).json(record)
  })
  router.delete(`/${path}/:id`, async (req, res) => {
    res.json(settle(await repository.remove(kitchenOf(res).id, idOf(req), readRevision(req)), null))
  })
  router.post(`/${path}/:id/restore`, async (req, res) => {
    const record = await repository.restore(kitchenOf(res).id, idOf(req))
    if (!record) throw notFound(`No such ${what}`)
    res.set('ETag', `"${record.revision}"`).json(record)
  })
  return router
}
