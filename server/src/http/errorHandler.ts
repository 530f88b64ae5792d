import type { ErrorRequestHandler } from 'express'
import type { Logger } from 'pino'
import { FAILURES, RequestFailure, type FailureCode } from './errors.ts'

interface Coded {
  readonly code?: unknown
  readonly type?: unknown
  readonly status?: unknown
  readonly cause?: unknown
  readonly message?: unknown
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

const UNIQUE_VIOLATION = '23505'
/** Whether the database refused a second row of what may be there once. */
function isDuplicate(error: unknown, depth = 0): boolean {
  if (depth > 5 || typeof error !== 'object' || error === null) return false
  const { code, cause } = error as Coded
  return code === UNIQUE_VIOLATION || isDuplicate(cause, depth + 1)
}

function classify(error: unknown): RequestFailure {
  if (error instanceof RequestFailure) return error
  const { type, status, message } = error as Coded
  if (type === 'entity.too.large') return new RequestFailure('too-large', 'A request may be 1 MB at most')
  if (type === 'entity.parse.failed')
    return new RequestFailure('invalid', 'The body is not JSON', { problems: [{ path: '', message: `is not JSON: ${String(message)}` }] })
  if (isDuplicate(error)) return new RequestFailure('conflict', 'The kitchen already keeps one of this name. Change that one.')
  if (isDatabaseAway(error)) return new RequestFailure('unavailable', 'Nothing was stored. Try again in a moment.')
  if (status === 400 || status === 415)
    return new RequestFailure('invalid', String(message), { problems: [{ path: '', message: String(message) }] })
  return new RequestFailure('internal', 'The failure was logged.')
}

/** Answers every failure as problem details (RFC 9457). Mounted last. */
export function createErrorHandler(log: Logger): ErrorRequestHandler {
  return (error, _req, res, next) => {
    if (res.headersSent) {
      next(error)
      return
    }
    const failure = classify(error)
    const { status, title } = FAILURES[failure.code satisfies FailureCode]
    if (status >= 500) log.error({ err: error }, failure.message)
    const { problems = [], current, sent } = failure.details
    res.status(status).type('application/problem+json')
    res.send(JSON.stringify({ type: `urn:tender-gill:${failure.code}`, title, status, detail: failure.message, problems, current, sent }))
  }
}
