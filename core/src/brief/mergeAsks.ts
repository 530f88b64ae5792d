import type { AskInput, AskKey, AskSource, BandKey, Brief, HouseLeanings, Fact } from '@tender-gill/contract'
import { phrase, type NormalisedAsk, type NormalisedAsks } from '../facts/index.ts'
import { DEFAULT_ASK_PULL, STOCK } from '../tables/constants.ts'
import { FORMAT_ASKS, WITHOUT_DEPTH } from '../tables/formats.ts'
import { METHOD_TABLE, type DefaultAsk, type DefaultAsks } from '../tables/methods.ts'
import type { AskModifier } from './findModifiers.ts'

type Colour = NonNullable<DefaultAsks['colour']>
const blank = (reason: Fact): NormalisedAsk => ({ from: null, to: null, pull: 0, must: null, because: [], reason })
const with_ = (ask: NormalisedAsk, source: AskSource): AskSource[] =>
  ask.because.includes(source) ? ask.because : [...ask.because, source]

function fromDefault(base: NormalisedAsk | undefined, patch: Partial<DefaultAsk>, source: AskSource): NormalisedAsk {
  const ask = base ?? blank(phrase(patch.why ?? 'asked by the cut'))
  return {
    ...ask,
    from: patch.from ?? (base ? ask.from : null),
    to: patch.to ?? (base ? ask.to : null),
    pull: patch.pull ?? ask.pull,
    must: patch.must ? { from: patch.must.from ?? null, to: patch.must.to ?? null } : ask.must,
    because: with_(ask, source),
    reason: patch.why === undefined ? ask.reason : phrase(patch.why),
  }
}

function methodAsks(brief: Brief): NormalisedAsks {
  const { asks } = METHOD_TABLE[brief.method]
  const merged: NormalisedAsks = {}
  for (const [key, ask] of Object.entries(asks) as [AskKey, DefaultAsk | Colour][]) {
    merged[key] =
      'wanted' in ask
        ? { ...blank(phrase(ask.why)), wanted: [...ask.wanted], pull: ask.pull, because: ['method'] }
        : fromDefault(undefined, ask, 'method')
  }
  return merged
}

/** Applies a table of partial asks that only change what is already asked, or add an ask of their own with a band. */
function applyTable(
  asks: NormalisedAsks,
  table: { readonly [K in AskKey]?: Partial<DefaultAsk> } | undefined,
  source: AskSource,
): NormalisedAsks {
  const merged = { ...asks }
  for (const [key, patch] of Object.entries(table ?? {}) as [AskKey, Partial<DefaultAsk>][]) {
    const base = merged[key]
    if (!base && patch.from === undefined && patch.to === undefined) continue
    merged[key] = fromDefault(base, patch, source)
  }
  return merged
}

/** Narrows a band to a modifier's edges and raises its pull; if nothing is left the modifier's edge wins. */
function narrow(base: NormalisedAsk | undefined, modifier: AskModifier): NormalisedAsk {
  const ask = base ?? blank(modifier.why)
  let from = modifier.from === undefined ? ask.from : Math.max(ask.from ?? -Infinity, modifier.from)
  let to = modifier.to === undefined ? ask.to : Math.min(ask.to ?? Infinity, modifier.to)
  if (from !== null && to !== null && from > to) {
    if (modifier.from !== undefined) to = Math.max(from, modifier.to ?? from)
    else from = to
  }
  const tighter = (a: number | null | undefined, b: number | undefined, pick: (...n: number[]) => number) =>
    b === undefined ? (a ?? null) : a === null || a === undefined ? b : pick(a, b)
  const must = modifier.must
    ? { from: tighter(ask.must?.from, modifier.must.from, Math.max), to: tighter(ask.must?.to, modifier.must.to, Math.min) }
    : ask.must
  return {
    ...ask,
    from,
    to,
    pull: modifier.silent ? 0 : Math.max(ask.pull, modifier.pull ?? 0),
    must,
    because: with_(ask, modifier.source),
    reason: modifier.why,
  }
}

/** Lays one ask over another, field by field; what is first named here has the usual pull. */
function applyInput(base: NormalisedAsk | undefined, input: AskInput, source: AskSource, reason: Fact): NormalisedAsk {
  const ask = base ?? { ...blank(reason), pull: DEFAULT_ASK_PULL }
  const from = input.from === undefined ? ask.from : input.from
  const to = input.to === undefined ? ask.to : input.to
  const must = input.must === undefined ? ask.must : input.must ? { from, to } : null
  return { ...ask, from, to, pull: input.pull ?? ask.pull, must, because: with_(ask, source) }
}

/** Asks that mean nothing for this cut are dropped, so that no fish is judged on them. */
function dropIdle(asks: NormalisedAsks, brief: Brief): NormalisedAsks {
  if (!WITHOUT_DEPTH.has(brief.format) || brief.asks?.thickness) return asks
  const rest = { ...asks }
  delete rest.thickness
  return rest
}

export interface MergedAsks {
  readonly asks: NormalisedAsks
  /** Traits whose method must the brief lifted. */
  readonly openedByHand: readonly BandKey[]
}

/**
 * Merges the asks of a brief: method, then cut, then modifiers, then the house's leanings, then the brief's own, trait by trait and field by field.
 */
export function mergeAsks(brief: Brief, modifiers: readonly AskModifier[], leanings: HouseLeanings = {}): MergedAsks {
  let asks = methodAsks(brief)
  asks = applyTable(asks, METHOD_TABLE[brief.method].byFormat?.[brief.format], 'format')
  asks = applyTable(asks, FORMAT_ASKS[brief.format], 'format')
  for (const modifier of modifiers) asks[modifier.key] = narrow(asks[modifier.key], modifier)
  for (const [key, input] of Object.entries(leanings.asks ?? {}) as [BandKey, AskInput][]) {
    // A house may say how much something matters, or what it wants; that alone asks for nothing a method does not ask.
    if (!asks[key] && (input.from ?? null) === null && (input.to ?? null) === null) continue
    asks[key] = applyInput(asks[key], input, 'house', phrase('the house leans so'))
  }
  if (leanings.usualPortionCost && !brief.budget && !leanings.asks?.portionCost)
    asks.portionCost = applyInput(
      asks.portionCost,
      { from: null, to: leanings.usualPortionCost.perPortion },
      'house',
      phrase('what a portion usually costs here'),
    )
  if (!leanings.asks?.stock)
    asks.stock = applyInput(
      asks.stock,
      { from: leanings.stock?.wish ?? STOCK.wish, to: null },
      'house',
      phrase('stocks that stand well are wished for'),
    )
  const openedByHand: BandKey[] = []
  for (const [key, input] of Object.entries(brief.asks ?? {}) as [BandKey, AskInput][]) {
    if (input.must === false && asks[key]?.must) openedByHand.push(key)
    asks[key] = applyInput(asks[key], input, 'brief', phrase('asked in the brief'))
  }
  if (brief.colour) {
    const base = asks.colour ?? { ...blank(phrase('asked in the brief')), pull: DEFAULT_ASK_PULL }
    asks.colour = {
      ...base,
      wanted: [...brief.colour.wanted],
      pull: brief.colour.pull ?? base.pull,
      must: brief.colour.must ? { from: null, to: null } : null,
      because: with_(base, 'brief'),
      reason: phrase('asked in the brief'),
    }
  }
  return { asks: dropIdle(asks, brief), openedByHand }
}
