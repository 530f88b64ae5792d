import type { ResolvedOffer } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'

type Cooking = Pick<NormalisedBrief, 'method' | 'smokeHeat' | 'servedAs' | 'doneness'>
type Serving = Cooking & Pick<NormalisedBrief, 'diners' | 'rawTreatment'>

/**
 * Whether the dish is eaten without being cooked through: raw, cured or cold-smoked and not heated before it is served, or left rare in the
 * middle.
 */
export const isServedRaw = ({ method, smokeHeat, servedAs, doneness }: Cooking): boolean =>
  method === 'raw' || doneness === 'rare' || (servedAs !== 'cooked' && (method === 'cure' || (method === 'smoke' && smokeHeat === 'cold')))

/** Diners for whom raw and barely cooked fish is closed: children under 12, pregnant, elderly, immunocompromised. */
export const hasVulnerable = ({ diners }: Pick<NormalisedBrief, 'diners'>): boolean =>
  (diners.children ?? 0) + (diners.pregnant ?? 0) + (diners.elderly ?? 0) + (diners.immunocompromised ?? 0) > 0

export type RawRefusal = 'fresh-water' | 'bivalve' | 'parasites'

/**
 * Why an offer may not be served raw, or undefined when it may. Unknown facts close.
 * Freezing opens parasites only; it opens neither fresh water nor bivalves.
 */
export function findRawRefusal(offer: ResolvedOffer, brief: Serving): RawRefusal | undefined {
  if (!isServedRaw(brief)) return undefined
  if (offer.water !== 'sea') return 'fresh-water'
  if (offer.bivalve) return 'bivalve'
  const frozen = brief.rawTreatment === 'frozen' || offer.frozenForRaw
  const safeUnfrozen = offer.parasites === 'controlled-feed' || offer.parasites === 'low'
  return frozen || safeUnfrozen ? undefined : 'parasites'
}
