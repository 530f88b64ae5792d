import type { AskKey, NormalisedAsk, Range } from '@tender-gill/contract'
import { ASK_LABEL, describeBand, describeValue } from './words.ts'

/** What a reader needs of a reading. */
export interface MissReading {
  readonly key: AskKey
  readonly value: Range | null
  readonly unknown: boolean
}

const TOO_LOW: Partial<Record<AskKey, string>> = {
  firmness: 'softer than asked',
  flake: 'smaller flakes than asked',
  cohesion: 'more fragile than asked',
  fat: 'leaner than asked',
  flavour: 'milder than asked',
  tolerance: 'dries sooner than asked',
  collagen: 'gives less body than asked',
  skin: 'skin crisps less than asked',
  binding: 'binds less than asked',
  rawBite: 'softer raw than asked',
  thickness: 'thinner than asked',
  weight: 'smaller fish than asked',
  landings: 'fewer landed than asked',
  condition: 'thinner condition than asked',
  stock: 'stock stands lower than the house wishes',
}
const TOO_HIGH: Partial<Record<AskKey, string>> = {
  firmness: 'firmer than asked',
  flake: 'larger flakes than asked',
  fat: 'fatter than asked',
  flavour: 'stronger than asked',
  bones: 'bonier than asked',
  weight: 'bigger fish than asked',
  portionCost: 'dearer than asked',
  thickness: 'thicker than asked',
}

/** Why an ask cost points, in one sentence: what is wanted, what is there, and which way it misses. */
export function describeMiss({ key, value, unknown }: MissReading, ask: NormalisedAsk | undefined): string {
  const label = ASK_LABEL[key]
  if (unknown || !ask) return `${label} is not known for this fish, so it counts as middling.`
  if (key === 'colour') return `Its cooked colour is not among ${(ask.wanted ?? []).join(', ')}.`
  if (!value) return `${label} is not known for this fish.`
  const below = ask.from !== null && value.typical < ask.from
  const way = (below ? TOO_LOW[key] : TOO_HIGH[key]) ?? 'outside what is asked'
  return `${label}: ${describeValue(key, value.typical)}, wanted ${describeBand(key, ask.from, ask.to)}; ${way}.`
}
