import type { Result } from '@tender-gill/contract'
import { RequestFailure, type AnyProblem } from './errors.ts'

/** The value of a result, or a 400 that names every place. */
export function unwrap<T>(result: Result<T, readonly AnyProblem[]>): T {
  if (result.ok) return result.value
  throw new RequestFailure('invalid', 'See the places named', { problems: result.error })
}
