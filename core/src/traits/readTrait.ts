import type { AskKey, BandKey, BoneCut, CookedColour, Format, Range, ResolvedOffer } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { computePortionCost } from '../amounts/computePortionCost.ts'
import { estimateMercury } from '../safety/mercury.ts'
import { MARKET_STEP, RAW_AS_COOKED } from '../tables/constants.ts'
import type { Candidate } from './candidates.ts'

const BONE_CUT: Record<Format, BoneCut> = {
  whole: 'whole',
  steak: 'steak',
  'fillet-skin-on': 'fillet-pinned',
  'fillet-skinless': 'fillet-pinned',
  portion: 'fillet-pinned',
  chunk: 'fillet-pinned',
  slice: 'fillet-pinned',
  mince: 'mince',
  frame: 'mince',
}
const NO_BONES: Range = { low: 0, typical: 0, high: 0 }

/** Bones left in what is eaten: pins drawn where they can be drawn, else the fillet as it is; whole flesh where no cut is kept. */
export function readBones(offer: ResolvedOffer, format: Format): Range {
  if (format === 'frame') return NO_BONES
  const cut = BONE_CUT[format]
  return offer.bones[cut] ?? (cut === 'fillet-pinned' ? offer.bones.fillet : null) ?? offer.bones.steak ?? offer.bones.whole ?? NO_BONES
}

const flat = (value: number): Range => ({ low: value, typical: value, high: value })

/** Market readings for fish whose year does not turn with the sea. */
const steadyCondition: Range = { low: 5, typical: 7, high: 9 }

function readMarket(key: BandKey, { offer, form }: Candidate, brief: NormalisedBrief): Range | null {
  const turnsWithTheSea = offer.origin === 'wild' && offer.state === 'fresh'
  switch (key) {
    case 'portionCost':
      return computePortionCost(offer, form, brief)
    case 'landings':
      return turnsWithTheSea ? (offer.season ? flat(offer.season.landings) : null) : flat(1)
    case 'condition': {
      if (!turnsWithTheSea) return steadyCondition
      const typical = offer.season?.condition
      return typical === undefined || typical === null ? null : { low: Math.max(0, typical - 1), typical, high: Math.min(10, typical + 1) }
    }
    case 'stock':
      return offer.stock
    default:
      return null
  }
}

/** Whole weight as it is asked for: of the sizes sold the one nearest to what is wanted, since a buyer picks it; all of them where none is. */
function readWeight({ weightG }: ResolvedOffer, brief: NormalisedBrief): Range {
  const ask = brief.asks.weight
  if (!ask || (ask.from === null && ask.to === null)) return weightG
  const { low, typical, high } = weightG
  const least = Math.max(low, ask.from ?? low)
  const most = Math.min(high, ask.to ?? high)
  if (least <= most) return flat(Math.min(most, Math.max(least, typical)))
  return flat(ask.from !== null && high < ask.from ? high : low)
}

/** What a candidate gives on one ask, in the trait's unit; null when it is not known. */
export function readTrait(key: BandKey, candidate: Candidate, brief: NormalisedBrief): Range | null {
  const { offer } = candidate
  switch (key) {
    case 'bones':
      return readBones(offer, brief.format)
    case 'thickness':
      return offer.depthMm
    case 'weight':
      return readWeight(offer, brief)
    case 'offFlavour':
      return flat(offer.offFlavours?.length ?? 0)
    case 'mercury':
      return estimateMercury(offer.mercury, brief) ?? null
    case 'marketClass':
      return flat(MARKET_STEP[offer.market ?? 'everyday'])
    case 'portionCost':
    case 'landings':
    case 'condition':
    case 'stock':
      return readMarket(key, candidate, brief)
    default:
      return offer.traits[key]
  }
}

/** The colour that is seen on the plate: the cooked one, or that of the raw flesh where the middle stays so. */
export const readColour = ({ rawColour, cookedColour }: ResolvedOffer, { doneness }: Pick<NormalisedBrief, 'doneness'>): CookedColour =>
  doneness === 'rare' ? RAW_AS_COOKED[rawColour] : cookedColour

export const isMarketKey = (key: AskKey): boolean => key === 'portionCost' || key === 'landings' || key === 'condition' || key === 'stock'
