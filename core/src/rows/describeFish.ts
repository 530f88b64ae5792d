import type { Form, PortionCost } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { computePortionCost, computeWeightToBuyG } from '../amounts/index.ts'
import { toHundredth } from '../rounding/index.ts'
import type { Candidate } from '../traits/index.ts'

/** Which fish a row of an answer speaks of. */
export interface FishIdentity {
  species: string
  common: string
  /** The name the cook asked for it by, where it is another. */
  askedAs?: string
  offerId: string
  offer: string
  form: Form
}

/** Which fish, in which offer and form, under the name the cook used. */
export function describeFish({ offer, form }: Candidate, askedAs?: string): FishIdentity {
  return { species: offer.species, common: offer.common, ...(askedAs ? { askedAs } : {}), offerId: offer.id, offer: offer.label, form }
}

/** What a portion costs, to the cent; null where no price is known. */
export function describeCost({ offer, form }: Candidate, brief: NormalisedBrief): PortionCost | null {
  const cost = computePortionCost(offer, form, brief)
  if (!cost) return null
  const { low, typical, high, currency } = cost
  return { low: toHundredth(low), typical: toHundredth(typical), high: toHundredth(high), currency }
}

/** What a portion costs, and the weight to buy for all covers, g. */
export function describePurchase(candidate: Candidate, brief: NormalisedBrief): { portionCost: PortionCost | null; buyG: number } {
  return {
    portionCost: describeCost(candidate, brief),
    buyG: Math.round(computeWeightToBuyG(candidate.offer, candidate.form, brief).typical),
  }
}
