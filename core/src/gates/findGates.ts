import type { BandKey, Gate, Range, ResolvedOffer } from '@tender-gill/contract'
import type { NormalisedAsk, NormalisedBrief } from '../facts/index.ts'
import { computeCookingYield, computeRawPortionG } from '../amounts/index.ts'
import { computeDaysLeft, computeIceDays } from '../cold/index.ts'
import type { Scoring } from '../fit/index.ts'
import { findRawRefusal, hasVulnerable, isServedRaw } from '../safety/index.ts'
import { ASK_ORDER } from '../tables/askOrder.ts'
import { DEFAULT_STEAK_MM, LEAST_STEAK_SHARE, NOT_LANDED_SHARE, SIZE_MUST_RATIO, colourLikeness } from '../tables/constants.ts'
import { computeSteakG, findForms, readTrait, type Candidate } from '../traits/index.ts'

export type ScoringGap = Pick<Scoring, 'dropped'>

/** States that answer a wish: a thawed fish was frozen, and a frozen one will be thawed. */
export const stateMatches = (wanted: string, state: ResolvedOffer['state']): boolean =>
  wanted === 'any' || wanted === state || (wanted !== 'fresh' && state !== 'fresh')

const originMatches = (offer: ResolvedOffer, brief: NormalisedBrief) =>
  [brief.origin, brief.offers[offer.species]?.origin ?? 'any'].every((wanted) => wanted === 'any' || wanted === offer.origin)

const statesMatch = (offer: ResolvedOffer, brief: NormalisedBrief) =>
  [brief.state, brief.offers[offer.species]?.state ?? 'any'].every((wanted) => stateMatches(wanted, offer.state))

/** Lightest steak that makes half a raw portion, g. */
export const leastSteakG = (brief: NormalisedBrief): number =>
  LEAST_STEAK_SHARE * computeRawPortionG(brief, computeCookingYield(brief).typical)

function isTooThin(offer: ResolvedOffer, brief: NormalisedBrief): boolean {
  if (brief.format === 'steak')
    return computeSteakG(offer.body, offer.weightG.high, brief.thicknessMm ?? DEFAULT_STEAK_MM) < leastSteakG(brief)
  const asksDepth =
    brief.format === 'portion' || brief.format === 'chunk' || brief.format === 'fillet-skin-on' || brief.format === 'fillet-skinless'
  return asksDepth && brief.thicknessMm !== null && offer.depthMm.high < brief.thicknessMm
}

/** A whole fish far from the wanted size, even at the favourable end of what the market sells. */
function isWrongSize(offer: ResolvedOffer, brief: NormalisedBrief): boolean {
  const ask = brief.asks.weight
  if (brief.format !== 'whole' || !ask) return false
  const tooSmall = ask.from !== null && offer.weightG.high < ask.from / SIZE_MUST_RATIO
  const tooBig = ask.to !== null && offer.weightG.low > ask.to * SIZE_MUST_RATIO
  return tooSmall || tooBig
}

/** What the day and the waters close for a wild fresh fish. */
export const seasonGate = ({ origin, state, season }: ResolvedOffer, brief: NormalisedBrief): Gate | undefined => {
  if (brief.waters === null || origin !== 'wild' || state !== 'fresh' || !season) return undefined
  if (season.closed) return 'closed-season'
  return season.landings < NOT_LANDED_SHARE ? 'not-landed' : undefined
}

/** Below what the house buys. A stock on which no evidence is kept is not closed by it: the line-up says that nothing is known. */
const isBelowFloor = ({ stock }: ResolvedOffer, { house }: NormalisedBrief): boolean =>
  house.stockFloor !== null && stock !== null && stock.typical < house.stockFloor

const wouldSpoil = (offer: ResolvedOffer, brief: NormalisedBrief): boolean =>
  brief.keep !== null && computeIceDays(brief.keep) > computeDaysLeft(offer, { servedRaw: isServedRaw(brief) }).typical

