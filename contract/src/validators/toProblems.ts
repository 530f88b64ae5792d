import type { ErrorObject } from 'ajv'
import { escapePointer } from '../pointer.ts'
import type { Problem } from '../problems.ts'

const describe = ({ keyword, params, message }: ErrorObject): string => {
  const p = params as Record<string, unknown>
  switch (keyword) {
    case 'additionalProperties':
      return `unknown field "${String(p.additionalProperty)}"`
    case 'required':
      return 'is required'
    case 'enum':
      return `must be one of: ${(p.allowedValues as unknown[]).join(', ')}`
    case 'minimum':
      return `must be at least ${String(p.limit)}`
    case 'maximum':
      return `must be at most ${String(p.limit)}`
    case 'exclusiveMinimum':
      return `must be more than ${String(p.limit)}`
    case 'minLength':
      return p.limit === 1 ? 'must not be empty' : `must have at least ${String(p.limit)} characters`
    case 'maxLength':
      return `must have at most ${String(p.limit)} characters`
    case 'minItems':
      return p.limit === 1 ? 'must not be empty' : `must hold at least ${String(p.limit)} entries`
    case 'maxItems':
      return `must hold at most ${String(p.limit)} entries`
    case 'uniqueItems':
      return 'must not hold the same entry twice'
    case 'type':
      return `must be ${Array.isArray(p.type) ? p.type.join(' or ') : String(p.type)}`
    case 'format':
      return `must be a ${String(p.format)}, as 2026-06-13`
    case 'pattern':
      return p.pattern === '^(?!0000)' ? 'must be a day from the year 1 on' : 'is not written as it should be'
    default:
      return message ?? keyword
  }
}

const place = ({ keyword, instancePath, params }: ErrorObject): string => {
  const p = params as Record<string, unknown>
  if (keyword === 'additionalProperties') return `${instancePath}/${escapePointer(String(p.additionalProperty))}`
  if (keyword === 'required') return `${instancePath}/${escapePointer(String(p.missingProperty))}`
  return instancePath
}

/** Turns Ajv's errors into problems: one a place, alternatives of a union folded into one sentence. */
export function toProblems(errors: readonly ErrorObject[] | null | undefined): readonly Problem[] {
  const byPath = new Map<string, string[]>()
  for (const error of errors ?? []) {
    if (error.keyword === 'anyOf') continue
    const path = place(error)
    const said = byPath.get(path) ?? []
    const message = describe(error)
    byPath.set(path, said.includes(message) ? said : [...said, message])
  }
  return [...byPath].map(([path, messages]) => ({ path, message: messages.join(', or ') }))
}
