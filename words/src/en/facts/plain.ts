import type { FactCodeOf } from '@tender-gill/core'

/** Texts that stand as they are. */
export const PLAIN_WORDS: Readonly<Record<FactCodeOf<'plain'>, string>> = {
  phrase: '{text}',
  name: '{text}',
  method: '{Method}',
}
