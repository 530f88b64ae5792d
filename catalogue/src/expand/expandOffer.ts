import {
  FLESH_KEYS,
  type BasedRange,
  type Body,
  type BoneCut,
  type FleshKey,
  type Form,
  type OfferForm,
  type ResolvedOffer,
  type SourceOffer,
  type SourceSpecies,
  type State,
  type Triple,
} from '@tender-gill/contract'
import { baseRange } from './basis.ts'
import { FORMS_SOLD, FROZEN_SHIFT, MINCE_BONES, YIELD_OF_WHOLE, YIELD_SPREAD, spread } from './defaults.ts'
import { measureDepth } from './measureDepth.ts'

export interface OfferSource {
  readonly species: SourceSpecies
  /** The book's own entry; undefined for a species of the house's own. */
  readonly shipped: SourceSpecies | undefined
  readonly offer: SourceOffer
  readonly state: State
}

const sameKind = (a: SourceOffer, b: SourceOffer) => a.origin === b.origin && (a.part ?? 'body') === (b.part ?? 'body')
const findShipped = ({ shipped, offer }: OfferSource) => shipped?.offers.find((one) => sameKind(one, offer))
const clamp = (x: number, max: number) => Math.min(max, Math.max(0, Math.round(x * 100) / 100))

function expandFlesh(source: OfferSource): Record<FleshKey, BasedRange> {
  const { species, shipped, offer, state } = source
  const shippedOffer = findShipped(source)
  const entries = FLESH_KEYS.map((key) => {
    const triple = offer.flesh?.[key] ?? species.flesh[key]
    const book = shippedOffer && shipped ? (shippedOffer.flesh?.[key] ?? shipped.flesh[key]) : undefined
    const range = baseRange(triple, book)
    const by = state === 'fresh' ? 0 : (FROZEN_SHIFT[key] ?? 0)
    const max = key === 'fat' ? 40 : 10
    const shift = (x: number) => clamp(x + by, max)
    return [key, { ...range, low: shift(range.low), typical: shift(range.typical), high: shift(range.high) }] as const
  })
  return Object.fromEntries(entries) as Record<FleshKey, BasedRange>
}

function expandBones(source: OfferSource): Record<BoneCut, BasedRange | null> {
  const { species, shipped, offer } = source
  const { bones, pinBones = 'drawn' } = species
  const shippedOffer = findShipped(source)
  const cut = (key: keyof SourceSpecies['bones'], fallback?: Triple): BasedRange | null => {
    const triple = offer.bones?.[key] ?? bones[key] ?? fallback
    return triple ? baseRange(triple, shippedOffer?.bones?.[key] ?? shipped?.bones[key] ?? (shipped ? fallback : undefined)) : null
  }
  return {
    whole: cut('whole'),
    steak: cut('steak'),
    fillet: cut('fillet'),
    'fillet-pinned': pinBones === 'forked' ? null : cut('pinned'),
    mince: cut('mince', MINCE_BONES[pinBones]),
  }
}

/** Cuts keep the frame out; a frozen fish is sold in cuts or gutted, never round from the boat. */
function expandForms(species: SourceSpecies, offer: SourceOffer, body: Body): OfferForm[] {
  const forms: readonly Form[] = offer.forms ?? species.forms ?? FORMS_SOLD[body]
  return forms.map((form) => {
    const share = form === 'whole' ? 1 : (species.yields?.[form] ?? YIELD_OF_WHOLE[body][form])
    return { form, yieldOfWhole: form === 'whole' ? { low: 1, typical: 1, high: 1 } : spread(share, YIELD_SPREAD) }
  })
}

function expandSize({ species, shipped, offer }: OfferSource, shippedOffer: SourceOffer | undefined, body: Body) {
  const weightG = offer.weightG ?? species.weightG
  const depth = offer.depthMm ?? (offer.weightG ? undefined : species.depthMm)
  const bookWeight = shippedOffer?.weightG ?? shipped?.weightG
  const bookDepth = shippedOffer?.depthMm ?? (shippedOffer?.weightG ? undefined : shipped?.depthMm)
  const depthMm = depth ?? measureDepth(body, weightG)
  return {
    weightG: baseRange(weightG, bookWeight),
    depthMm: baseRange(depthMm, bookDepth ?? (bookWeight && measureDepth(shipped?.body ?? 'round', bookWeight))),
  }
}

function describeOffer({ origin, part, label }: SourceOffer, state: State): string {
  const where = part && part !== 'body' && part !== 'loin' ? `, ${part}` : ''
  return `${origin}, ${label ? `${label}, ` : ''}${state}${where}`
}

const slug = (scientific: string) => scientific.toLowerCase().replaceAll(' ', '-')

/** One offer in one state, as the engine is fed it. */
export function expandOffer(source: OfferSource): ResolvedOffer {
  const { species, offer, state } = source
  const body = species.body ?? 'round'
  const colour = offer.colour ?? species.colour
  const part = offer.part ?? 'body'
  return {
    id: `${slug(species.scientific)}.${offer.origin}.${state}.${part}`,
    species: species.scientific,
    common: species.common,
    synonyms: species.synonyms ?? [],
    marketNames: [...new Set(Object.values(species.names).flat())],
    family: species.family,
    origin: offer.origin,
    state,
    part,
    label: describeOffer(offer, state),
    body,
    storage: species.storage ?? 'lean',
    familiarity: species.familiarity,
    rawColour: colour.raw,
    cookedColour: colour.cooked,
    traits: expandFlesh(source),
    bones: expandBones(source),
    ...expandSize(source, findShipped(source), body),
    forms: expandForms(species, offer, body),
    allergen: species.allergen ?? 'fish',
    bivalve: species.bivalve ?? false,
    parasites: offer.parasites,
    water: offer.water ?? 'sea',
    frozenForRaw: false,
    histamine: species.histamine ?? false,
    ciguatera: species.ciguatera ?? false,
    waxEster: species.waxEster ?? false,
    mercury: species.mercury,
    spines: species.spines ?? null,
    market: species.market,
    scales: species.scales,
    offFlavours: [...(species.offFlavours ?? [])],
    listing: species.listing ?? null,
    prices: [],
    season: null,
    stock: null,
  }
}
