import type { AskKey, Fact, Range } from '@tender-gill/contract'
import { band, money, say, term, trait, type NormalisedAsk } from '../facts/index.ts'

/** What a reader needs of a reading. */
export interface MissReading {
  readonly key: AskKey
  readonly value: Range | null
  readonly unknown: boolean
}

const WAY_BELOW: Partial<Record<AskKey, Fact>> = {
  firmness: say('miss.below.firmness'),
  flake: say('miss.below.flake'),
  cohesion: say('miss.below.cohesion'),
  fat: say('miss.below.fat'),
  flavour: say('miss.below.flavour'),
  tolerance: say('miss.below.tolerance'),
  collagen: say('miss.below.collagen'),
  skin: say('miss.below.skin'),
  binding: say('miss.below.binding'),
  rawBite: say('miss.below.rawBite'),
  thickness: say('miss.below.thickness'),
  weight: say('miss.below.weight'),
  landings: say('miss.below.landings'),
  condition: say('miss.below.condition'),
  stock: say('miss.below.stock'),
}
const WAY_ABOVE: Partial<Record<AskKey, Fact>> = {
  firmness: say('miss.above.firmness'),
  flake: say('miss.above.flake'),
  fat: say('miss.above.fat'),
  flavour: say('miss.above.flavour'),
  bones: say('miss.above.bones'),
  weight: say('miss.above.weight'),
  portionCost: say('miss.above.portionCost'),
  thickness: say('miss.above.thickness'),
  mercury: say('miss.above.mercury'),
}

/** Why an ask cost points: what is wanted, what is there, and which way it misses. @param currency ISO 4217 of what a portion costs; null where none is set */
export function describeMiss({ key, value, unknown }: MissReading, ask: NormalisedAsk | undefined, currency: string | null = null): Fact {
  if (unknown || !ask) return say('miss.unscored', { ask: term('ask', key) })
  if (key === 'colour') return say('miss.colour', { wanted: [...(ask.wanted ?? [])] })
  if (!value) return say('miss.unknown', { ask: term('ask', key) })
  if (key === 'offFlavour') return say('miss.off-flavour')
  if (key === 'marketClass') return say('miss.market-class', { class: value.typical >= 2 ? 'premium' : 'everyday' })
  if (key === 'portionCost' && ask.to !== null)
    return say('miss.cost', { cost: money(value.typical, currency), most: money(ask.to, currency) })
  const below = ask.from !== null && value.typical < ask.from
  const way = (below ? WAY_BELOW[key] : WAY_ABOVE[key]) ?? say('miss.outside')
  return say('miss.band', { ask: term('ask', key), value: trait(key, value.typical), wanted: band(key, ask.from, ask.to), way })
}
