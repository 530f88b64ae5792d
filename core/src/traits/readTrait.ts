import type { AskKey, BandKey, BoneCut, Format, Range, ResolvedOffer } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { computePortionCost } from '../amounts/computePortionCost.ts'
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

/** What a candidate gives on one ask, in the trait's unit; null when it is not known. */
export function readTrait(key: BandKey, candidate: Candidate, brief: NormalisedBrief): Range | null {
  const { offer } = candidate
  switch (key) {
    case 'bones':
      return readBones(offer, brief.format)
    case 'thickness':
      return offer.depthMm
    case 'weight':
      return offer.weightG
    case 'portionCost':
    case 'landings':
    case 'condition':
    case 'stock':
      return readMarket(key, candidate, brief)
    default:
      return offer.traits[key]
  }
}

export const isMarketKey = (key: AskKey): boolean => key === 'portionCost' || key === 'landings' || key === 'condition' || key === 'stock'
