import type { Request } from 'express'
import { isDay } from '@tender-gill/core'
import { RequestFailure } from './errors.ts'

/** A day named in the query; undefined where none is. @throws RequestFailure with its place when it is no date */
export function readDay(req: Request, name: string): string | undefined {
  const asked = req.query[name]
  if (asked === undefined) return undefined
  if (isDay(asked)) return asked
  throw new RequestFailure('invalid', `${name} must be an ISO date`, {
    problems: [{ path: `/${name}`, message: 'must be a date, as 2026-06-13' }],
  })
}
