import type { ResolvedOffer } from '@tender-gill/contract'
import { celsius, days, figure, phrase, say, term, type Caution, type NormalisedBrief } from '../facts/index.ts'
import { computeDaysLeft, computeIceDays } from '../cold/index.ts'
import { MERCURY_LIMIT_UG_PER_KG_WEEK } from '../tables/constants.ts'
import { readBones } from '../traits/index.ts'
import { estimateMercury } from './mercury.ts'
import { describeListing, FREEZING_FOR_RAW } from './published.ts'
import { hasVulnerable, isServedRaw } from './rawSafety.ts'

const two = (n: number) => figure(n, n < 1 ? 2 : 1)

/** Commonly given as the temperature in the middle at which fish is cooked through. */
const SAFE_C = 63

function mercuryCaution(offer: ResolvedOffer, brief: NormalisedBrief): Caution | undefined {
  if (offer.mercury === 'low') return undefined
  const estimate = estimateMercury(offer.mercury, brief)
  if (!estimate) {
    if (offer.mercury !== 'very-high' && offer.mercury !== 'high') return undefined
    return { kind: 'mercury', sentence: say('caution.mercury.predator') }
  }
  const { low, typical, high } = estimate
  return {
    kind: 'mercury',
    sentence: say(estimate.eater === 'child' ? 'caution.mercury.child' : 'caution.mercury.pregnant', {
      known: offer.mercury === 'unknown' ? 'no' : 'yes',
      ...{ typical: two(typical), low: two(low), high: two(high) },
      verdict: estimate.overLimit ? 'above' : 'below',
      limit: figure(MERCURY_LIMIT_UG_PER_KG_WEEK.typical, 2),
      limitLow: figure(MERCURY_LIMIT_UG_PER_KG_WEEK.low, 2),
      limitHigh: figure(MERCURY_LIMIT_UG_PER_KG_WEEK.high, 2),
    }),
  }
}

function keepingCautions(offer: ResolvedOffer, brief: NormalisedBrief): readonly Caution[] {
  const found: Caution[] = []
  if (offer.histamine) {
    const warm = brief.keep && brief.keep.tempC > 4 ? celsius(brief.keep.tempC) : null
    found.push({
      kind: 'histamine',
      sentence: warm ? say('caution.histamine.warm', { temperature: warm }) : say('caution.histamine'),
    })
  }
  if (!brief.keep) return found
  const needed = computeIceDays(brief.keep)
  const left = computeDaysLeft(offer, { servedRaw: isServedRaw(brief) })
  if (brief.keep.tempC > 15) found.push({ kind: 'keeping', sentence: say('caution.keeping.warm', { temperature: celsius(15) }) })
  else if (brief.keep.tempC < -2 && brief.keep.tempC > -10)
    found.push({ kind: 'keeping', sentence: say('caution.keeping.between', { from: celsius(-10), to: celsius(-2) }) })
  if (needed > left.low)
    found.push({
      kind: 'keeping',
      sentence: say('caution.keeping.old', { needed: days(needed), left: days(left.low) }),
    })
  return found
}

function rawCautions(offer: ResolvedOffer, brief: NormalisedBrief): readonly Caution[] {
  const found: Caution[] = []
  if (isServedRaw(brief)) {
    const frozen = brief.rawTreatment === 'frozen' || offer.frozenForRaw
    found.push({
      kind: 'raw',
      sentence: frozen ? say('caution.raw.frozen', FREEZING_FOR_RAW) : say('caution.raw.fresh'),
    })
  }
  if (brief.doneness === 'rare') found.push({ kind: 'doneness', sentence: say('caution.raw.rare') })
  if (brief.style === 'ripened' || brief.style === 'air-dried' || brief.style === 'dry-salt')
    found.push({ kind: 'salt', sentence: say('caution.salt-time') })
  if (brief.doneness === 'moist' && !isServedRaw(brief) && offer.parasites !== 'controlled-feed' && offer.parasites !== 'low')
    found.push({ kind: 'doneness', sentence: say('caution.doneness.moist', { temperature: celsius(SAFE_C) }) })
  return found
}

function fishCautions(offer: ResolvedOffer): readonly Caution[] {
  const found: Caution[] = []
  if (offer.ciguatera)
    found.push({
      kind: 'ciguatera',
      sentence: say('caution.ciguatera'),
    })
  if (offer.spines) found.push({ kind: 'spines', sentence: phrase(offer.spines) })
  if (offer.listing) found.push({ kind: 'listing', sentence: describeListing(offer.listing) })
  return found
}

function dinerCautions(offer: ResolvedOffer, brief: NormalisedBrief): readonly Caution[] {
  const found: Caution[] = []
  const bones = readBones(offer, brief.format)
  const shy = (brief.diners.children ?? 0) > 0 || (brief.diners.elderly ?? 0) > 0
  if (bones.typical > 2 && (shy || brief.diners.boneShy))
    found.push({
      kind: 'bones',
      sentence: say('caution.bones'),
    })
  if (brief.openedByHand.length > 0)
    found.push({ kind: 'opened', sentence: say('caution.opened', { asks: brief.openedByHand.map((key) => term('ask', key)) }) })
  if (hasVulnerable(brief) && !isServedRaw(brief))
    found.push({ kind: 'doneness', sentence: say('caution.doneness.through', { temperature: celsius(SAFE_C) }) })
  if (brief.oddCut) found.push({ kind: 'format', sentence: say('caution.format', { odd: brief.oddCut }) })
  return found
}

/** Everything that stands beside the choice in plain words: safety first, then handling. */
export function findCautions(offer: ResolvedOffer, brief: NormalisedBrief): readonly Caution[] {
  const mercury = mercuryCaution(offer, brief)
  return [
    ...rawCautions(offer, brief),
    ...(mercury ? [mercury] : []),
    ...keepingCautions(offer, brief),
    ...fishCautions(offer),
    ...dinerCautions(offer, brief),
  ]
}
