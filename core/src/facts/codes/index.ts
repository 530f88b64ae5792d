import { BUYING_PARAMS } from './buying.ts'
import { CAUTION_PARAMS } from './cautions.ts'
import { COOKING_PARAMS } from './cooking.ts'
import { DAY_PARAMS } from './day.ts'
import { GATE_PARAMS } from './gates.ts'
import { KEEPING_PARAMS } from './keeping.ts'
import { MISS_PARAMS } from './misses.ts'
import { PLAIN_PARAMS } from './plain.ts'
import { PROBLEM_PARAMS } from './problems.ts'
import { SWAP_PARAMS } from './swaps.ts'

/** What the engine says, by subject: a file each here, and one beside it in every language of the package `words`. */
export interface FactSubjects {
  readonly plain: typeof PLAIN_PARAMS
  readonly gates: typeof GATE_PARAMS
  readonly misses: typeof MISS_PARAMS
  readonly cautions: typeof CAUTION_PARAMS
  readonly swaps: typeof SWAP_PARAMS
  readonly buying: typeof BUYING_PARAMS
  readonly keeping: typeof KEEPING_PARAMS
  readonly cooking: typeof COOKING_PARAMS
  readonly day: typeof DAY_PARAMS
  readonly problems: typeof PROBLEM_PARAMS
}
export type FactCodeOf<S extends keyof FactSubjects> = keyof FactSubjects[S]

/**
 * Everything the engine says, by code, with the names of the parameters each sentence takes. The words for it are in the package `words`,
 * a catalogue a language; one that lacks a code does not compile.
 */
export const FACT_PARAMS = {
  ...PLAIN_PARAMS,
  ...GATE_PARAMS,
  ...MISS_PARAMS,
  ...CAUTION_PARAMS,
  ...SWAP_PARAMS,
  ...BUYING_PARAMS,
  ...KEEPING_PARAMS,
  ...COOKING_PARAMS,
  ...DAY_PARAMS,
  ...PROBLEM_PARAMS,
} as const satisfies Readonly<Record<string, readonly string[]>>

export type FactCode = keyof typeof FACT_PARAMS
export type ParamsOf<C extends FactCode> = (typeof FACT_PARAMS)[C][number]
