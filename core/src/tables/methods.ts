import type { Format, Method } from '@tender-gill/contract'
import { DRY_METHODS } from './dryMethods.ts'
import type { MethodEntry } from './methodEntry.ts'
import { WET_METHODS } from './wetMethods.ts'

export type { Heat, MethodEntry } from './methodEntry.ts'

/** What each way of cooking asks of a fish. */
export const METHOD_TABLE: Record<Method, MethodEntry> = { ...DRY_METHODS, ...WET_METHODS }

/** Ways of cooking in which nobody sees which fish it is: a dear one is wasted there. */
export const HIDES_THE_FISH: ReadonlySet<Method> = new Set<Method>(['mince', 'chowder', 'broth'])
/** Cuts that hide it in a way of cooking that otherwise shows it: poached chunks go under a crust or a sauce. */
export const HIDING_CUTS: { readonly [M in Method]?: readonly Format[] } = { poach: ['chunk', 'mince'] }
/** Ways of cooking that cover or ask for a taste of earth, sea or ammonia. */
export const HIDES_OFF_FLAVOURS: ReadonlySet<Method> = new Set<Method>(['curry', 'smoke', 'broth'])
/** Ways of cooking in which a whole fish may be of any size, where nothing is said. */
export const ANY_SIZE: ReadonlySet<Method> = new Set<Method>(['broth', 'cure', 'smoke', 'mince'])
