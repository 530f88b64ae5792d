import type { Request } from 'express'
import { RequestFailure } from './errors.ts'

const ISO_DATE = /^\d{4}-\d{2}-\d{2}$/

/** A day named in the query; undefined where none is. @throws RequestFailure with its place when it is no date */
export function readDay(req: Request, name: string): string | undefined {
  const asked = req.query[name]
  if (asked === undefined) return undefined
  if (typeof asked === 'string' && ISO_DATE.test(asked) && !Number.isNaN(Date.parse(asked))) return asked
  throw new RequestFailure('invalid', `${name} must be an ISO date`, {
    problems: [{ path: `/${name}`, message: 'must be a date, as 2026-06-13' }],
  })
}
