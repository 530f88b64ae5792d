import type { SerializedError } from '@reduxjs/toolkit'
import type { FetchBaseQueryError } from '@reduxjs/toolkit/query'
import { toProblemDetails } from '../api/api.ts'

/** Why a command was not carried out, in words for people. */
export function describeFailure(error: FetchBaseQueryError | SerializedError | undefined): string {
  const details = toProblemDetails(error)
  const status = (error as { status?: number | string } | undefined)?.status
  if (status === 'FETCH_ERROR' || status === 503) return 'Nothing was stored: the server does not answer. Try again in a moment.'
  if (status === 404) return 'Nothing was stored: it is no longer there.'
  if (status === 409) return details?.detail ?? 'Nothing was stored: it was changed elsewhere.'
  if (status === 429) return 'Nothing was stored: too much at once. Wait a minute and try again.'
  if (status === 400) {
    const [problem] = details?.problems ?? []
    return problem ? `Nothing was stored: ${problem.message}.` : 'Nothing was stored: something in it is wrong.'
  }
  const name = details?.requestId ? ` The log speaks of it under ${details.requestId}.` : ''
  return `Nothing was stored: something went wrong.${name}`
}
