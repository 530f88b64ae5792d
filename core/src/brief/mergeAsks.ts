import type { AskInput, AskKey, AskSource, BandKey, Brief, HouseLeanings, Fact } from '@tender-gill/contract'
import { phrase, say, type NormalisedAsk, type NormalisedAsks } from '../facts/index.ts'
import { AXES, DEFAULT_ASK_PULL, STOCK } from '../tables/constants.ts'
import { FORMAT_ASKS, HELD_BY_SKIN, WITHOUT_DEPTH } from '../tables/formats.ts'
import { type DefaultAsk, type DefaultAsks } from '../tables/askTable.ts'
import type { MethodEntry } from '../tables/methods.ts'
import { readAskTable } from '../tables/styles.ts'
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

function methodAsks({ asks }: Pick<MethodEntry, 'asks'>): NormalisedAsks {
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

/** Lets go of a side of a band; what is not asked is let go already. */
function open(ask: NormalisedAsk, { opens }: AskModifier): NormalisedAsk {
  if (!opens) return ask
  const to = opens.to === undefined || ask.to === null ? ask.to : Math.max(ask.to, opens.to)
  return { ...ask, from: opens.from === null ? null : ask.from, to }
}

type Ends = { readonly from?: number | null | undefined; readonly to?: number | null | undefined }
/** Of two bounds the tighter at each end; an end that neither has stays open. */
function tighten(a: Ends | null, b: Ends): { from: number | null; to: number | null } {
  const from = Math.max(a?.from ?? -Infinity, b.from ?? -Infinity)
  const to = Math.min(a?.to ?? Infinity, b.to ?? Infinity)
  return { from: from === -Infinity ? null : from, to: to === Infinity ? null : to }
}

/** Narrows a band to a modifier's edges and raises its pull; if nothing is left the modifier's edge wins. */
function narrow(base: NormalisedAsk | undefined, modifier: AskModifier): NormalisedAsk {
  const ask = open(base ?? blank(modifier.why), modifier)
  let from = modifier.from === undefined ? ask.from : Math.max(ask.from ?? -Infinity, modifier.from)
  let to = modifier.to === undefined ? ask.to : Math.min(ask.to ?? Infinity, modifier.to)
  if (from !== null && to !== null && from > to) {
    if (modifier.from !== undefined) to = Math.max(from, modifier.to ?? from)
    else from = to
  }
  const must = modifier.must ? tighten(ask.must, modifier.must) : ask.must
  return {
    ...ask,
    from,
    to,
    ...(modifier.wanted ? { wanted: [...modifier.wanted] } : {}),
    pull: modifier.silent ? 0 : Math.max(ask.pull, modifier.pull ?? 0),
    must,
    because: with_(ask, modifier.source),
    reason: modifier.why,
  }
}

const isAtEnd = (key: BandKey, end: 'min' | 'max', value: number | null): boolean => value === null || value === AXES[key][end]
/** Whether a wish asks for nothing that is not asked already: within an end that is no stricter, or at the end of the scale. */
function isNoStricter(key: BandKey, input: AskInput, ask: NormalisedAsk): boolean {
  const { from, to } = input
  const below = from === undefined || isAtEnd(key, 'min', from) || (from !== null && ask.from !== null && from <= ask.from)
  const above = to === undefined || isAtEnd(key, 'max', to) || (to !== null && ask.to !== null && to >= ask.to)
  return below && above
}
/** Letting go is said: by opening an end, by no pull, by lifting a must, or by the cook's own hand on the docket. */
const letsGo = ({ from, to, pull, must, loosens }: AskInput): boolean =>
  loosens === true || from === null || to === null || pull === 0 || must === false

/** Lays one ask over another, field by field; what is first named here has the usual pull. */
function applyInput(base: NormalisedAsk | undefined, input: AskInput, source: AskSource, reason: Fact): NormalisedAsk {
  const ask = base ?? { ...blank(reason), pull: DEFAULT_ASK_PULL }
  const from = input.from === undefined ? ask.from : input.from
  const to = input.to === undefined ? ask.to : input.to
  const must = input.must === undefined ? ask.must : input.must ? { from, to } : null
  return { ...ask, from, to, pull: input.pull ?? ask.pull, must, because: with_(ask, source) }
}

/** A wish of the brief. One that names a band no stricter than what stands lowers nothing: not the band, not the pull, not the must. */
function applyWish(key: BandKey, base: NormalisedAsk | undefined, input: AskInput): NormalisedAsk {
  const why = phrase('asked in the brief')
  const namesBand = input.from !== undefined || input.to !== undefined
  if (!base || base.pull === 0 || !namesBand || letsGo(input) || !isNoStricter(key, input, base))
    return applyInput(base, input, 'brief', why)
  const kept = applyInput(base, { pull: Math.max(base.pull, input.pull ?? 0) }, 'brief', why)
  return { ...kept, must: input.must ? tighten(base.must, input) : kept.must, reason: say('why.asked-already', { why: base.reason }) }
}

/** Skin and bone hold what the flesh alone would not: band and must of cohesion are lower there. */
function holdBySkin(asks: NormalisedAsks, { format, skin }: Brief): NormalisedAsks {
  const held = HELD_BY_SKIN[format]
  const ask = asks.cohesion
  if (held === undefined || !ask || (skin === 'off' && format !== 'whole')) return asks
  const lower = (edge: number | null) => (edge === null ? null : Math.max(0, edge - held))
  const must = ask.must && { ...ask.must, from: lower(ask.must.from) }
  return { ...asks, cohesion: { ...ask, from: lower(ask.from), must, because: with_(ask, 'format') } }
}

/** Cured or smoked, and heated through before it is eaten: nothing is sliced raw. */
const isCookedThrough = ({ method, servedAs }: Brief): boolean => servedAs === 'cooked' && (method === 'cure' || method === 'smoke')

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
  const table = readAskTable(brief)
  let asks = methodAsks(table)
  asks = applyTable(asks, table.byFormat?.[brief.format], 'format')
  asks = applyTable(asks, FORMAT_ASKS[brief.format], 'format')
  asks = holdBySkin(asks, brief)
  if (isCookedThrough(brief)) delete asks.rawBite
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
    asks[key] = applyWish(key, asks[key], input)
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
