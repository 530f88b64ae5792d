import type { Caution, NormalisedBrief, ResolvedOffer } from '@tender-gill/contract'
import { computeDaysLeft, computeIceDays } from '../cold/index.ts'
import { MERCURY_LIMIT_UG_PER_KG_WEEK } from '../tables/constants.ts'
import { readBones } from '../traits/index.ts'
import { estimateMercury } from './mercury.ts'
import { hasVulnerable, isServedRaw } from './rawSafety.ts'

const ADVICE = 'Follow your local authority’s advice.'
const two = (n: number) => (n < 1 ? n.toFixed(2) : n.toFixed(1))

function mercuryCaution(offer: ResolvedOffer, brief: NormalisedBrief): Caution | undefined {
  if (offer.mercury === 'low') return undefined
  const estimate = estimateMercury(offer.mercury, brief)
  if (!estimate) {
    if (offer.mercury !== 'very-high' && offer.mercury !== 'high') return undefined
    return { kind: 'mercury', sentence: `A large predator that gathers mercury: not for every week. ${ADVICE}` }
  }
  const who = estimate.eater === 'child' ? 'a small child of 20 kg' : 'a pregnant diner of 60 kg'
  const verdict = estimate.overLimit ? 'above' : 'below'
  const unknown = offer.mercury === 'unknown' ? 'Mercury is not known for this fish. ' : ''
  const { low, typical, high } = estimate
  return {
    kind: 'mercury',
    sentence: `${unknown}One portion a week gives ${who} about ${two(typical)} µg of mercury per kg of body weight (${two(low)} to ${two(high)}), ${verdict} the often used ${MERCURY_LIMIT_UG_PER_KG_WEEK.typical} (limits run from ${MERCURY_LIMIT_UG_PER_KG_WEEK.low} to ${MERCURY_LIMIT_UG_PER_KG_WEEK.high}). Compiled class figures. ${ADVICE}`,
  }
}

function keepingCautions(offer: ResolvedOffer, brief: NormalisedBrief): readonly Caution[] {
  const found: Caution[] = []
  if (offer.histamine) {
    const warm = brief.keep && brief.keep.tempC > 4 ? `${brief.keep.tempC} °C is too warm for it. ` : ''
    found.push({
      kind: 'histamine',
      sentence: `${warm}Keep it on ice without a break; it can form histamine, and cooking does not remove that. ${ADVICE}`,
    })
  }
  if (!brief.keep) return found
  const needed = computeIceDays(brief.keep)
  const left = computeDaysLeft(offer, { servedRaw: isServedRaw(brief) })
  if (brief.keep.tempC > 15) found.push({ kind: 'keeping', sentence: 'Above 15 °C the keeping estimate is only a hint. Put it on ice.' })
  else if (brief.keep.tempC < -2 && brief.keep.tempC > -10)
    found.push({ kind: 'keeping', sentence: 'Between -10 and -2 °C the keeping estimate is outside the range it was made for.' })
  if (needed > left.low)
    found.push({
      kind: 'keeping',
      sentence: `The wait uses ${needed.toFixed(1)} days on ice; if the fish is already old only ${left.low.toFixed(1)} are left. Ask when it was landed.`,
    })
  return found
}

function rawCautions(offer: ResolvedOffer, brief: NormalisedBrief): readonly Caution[] {
  const found: Caution[] = []
  if (isServedRaw(brief)) {
    const frozen = brief.rawTreatment === 'frozen' || offer.frozenForRaw
    found.push({
      kind: 'raw',
      sentence: frozen
        ? `Only if it was frozen as commonly published for raw fish (-20 °C for 7 days, or -35 °C until solid and 15 hours). Salt, acid and cold smoke do not replace it. ${ADVICE}`
        : `Served without cooking: ask that it was bred for it or is of a kind eaten so, and is spotless. Salt, acid and cold smoke do not make fish safe. ${ADVICE}`,
    })
  }
  if (brief.doneness === 'moist' && !isServedRaw(brief) && offer.parasites !== 'controlled-feed' && offer.parasites !== 'low')
    found.push({ kind: 'doneness', sentence: `Taken out below 63 °C it is moister, and parasites or germs may survive. ${ADVICE}` })
  return found
}

function fishCautions(offer: ResolvedOffer): readonly Caution[] {
  const found: Caution[] = []
  if (offer.ciguatera)
    found.push({
      kind: 'ciguatera',
      sentence: `A large reef hunter: in warm waters it can carry ciguatera, which no cooking removes. Buy small ones from known waters. ${ADVICE}`,
    })
  if (offer.spines) found.push({ kind: 'spines', sentence: offer.spines })
  if (offer.listing) found.push({ kind: 'listing', sentence: `${offer.listing.sentence} (${offer.listing.year}, compiled). ${ADVICE}` })
  return found
}

function dinerCautions(offer: ResolvedOffer, brief: NormalisedBrief): readonly Caution[] {
  const found: Caution[] = []
  const bones = readBones(offer, brief.format)
  const shy = (brief.diners.children ?? 0) > 0 || (brief.diners.elderly ?? 0) > 0
  if (bones.typical > 2 && (shy || brief.diners.boneShy))
    found.push({
      kind: 'bones',
      sentence: 'Bones remain in what is eaten: run a finger over every piece before it goes to children or the elderly.',
    })
  if (brief.openedByHand.length > 0)
    found.push({ kind: 'opened', sentence: `You lifted a limit of this method by hand: ${brief.openedByHand.join(', ')}.` })
  if (hasVulnerable(brief) && !isServedRaw(brief))
    found.push({ kind: 'doneness', sentence: `Cook it through, 63 °C in the middle at least, for the diners you named. ${ADVICE}` })
  if (brief.oddCut) found.push({ kind: 'format', sentence: `${brief.oddCut}.` })
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
