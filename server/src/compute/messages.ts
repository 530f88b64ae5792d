import type { Kitchen } from '@tender-gill/contract'
import { RequestFailure, type FailureCode, type FailureDetails } from '../http/errors.ts'
import type { StudyName } from './studies.ts'
import { GoneAway } from './study.ts'

/** What is said to a computing thread. */
export type ToThread =
  | { readonly say: 'ask'; readonly id: number; readonly name: StudyName; readonly kitchen: Kitchen; readonly payload: unknown }
  | { readonly say: 'leave'; readonly id: number }

/** What a computing thread answers. */
export type FromThread =
  | { readonly say: 'answer'; readonly id: number; readonly value: unknown }
  | { readonly say: 'refuse'; readonly id: number; readonly code: FailureCode; readonly message: string; readonly details: FailureDetails }
  | { readonly say: 'gone'; readonly id: number }
  | {
      readonly say: 'fail'
      readonly id: number
      readonly message: string
      readonly stack: string
      readonly code: string | null
      readonly causes: readonly string[]
    }

const codeOf = (error: unknown, depth = 0): string | null => {
  if (depth > 5 || typeof error !== 'object' || error === null) return null
  const { code, cause } = error as { code?: unknown; cause?: unknown }
  return typeof code === 'string' ? code : codeOf(cause, depth + 1)
}

/** What each error in a chain of causes says: a driver's own words are what tells a database that is away. */
const causesOf = (error: unknown, depth = 0): readonly string[] =>
  depth > 5 || !(error instanceof Error) || !(error.cause instanceof Error)
    ? []
    : [error.cause.message, ...causesOf(error.cause, depth + 1)]

/** A failure as it goes between threads: an error of ours does not survive being copied. */
export function toMessage(id: number, error: unknown): FromThread {
  if (error instanceof RequestFailure) return { say: 'refuse', id, code: error.code, message: error.message, details: error.details }
  if (error instanceof GoneAway) return { say: 'gone', id }
  const { message, stack } = error instanceof Error ? error : new Error(String(error))
  return { say: 'fail', id, message, stack: stack ?? message, code: codeOf(error), causes: causesOf(error) }
}

/** The failure that a thread told of. */
export function toError(told: Exclude<FromThread, { say: 'answer' }>): Error {
  if (told.say === 'refuse') return new RequestFailure(told.code, told.message, told.details)
  if (told.say === 'gone') return new GoneAway()
  const cause = told.causes.reduceRight<Error | undefined>((inner, message) => new Error(message, { cause: inner }), undefined)
  const error = new Error(told.message, { cause }) as Error & { code?: string }
  error.stack = told.stack
  if (told.code !== null) error.code = told.code
  return error
}
