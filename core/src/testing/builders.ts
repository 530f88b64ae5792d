import type { Told } from '@tender-gill/words'
import { told } from './told.ts'
import type { BasedRange, Brief, FleshKey, OfferSheet, Range, ResolvedOffer } from '@tender-gill/contract'

export const TODAY = '2026-06-13'
export const around = (typical: number, by = 0.5): BasedRange => ({
  low: Math.max(0, typical - by),
  typical,
  high: typical + by,
  basis: 'compiled',
})
export const exactly = (value: number): Range => ({ low: value, typical: value, high: value })

const FLESH: Record<FleshKey, number> = {
  firmness: 5,
  flake: 5,
  cohesion: 6,
  fat: 4,
  flavour: 3,
  tolerance: 6,
  collagen: 5,
  skin: 6,
  binding: 6,
  rawBite: 6,
}

export interface OfferPatch extends Partial<Omit<ResolvedOffer, 'traits'>> {
  readonly flesh?: Partial<Record<FleshKey, number>>
}

/** An invented fish that passes most dishes; say only what matters. */
export function buildOffer(species: string, { flesh = {}, ...patch }: OfferPatch = {}): ResolvedOffer {
  const { origin = 'wild', state = 'fresh', part = 'body' } = patch
  const traits = Object.fromEntries(
    Object.entries({ ...FLESH, ...flesh }).map(([key, value]) => [key, around(value)]),
  ) as ResolvedOffer['traits']
  return {
    id: `${species.toLowerCase().replaceAll(' ', '-')}.${origin}.${state}.${part}`,
    species,
    common: species.split(' ')[0] ?? species,
    synonyms: [],
    marketNames: [],
    family: 'Testidae',
    origin,
    state,
    part,
    label: `${origin}, ${state}`,
    body: 'round',
    storage: 'lean',
    familiarity: 5,
    rawColour: 'white',
    cookedColour: 'white',
    traits,
    bones: { whole: around(3), steak: around(2), fillet: around(2), 'fillet-pinned': around(0.5), mince: around(0.2) },
    weightG: { low: 600, typical: 1500, high: 4000, basis: 'compiled' },
    depthMm: { low: 20, typical: 30, high: 45, basis: 'compiled' },
    forms: [
      { form: 'whole', yieldOfWhole: exactly(1) },
      { form: 'gutted', yieldOfWhole: exactly(0.88) },
      { form: 'fillet-skin-on', yieldOfWhole: exactly(0.48) },
      { form: 'fillet-skinless', yieldOfWhole: exactly(0.42) },
      { form: 'steak', yieldOfWhole: exactly(0.62) },
      { form: 'frame', yieldOfWhole: exactly(0.3) },
    ],
    allergen: 'fish',
    bivalve: false,
    parasites: 'controlled-feed',
    water: 'sea',
    frozenForRaw: false,
    histamine: false,
    ciguatera: false,
    waxEster: false,
    mercury: 'low',
    spines: null,
    listing: null,
    prices: [],
    season: null,
    stock: null,
    ...patch,
  }
}

export const buildSheet = (...offers: readonly ResolvedOffer[]): OfferSheet => ({ snapshot: 'test', date: TODAY, offers: [...offers] })
export const buildBrief = (patch: Partial<Brief> = {}): Brief => ({
  dish: 'Test',
  method: 'pan-sear',
  format: 'portion',
  covers: 4,
  ...patch,
})

/** The value of a result that must be good. */
export function must<T>(result: { ok: true; value: T } | { ok: false; error: unknown }): T {
  if (!result.ok) throw new Error(JSON.stringify(result.error))
  return result.value
}
/** The same with its facts told, as a reader sees it. */
export const mustTell = <T>(result: { ok: true; value: T } | { ok: false; error: unknown }): Told<T> => told(must(result))
