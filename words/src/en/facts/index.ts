import type { FactCode } from '@tender-gill/core'
import { BUYING_WORDS } from './buying.ts'
import { CAUTION_WORDS } from './cautions.ts'
import { COOKING_WORDS } from './cooking.ts'
import { DAY_WORDS } from './day.ts'
import { GATE_WORDS } from './gates.ts'
import { KEEPING_WORDS } from './keeping.ts'
import { MISS_WORDS } from './misses.ts'
import { PLAIN_WORDS } from './plain.ts'
import { PROBLEM_WORDS } from './problems.ts'
import { SWAP_WORDS } from './swaps.ts'

/**
 * What the engine says, in English, as ICU messages. A parameter written with a capital stands at the beginning of a sentence; `units` is
 * `us` or `metric`.
 */
export const EN_FACTS: Readonly<Record<FactCode, string>> = {
  ...PLAIN_WORDS,
  ...GATE_WORDS,
  ...MISS_WORDS,
  ...CAUTION_WORDS,
  ...SWAP_WORDS,
  ...BUYING_WORDS,
  ...KEEPING_WORDS,
  ...COOKING_WORDS,
  ...DAY_WORDS,
  ...PROBLEM_WORDS,
}
