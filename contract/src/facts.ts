import { Type } from '@sinclair/typebox'

/**
 * What the engine says, apart from the words for it: a code with its parameters. The package `words` turns it into a sentence, in a
 * language, in units and in money as a person reads them.
 */
export interface Fact {
  readonly code: string
  readonly params: Readonly<Record<string, FactParam>>
}

/** A number with what it measures. The unit is that of the value; how it is written is the reader's. */
export type Quantity =
  | { readonly quantity: 'mass'; readonly g: number }
  /** A mass to be bought, written exactly and never down; a price by mass, of a kilogram. */
  | { readonly quantity: 'mass-to-buy'; readonly g: number }
  | { readonly quantity: 'mass-price'; readonly perKg: number; readonly currency: string }
  | { readonly quantity: 'length'; readonly mm: number }
  | { readonly quantity: 'temperature'; readonly celsius: number }
  | { readonly quantity: 'time'; readonly minutes: number }
  | { readonly quantity: 'days'; readonly days: number }
  | { readonly quantity: 'money'; readonly amount: number; readonly currency: string | null }
  | { readonly quantity: 'share'; readonly share: number }
  /** A plain number to so many digits behind the point at most. */
  | { readonly quantity: 'number'; readonly value: number; readonly digits: number }
  /** A trait of a fish or another thing that is asked for: its word and its figure. */
  | { readonly quantity: 'trait'; readonly ask: string; readonly value: number }
  | { readonly quantity: 'band' | 'bound'; readonly ask: string; readonly from: number | null; readonly to: number | null }

/** A word of the trade by its key: an ask, a cut, a way of cooking, a month. */
export interface Term {
  readonly term:
    | 'ask'
    | 'form'
    | 'format'
    | 'method'
    | 'gate'
    | 'origin'
    | 'state'
    | 'allergen'
    | 'month'
    | 'day'
    | 'caution'
    | 'sign'
    | 'signLevel'
    | 'lookView'
    | 'medium'
    | 'window'
  readonly key: string
}

/** Text that stands as it is: a name from the book, what a person typed. */
export type FactParam = string | number | Quantity | Term | Fact | readonly FactParam[]

/** A sentence for people. It is text; the mark only tells it from other text, so that `Untold` finds it. */
export type Sentence = string & { readonly told?: never }
/** An answer as the engine gives it: a fact in the place of each sentence. */
export type Untold<T> = T extends string ? ('told' extends keyof T ? Fact : T) : T extends object ? { [K in keyof T]: Untold<T[K]> } : T

export const SentenceText = (maxLength: number, options: { readonly description?: string } = {}) =>
  Type.Unsafe<Sentence>(Type.String({ minLength: 1, maxLength, ...options }))
