import { Type, type Static } from '@sinclair/typebox'
import { closed } from './schemaParts.ts'
import { SentenceText } from './facts.ts'

/** One thing wrong with an input: where (JSON Pointer, RFC 6901) and what, in words. */
export const Problem = closed({ path: Type.String(), message: SentenceText(1000) })
export type Problem = Static<typeof Problem>

/** RFC 9457 problem details with our own list of places. */
export const ProblemDetails = closed(
  {
    type: Type.String(),
    title: Type.String(),
    status: Type.Integer(),
    detail: Type.Optional(Type.String()),
    problems: Type.Array(Problem),
    current: Type.Optional(Type.Unknown({ description: 'On 409: the stored version.' })),
    sent: Type.Optional(Type.Unknown({ description: 'On 409: what was sent.' })),
    requestId: Type.Optional(Type.String({ description: 'Under which the log speaks of this request.' })),
  },
  { $id: 'ProblemDetails' },
)
export type ProblemDetails = Static<typeof ProblemDetails>

export type Result<T, E> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: E }
