import type { Request } from 'express'
import { RequestFailure } from './errors.ts'

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
