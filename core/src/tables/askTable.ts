import type { AskKey, BandKey, CookedColour } from '@tender-gill/contract'

/** One default ask of a method, with the cook's reason for it. Bounds left out are open. */
export interface DefaultAsk {
  readonly from?: number
  readonly to?: number
  readonly pull: number
  /** A bound no score buys back; looser than the band. */
  readonly must?: { readonly from?: number; readonly to?: number }
  readonly why: string
}
export type DefaultAsks = { readonly [K in BandKey]?: DefaultAsk } & {
  readonly colour?: { readonly wanted: readonly CookedColour[]; readonly pull: number; readonly why: string }
}

/** What a cut changes of what is asked, field by field. */
export type AskPatches = { readonly [K in AskKey]?: Partial<DefaultAsk> }

/** Short ways to write an ask, so that a table reads as a table. */
export const ask = (
  from: number | undefined,
  to: number | undefined,
  pull: number,
  why: string,
  must?: DefaultAsk['must'],
): DefaultAsk => ({
  ...(from === undefined ? {} : { from }),
  ...(to === undefined ? {} : { to }),
  pull,
  why,
  ...(must ? { must } : {}),
})
export const from = (edge: number, pull: number, why: string, must?: number) =>
  ask(edge, undefined, pull, why, must === undefined ? undefined : { from: must })
export const upTo = (edge: number, pull: number, why: string, must?: number) =>
  ask(undefined, edge, pull, why, must === undefined ? undefined : { to: must })
export const band = (low: number, high: number, pull: number, why: string) => ask(low, high, pull, why)
