import type { Problem, Untold } from '@tender-gill/contract'

/** Every way a request can fail, with its status and title. */
export const FAILURES = {
  invalid: { status: 400, title: 'The input is not valid' },
  'foreign-host': { status: 421, title: 'Asked under a name that is not ours' },
  unpaired: { status: 401, title: 'Pair this phone first' },
  'not-found': { status: 404, title: 'There is nothing here' },
  outdated: { status: 426, title: 'This page is older than the server' },
  conflict: { status: 409, title: 'It was changed in the meantime' },
  'precondition-required': { status: 428, title: 'Say which revision you read' },
  'too-large': { status: 413, title: 'The input is too large' },
  'too-many': { status: 429, title: 'Too many requests' },
  'no-room': { status: 507, title: 'There is no room left' },
  unavailable: { status: 503, title: 'The database does not answer' },
  internal: { status: 500, title: 'Something went wrong here' },
} as const
export type FailureCode = keyof typeof FAILURES

/** What is wrong at a place: said by the server, or by the engine and told when it is answered. */
export type AnyProblem = Problem | Untold<Problem>

export interface FailureDetails {
  readonly problems?: readonly AnyProblem[]
  readonly current?: unknown
  readonly sent?: unknown
}

/** A failure a handler means; everything else is answered as unavailable or internal. */
export class RequestFailure extends Error {
  constructor(
    readonly code: FailureCode,
    message: string,
    readonly details: FailureDetails = {},
    options?: ErrorOptions,
  ) {
    super(message, options)
  }
}
/** A 400 that names every place. */
export const refuse = (problems: readonly AnyProblem[]): RequestFailure =>
  new RequestFailure('invalid', 'See the places named', { problems })
export const notFound = (what: string): RequestFailure => new RequestFailure('not-found', what)
