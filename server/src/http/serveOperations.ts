import { promisify } from 'node:util'
import { brotliDecompress } from 'node:zlib'
import { Router, type Request, type Response } from 'express'
import {
  operations,
  pathsOf,
  schemas,
  type InputOf,
  type Kitchen,
  type Operation,
  type OperationName,
  type Operations,
  type OutputOf,
  type ParamsOf,
  type Untold,
} from '@tender-gill/contract'
import { createParser } from '@tender-gill/contract/validators'
import { createWords, type Words } from '@tender-gill/words'
import { commitChange, type Told, type Touch } from '../commands/index.ts'
import { nameContents } from '../contents/index.ts'
import type { Database, OpenDatabase } from '../database/openDatabase.ts'
import type { KitchenRepository } from '../kitchens/kitchenRepository.ts'
import { Answered } from './answered.ts'
import { checkText } from './checkText.ts'
import { RequestFailure, notFound } from './errors.ts'
import { unwrap } from './parseInput.ts'
import { readerOf } from './readerOf.ts'
import { readQuery } from './readQuery.ts'
import { readRevision } from './readRevision.ts'

type QueryOf<O> = O extends { readonly query: infer Q }
  ? { readonly [Name in keyof Q]?: Q[Name] extends readonly string[] ? Q[Name][number] : string }
  : object

/** What a handler is given: everything was read and checked against its declaration. */
export interface Asked<O extends Operation> {
  /** The kitchen that the address names; the first one where a verb names none. */
  readonly kitchen: Kitchen
  readonly params: Readonly<Record<ParamsOf<O['path']>, string>>
  readonly query: QueryOf<O>
  readonly input: InputOf<O>
  /** From If-Match; 0 where the operation wants none. */
  readonly revision: number
  /** Told when the one who asked goes away. */
  readonly signal: AbortSignal
}

/** What a handler gives: what the engine says in it is told before it is sent. */
type AnswerOf<O extends Operation> = OutputOf<O> | Untold<OutputOf<O>>

/** Work on the kitchen's data: run in the one transaction of its command. */
export type Commit<T> = (tx: Database, touch: Touch) => Promise<T | Answered<T>>

/** Answers an operation; a command that changes something returns the work to do, so that what is slow is done before the transaction. */
export type Handler<O extends Operation> = (
  asked: Asked<O>,
) => AnswerOf<O> | Answered | Promise<AnswerOf<O> | Answered | (O['kind'] extends 'command' ? Commit<AnswerOf<O>> : never)>

export type Handlers = { readonly [Name in OperationName]: Handler<Operations[Name]> }
/** The handlers of some operations, as one room of the server gives them. */
export type HandlersOf<Name extends OperationName> = Pick<Handlers, Name>

interface ServeDeps {
  readonly db: OpenDatabase['db']
  readonly now: () => Date
  readonly kitchens: KitchenRepository
}

/** Longest name of a page or program, and of a key. */
const MOST_LETTERS = 80
const readName = (req: Request, header: string): string | null => {
  const name = req.get(header)
  if (name === undefined) return null
  if (name.length === 0 || name.length > MOST_LETTERS)
    throw new RequestFailure('invalid', `${header} must be 1 to ${MOST_LETTERS} letters`, {
      problems: [{ path: '', message: `${header} must be 1 to ${MOST_LETTERS} letters` }],
    })
  return name
}

async function findKitchen(kitchens: KitchenRepository, { scope }: Operation, named: string | undefined): Promise<Kitchen> {
  if (named !== undefined) {
    const kitchen = await kitchens.find(named)
    if (!kitchen) throw notFound(`No kitchen "${named}"`)
    return kitchen
  }
  const [first] = await kitchens.list()
  if (!first && scope === 'verb') throw notFound('No kitchen is set up')
  return first as Kitchen
}

/** The caller's going away as a signal. */
function signalOf(res: Response): AbortSignal {
  const gone = new AbortController()
  res.on('close', () => gone.abort())
  return gone.signal
}

const toTold = (operation: Operation, address: string, answer: unknown, words: Words): Told => {
  const { body: answered, options } = answer instanceof Answered ? answer : new Answered(answer)
  const body = Buffer.isBuffer(answered) ? answered : words.tell(answered)
  const record = (typeof body === 'object' && body !== null ? body : {}) as { id?: unknown; revision?: unknown }
  const made = operation.creates && typeof record.id === 'string'
  return {
    status: options.status ?? (operation.creates ? 201 : 200),
    headers: {
      ...(typeof record.revision === 'number' && !operation.many ? { ETag: `"${record.revision}"` } : {}),
      ...(made ? { Location: `${address}/${encodeURIComponent(String(record.id))}` } : {}),
      ...options.headers,
    },
    body,
  }
}

const unpack = promisify(brotliDecompress)

async function send(req: Request, res: Response, { status, headers, body }: Told): Promise<void> {
  const { 'Content-Encoding': encoding, ...rest } = headers
  if (encoding === 'br' && Buffer.isBuffer(body) && req.acceptsEncodings('br') === false) {
    res
      .status(status)
      .set(rest)
      .send(await unpack(body))
    return
  }
  res.status(status).set({ ...headers })
  if (typeof body === 'string' || Buffer.isBuffer(body)) res.send(body)
  else res.json(body)
}

/** Routes for every operation of the contract: each reads and checks what was sent, and gives what its handler answers. */
export function serveOperations({ db, now, kitchens }: ServeDeps, handlers: Handlers): Router {
  const router = Router()
  for (const [name, operation] of Object.entries(operations) as [OperationName, Operation][]) {
    const parse = operation.input ? createParser(schemas[operation.input]) : undefined
    const handle = handlers[name] as unknown as (asked: Asked<Operation>) => unknown
    const serve = async (req: Request, res: Response): Promise<void> => {
      const { kitchen: named, ...params } = req.params as Record<string, string>
      checkText('', params)
      checkText('', req.query)
      checkText('', req.body)
      const kitchen = await findKitchen(kitchens, operation, named)
      const address = `/api/kitchens/${encodeURIComponent(kitchen?.id ?? '')}${operation.path}`
      const asked: Asked<Operation> = {
        kitchen,
        params,
        query: readQuery(req, operation.query ?? {}),
        revision: operation.ifMatch ? readRevision(req) : 0,
        input: (parse ? unwrap(parse(req.body)) : undefined) as undefined,
        signal: signalOf(res),
      }
      const key = readName(req, 'Idempotency-Key')
      const actor = readName(req, 'Client')
      const answer = await handle(asked)
      const words = createWords(readerOf(req))
      if (typeof answer !== 'function') return send(req, res, toTold(operation, address, answer, words))
      const commit = answer as Commit<unknown>
      const order = {
        ...{ kitchenId: kitchen.id, actor, touches: operation.touches },
        key: key === null ? null : { name: key, asked: nameContents([name, params, asked.revision, req.body]) },
      }
      await send(
        req,
        res,
        await commitChange({ db, now }, order, async (tx, touch) => toTold(operation, address, await commit(tx, touch), words)),
      )
    }
    const method = operation.method.toLowerCase() as 'get' | 'post' | 'put' | 'delete'
    for (const path of pathsOf(operation))
      router[method](path.replace(/^\/api/, '').replaceAll(/\{(\w+)\}/g, ':$1') || '/', async (req: Request, res: Response) => {
        try {
          await serve(req, res)
        } catch (error) {
          // Nobody is there any more to be told.
          if (!res.writable || res.destroyed) return
          throw error
        }
      })
  }
  return router
}
