import type {
  Allergen,
  AskKey,
  Circumstance,
  CookMedium,
  Form,
  Format,
  Gate,
  LookView,
  Method,
  Origin,
  Sign,
  SignLevel,
  State,
  Style,
  TextureKey,
  WindowKind,
} from '@tender-gill/contract'

/** The words of the trade in one language. */
export interface Terms {
  /** What each ask is called on a docket. */
  readonly ask: Readonly<Record<AskKey, string>>
  readonly form: Readonly<Record<Form, string>>
  /** Cuts, as a dish takes them. */
  readonly format: Readonly<Record<Format, string>>
  readonly method: Readonly<Record<Method, string>>
  /** Ways within a way of cooking. */
  readonly style: Readonly<Record<Style, string>>
  /** Short names of gates, for counts: "64 too soft to hold". */
  readonly gate: Readonly<Record<Gate, string>>
  readonly origin: Readonly<Record<Origin, string>>
  readonly state: Readonly<Record<State, string>>
  readonly allergen: Readonly<Record<Allergen, string>>
  /** Kinds of caution, as they are named in passing. */
  readonly caution: Readonly<Record<string, string>>
  /** What a fish tells of its age. */
  readonly sign: Readonly<Record<Sign, string>>
  readonly signLevel: Readonly<Record<`${Sign}.${SignLevel}`, string>>
  /** What makes a sign lie. */
  readonly circumstance: Readonly<Record<Circumstance, string>>
  readonly lookView: Readonly<Record<LookView, string>>
  /** What a piece lies in or on while it cooks and rests. */
  readonly medium: Readonly<Record<CookMedium, string>>
  /** What is done to a fish before it is cooked. */
  readonly window: Readonly<Record<WindowKind, string>>
  /** January first. */
  readonly months: readonly string[]
  /** Words along each 0 to 10 scale, from its low end to its high end. */
  readonly steps: { readonly [K in AskKey]?: readonly string[] }
  /** What another fish with less and with more of a trait is called beside this one. */
  readonly differences: Readonly<Record<TextureKey, readonly [less: string, more: string]>>
  /** How bands and bounds are said, around their ends. */
  readonly bands: Readonly<Record<'any' | 'atMost' | 'orMore' | 'between' | 'noLess' | 'noMore' | 'both', string>>
  /** How figures are said with what they count. */
  readonly figures: Readonly<
    Record<
      | 'fat'
      | 'mercury'
      | 'underUsed'
      | 'everyday'
      | 'premium'
      | 'landings'
      | 'stock'
      | 'step'
      | 'days'
      | 'minutes'
      | 'share'
      | 'aKilo'
      | 'aPound'
      | 'kilo'
      | 'pound',
      string
    >
  >
}

/** @param month 1..12 */
export const nameMonth = (month: number, { months }: Pick<Terms, 'months'>): string => months[month - 1] ?? ''
/** A day as people say it, "16 June". @param date ISO date */
export const nameDay = (date: string, terms: Pick<Terms, 'months'>): string =>
  `${Number(date.slice(8, 10))} ${nameMonth(Number(date.slice(5, 7)), terms)}`

/** Puts texts in the places of a short pattern of the terms. */
export const fill = (pattern: string, values: Readonly<Record<string, string>>): string =>
  pattern.replace(/\{(\w+)\}/g, (whole, name: string) => values[name] ?? whole)
