import type { Request } from 'express'
import { isDay } from '@tender-gill/core'
import type { Problem, QueryValue } from '@tender-gill/contract'
import { RequestFailure } from './errors.ts'

const MOST_LETTERS = 200

function findProblem(kind: QueryValue, value: unknown): string | undefined {
  if (typeof value !== 'string') return 'must be said once'
  if (kind === 'day') return isDay(value) ? undefined : 'must be a date, as 2026-06-13'
  if (kind === 'text') return value.length <= MOST_LETTERS ? undefined : `must have at most ${MOST_LETTERS} characters`
  return kind.includes(value) ? undefined : `must be one of: ${kind.join(', ')}`
}

/** What stands behind the question mark, as declared; what is not declared is passed over. @throws RequestFailure with its places */
export function readQuery(req: Request, declared: Readonly<Record<string, QueryValue>>): Readonly<Record<string, string>> {
  const read: Record<string, string> = {}
  const problems: Problem[] = []
  for (const [name, kind] of Object.entries(declared)) {
    const value: unknown = req.query[name]
    if (value === undefined) continue
    const message = findProblem(kind, value)
    if (message) problems.push({ path: `/${name}`, message })
    else read[name] = value as string
  }
  if (problems.length > 0) throw new RequestFailure('invalid', 'See the places named', { problems })
  return read
}
