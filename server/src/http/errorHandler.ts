import type { ErrorRequestHandler } from 'express'
import type { Logger } from 'pino'
import { createWords } from '@tender-gill/words'
import { readerOf } from './readerOf.ts'
import { FAILURES, RequestFailure, type FailureCode } from './errors.ts'

/** Problems that are told; more would help nobody. */
const MOST_PROBLEMS = 100

interface Coded {
  readonly code?: unknown
  readonly type?: unknown
  readonly status?: unknown
  readonly cause?: unknown
  readonly message?: unknown
  readonly limit?: unknown
}

const CONNECTION_CODES = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  '57P01',
  '57P02',
  '57P03',
  '08000',
  '08003',
  '08006',
  '53300',
])
const CONNECTION_WORDS = /connection terminated|timeout exceeded when trying to connect|Query read timeout|not queryable/i

/** Whether an error, or what caused it, means that the database is away. */
function isDatabaseAway(error: unknown, depth = 0): boolean {
  if (depth > 5 || typeof error !== 'object' || error === null) return false
  const { code, message, cause } = error as Coded
  if (CONNECTION_CODES.has(String(code)) || CONNECTION_WORDS.test(String(message))) return true
  return isDatabaseAway(cause, depth + 1)
}

/** Values that PostgreSQL cannot keep: the input was wrong, whatever checked it before. */
const BAD_VALUES = new Set(['22021', '22P02', '22P05', '22007', '22008', '21000', '22003', '22001'])
const DISK_FULL = new Set(['53100', 'ENOSPC'])
const UNIQUE_VIOLATION = '23505'

/** Whether an error, or what caused it, carries one of these codes. */
function hasCode(error: unknown, codes: ReadonlySet<string>, depth = 0): boolean {
  if (depth > 5 || typeof error !== 'object' || error === null) return false
  const { code, cause } = error as Coded
  return codes.has(String(code)) || hasCode(cause, codes, depth + 1)
}

function classify(error: unknown): RequestFailure {
  if (error instanceof RequestFailure) return error
  const { type, status, message, limit } = error as Coded
  if (type === 'entity.too.large')
    return new RequestFailure('too-large', `A request may be ${Math.round(Number(limit) / 1e6)} MB at most here`)
  if (type === 'entity.parse.failed')
    return new RequestFailure('invalid', 'The body is not JSON', { problems: [{ path: '', message: `is not JSON: ${String(message)}` }] })
  if (hasCode(error, new Set([UNIQUE_VIOLATION])))
    return new RequestFailure('conflict', 'The kitchen already keeps one just like it (same fish, place or list). Change that one.')
  if (hasCode(error, DISK_FULL)) return new RequestFailure('no-room', 'The disk is full. Nothing was stored.')
  if (hasCode(error, BAD_VALUES))
    return new RequestFailure('invalid', 'Some value cannot be stored', {
      problems: [{ path: '', message: 'holds a value that cannot be stored (a day out of range, a text that is none, one name twice)' }],
    })
  if (isDatabaseAway(error)) return new RequestFailure('unavailable', 'Nothing was stored. Try again in a moment.')
  if (status === 400 || status === 415)
    return new RequestFailure('invalid', String(message), { problems: [{ path: '', message: String(message) }] })
  return new RequestFailure('internal', 'The failure was logged.')
}

/** Answers every failure as problem details (RFC 9457). Mounted last. */
export function createErrorHandler(log: Logger): ErrorRequestHandler {
  return (error, req, res, next) => {
    if (res.headersSent) {
      next(error)
      return
    }
    const failure = classify(error)
    const { status, title } = FAILURES[failure.code satisfies FailureCode]
    if (status >= 500) log.error({ err: error, requestId: String(req.id) }, failure.message)
    const requestId = String(req.id)
    const { problems = [], current, sent } = failure.details
    res.status(status).type('application/problem+json')
    res.send(
      JSON.stringify({
        type: `urn:tender-gill:${failure.code}`,
        title,
        status,
        detail: failure.message,
        problems: createWords(readerOf(req)).tell(problems.slice(0, MOST_PROBLEMS)),
        current,
        sent,
        requestId,
      }),
    )
  }
}