/** The checks that do not depend on a score, in their fixed order. */
const CHECKS: readonly (readonly [Gate, (offer: ResolvedOffer, brief: NormalisedBrief) => boolean])[] = [
  ['unavailable', (offer, brief) => offer.absent !== undefined || brief.unavailable.includes(offer.species)],
  ['origin', (offer, brief) => !originMatches(offer, brief)],
  ['state', (offer, brief) => !statesMatch(offer, brief)],
  ['allergy', (offer, brief) => (brief.diners.allergies ?? []).includes(offer.allergen)],
  ['raw-unsafe', (offer, brief) => findRawRefusal(offer, brief) !== undefined],
  ['vulnerable', (_offer, brief) => isServedRaw(brief) && hasVulnerable(brief)],
  ['wax-ester', (offer) => offer.waxEster],
  ['protected', (offer) => offer.listing?.status === 'prohibited'],
  ['closed-season', (offer, brief) => seasonGate(offer, brief) === 'closed-season'],
  ['stock', (offer, brief) => offer.stock?.spent === true || isBelowFloor(offer, brief)],
  ['not-landed', (offer, brief) => seasonGate(offer, brief) === 'not-landed'],
  ['form', (offer, brief) => findForms(offer, brief).length === 0],
  ['thickness', isTooThin],
  ['size', isWrongSize],
  ['keeping', wouldSpoil],
]

/** The gates that do not depend on a score, as they are tested. */
export const STRUCTURAL_ORDER: readonly Gate[] = CHECKS.map(([gate]) => gate)

/** Gates of an offer that no score and no form changes. */
export function findStructuralGates(offer: ResolvedOffer, brief: NormalisedBrief): readonly Gate[] {
  const gates: Gate[] = []
  for (const [gate, fails] of CHECKS) if (fails(offer, brief)) gates.push(gate)
  return gates
}

const outside = (x: number, { from, to }: { from: number | null; to: number | null }) =>
  (from !== null && x < from) || (to !== null && x > to)

/** Thickness and weight are tested at the favourable end: one can ask for a bigger fish, not for a firmer one. */
export function failsMust(key: BandKey, value: Range, must: NonNullable<NormalisedAsk['must']>): boolean {
  if (key !== 'thickness' && key !== 'weight') return outside(value.typical, must)
  return (must.from !== null && value.high < must.from) || (must.to !== null && value.low > must.to)
}

function failsAskMust(key: (typeof ASK_ORDER)[number], candidate: Candidate, brief: NormalisedBrief): boolean {
  const ask = brief.asks[key]
  if (!ask?.must) return false
  if (key === 'colour') return Math.max(0, ...(ask.wanted ?? []).map((want) => colourLikeness(want, candidate.offer.cookedColour))) < 1
  const value = readTrait(key, candidate, brief)
  return value === null || failsMust(key, value, ask.must)
}

function findBudgetGates(candidate: Candidate, brief: NormalisedBrief, { dropped }: ScoringGap): readonly Gate[] {
  if (!brief.budget?.must || dropped.includes('portionCost')) return []
  const cost = readTrait('portionCost', candidate, brief)
  if (!cost) return ['price-unknown']
  return cost.typical > brief.budget.perPortion ? ['budget'] : []
}

const NONE: readonly Gate[] = []

/**
 * Every gate that closes a candidate, in the order in which they are told; empty when it may be ranked.
 * A must on something that is known for no fish is not tested: the line-up says so instead.
 */
export function findGates(
  candidate: Candidate,
  brief: NormalisedBrief,
  gap: ScoringGap,
  structural: readonly Gate[] = findStructuralGates(candidate.offer, brief),
): readonly Gate[] {
  const musts = ASK_ORDER.filter((key) => brief.asks[key]?.must && !gap.dropped.includes(key) && failsAskMust(key, candidate, brief))
  const budget = findBudgetGates(candidate, brief, gap)
  return structural.length + musts.length + budget.length === 0 ? NONE : [...new Set<Gate>([...structural, ...musts, ...budget])]
}
