import { escapePointer } from '@tender-gill/contract/validators'
import { RequestFailure } from './errors.ts'

const MOST_DEPTH = 60
/** A zero character, or half of a pair of surrogates: no text, and nothing that can be stored as one. */
const NO_TEXT = /\0|\p{Surrogate}/u

/** The place of the first text that is none, anywhere in a value; undefined where all is well. */
export function findNoText(value: unknown, path = '', depth = 0): string | undefined {
  if (typeof value === 'string') return NO_TEXT.test(value) ? path : undefined
  if (typeof value !== 'object' || value === null || depth > MOST_DEPTH) return undefined
  for (const [key, inner] of Object.entries(value)) {
    const place = `${path}/${escapePointer(key)}`
    const found = NO_TEXT.test(key) ? path : findNoText(inner, place, depth + 1)
    if (found !== undefined) return found
  }
  return undefined
}

/** @throws RequestFailure with the place of a text that is none */
export function checkText(path: string, value: unknown): void {
  const place = findNoText(value, path)
  if (place === undefined) return
  throw new RequestFailure('invalid', 'See the places named', {
    problems: [{ path: place, message: 'holds a character that is no text (a zero, or half of a pair)' }],
  })
}
