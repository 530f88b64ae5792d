import type { BandKey, Gate, Range, ResolvedOffer } from '@tender-gill/contract'
import type { NormalisedAsk, NormalisedBrief } from '../facts/index.ts'
import { computeCookingYield, computeRawPortionG } from '../amounts/index.ts'
import { computeDaysLeft, computeIceDays, passesHistamineLimit } from '../cold/index.ts'
import type { Scoring } from '../fit/index.ts'
import { findRawRefusal, hasVulnerable, isMercuryCounted, isServedRaw } from '../safety/index.ts'
import { ASK_ORDER } from '../tables/askOrder.ts'
import {
  DEFAULT_STEAK_MM,
  EEL_ROUND_MM,
  EEL_ROUNDS,
  FLAT_STEAK_DEPTHS,
  LEAST_STEAK_SHARE,
  NOT_LANDED_SHARE,
  SIZE_MUST_RATIO,
  SIZE_SMALL_RATIO,
  colourLikeness,
} from '../tables/constants.ts'
import { CUTS_OF_PART, EVEN_PARTS } from '../tables/formats.ts'
import { readAskTable } from '../tables/styles.ts'
import { computeSteakG, findForms, kindOf, readColour, readTrait, type Candidate } from '../traits/index.ts'

const NONE: readonly Gate[] = []

export type ScoringGap = Pick<Scoring, 'dropped'>

/** States that answer a wish: a thawed fish was frozen, and a frozen one will be thawed. */
export const stateMatches = (wanted: string, state: ResolvedOffer['state']): boolean =>
  wanted === 'any' || wanted === state || (wanted !== 'fresh' && state !== 'fresh')

const originMatches = (offer: ResolvedOffer, brief: NormalisedBrief) =>
  [brief.origin, brief.offers[offer.species]?.origin ?? 'any'].every((wanted) => wanted === 'any' || wanted === offer.origin)

const partMatches = ({ part }: ResolvedOffer, brief: NormalisedBrief): boolean => {
  const cuts = CUTS_OF_PART[part]
  if (cuts && !cuts.includes(brief.format)) return false
  // A cut asks for them by itself.
  if (part === 'head' || part === 'frame') return brief.part === 'any'
  if (brief.part !== 'any') return part === brief.part || (brief.part === 'body' && EVEN_PARTS.includes(part))
  return EVEN_PARTS.includes(part) || (readAskTable(brief).parts?.first.includes(part) ?? false)
}

/** Not known counts as having none: whoever keeps this rule would rather do without. */
const hasFinsAndScales = (offer: ResolvedOffer): boolean =>
  kindOf(offer) === 'fish' && (offer.scales === 'fine' || offer.scales === 'large')

const statesMatch = (offer: ResolvedOffer, brief: NormalisedBrief) =>
  [brief.state, brief.offers[offer.species]?.state ?? 'any'].every((wanted) => stateMatches(wanted, offer.state))

/** Lightest steak that makes half a raw portion, g. */
export const leastSteakG = (brief: NormalisedBrief): number =>
  LEAST_STEAK_SHARE * computeRawPortionG(brief, computeCookingYield(brief).typical)

/** A round of an eel is cut as thick as it is wide, and goes by twos: what the knife asks of a round fish means nothing there. */
export const largestSteakG = ({ body, weightG }: ResolvedOffer, { thicknessMm }: NormalisedBrief): number =>
  body === 'eel'
    ? EEL_ROUNDS * computeSteakG(body, weightG.high, Math.max(EEL_ROUND_MM, thicknessMm ?? 0))
    : computeSteakG(body, weightG.high, thicknessMm ?? DEFAULT_STEAK_MM)

/** A slice across a thin flat fish cannot stand on its cut face: it is no steak of that thickness. */
const isTooSlim = ({ body, depthMm }: ResolvedOffer, { thicknessMm }: NormalisedBrief): boolean =>
  body === 'flat' && (thicknessMm ?? DEFAULT_STEAK_MM) > FLAT_STEAK_DEPTHS * depthMm.high

function isTooThin(offer: ResolvedOffer, brief: NormalisedBrief): boolean {
  if (brief.format === 'steak') return isTooSlim(offer, brief) || largestSteakG(offer, brief) < leastSteakG(brief)
  const asksDepth =
    brief.format === 'portion' || brief.format === 'chunk' || brief.format === 'fillet-skin-on' || brief.format === 'fillet-skinless'
  return asksDepth && brief.thicknessMm !== null && offer.depthMm.high < brief.thicknessMm
}

/**
 * A whole fish far from the size that the brief names, even at the favourable end of what the market sells: too big for the dish, or so small
 * that even several of them are another dish.
 */
function isWrongSize(offer: ResolvedOffer, brief: NormalisedBrief): boolean {
  const ask = brief.asks.weight
  if (brief.format !== 'whole' || !ask) return false
  if (!ask.because.includes('brief')) return false
  const tooSmall = ask.from !== null && offer.weightG.high < ask.from / SIZE_SMALL_RATIO
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

/** A histamine former that was kept too warm too long, as commonly published: what formed stays, raw or cooked. */
export const wasTooWarm = ({ histamine }: ResolvedOffer, { keep }: NormalisedBrief): boolean =>
  histamine && keep !== null && passesHistamineLimit([keep])

const wouldSpoil = (offer: ResolvedOffer, brief: NormalisedBrief): boolean =>
  brief.keep !== null && computeIceDays(brief.keep) > computeDaysLeft(offer, { servedRaw: isServedRaw(brief) }).typical

/** The checks that do not depend on a score, in their fixed order. */
const CHECKS: readonly (readonly [Gate, (offer: ResolvedOffer, brief: NormalisedBrief) => boolean])[] = [
  ['unavailable', (offer, brief) => offer.absent !== undefined || brief.unavailable.includes(offer.species)],
  ['kind', (offer, brief) => !brief.kinds.includes(kindOf(offer))],
  ['origin', (offer, brief) => !originMatches(offer, brief)],
  ['habitat', (offer, brief) => brief.habitat !== 'any' && offer.water !== brief.habitat],
  ['state', (offer, brief) => !statesMatch(offer, brief)],
  ['part', (offer, brief) => !partMatches(offer, brief)],
  ['allergy', (offer, brief) => (brief.diners.allergies ?? []).includes(offer.allergen)],
  ['fins-and-scales', (offer, brief) => brief.diners.finsAndScales && !hasFinsAndScales(offer)],
  ['raw-unsafe', (offer, brief) => findRawRefusal(offer, brief) !== undefined],
  ['vulnerable', (_offer, brief) => isServedRaw(brief) && hasVulnerable(brief)],
  ['wax-ester', (offer) => offer.waxEster],
  ['mercury', (offer, brief) => offer.mercury === 'very-high' && isMercuryCounted(brief)],
  ['protected', (offer) => offer.listing?.status === 'prohibited'],
  ['closed-season', (offer, brief) => seasonGate(offer, brief) === 'closed-season'],
  ['stock', (offer, brief) => offer.stock?.spent === true || isBelowFloor(offer, brief)],
  ['not-landed', (offer, brief) => seasonGate(offer, brief) === 'not-landed'],
  ['form', (offer, brief) => findForms(offer, brief).length === 0],
  ['thickness', isTooThin],
  ['size', isWrongSize],
  ['keeping', (offer, brief) => wouldSpoil(offer, brief) || wasTooWarm(offer, brief)],
]

/** The gates that do not depend on a score, as they are tested. */
const STRUCTURAL_ORDER: readonly Gate[] = CHECKS.map(([gate]) => gate)

/** Every gate once, in the order in which they are tested and told: what no score changes, then musts, then the budget. */
export const GATE_ORDER: readonly Gate[] = [...new Set<Gate>([...STRUCTURAL_ORDER, ...ASK_ORDER, 'price-unknown', 'budget', 'spend'])]

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
  if (key === 'colour')
    return Math.max(0, ...(ask.wanted ?? []).map((want) => colourLikeness(want, readColour(candidate.offer, brief)))) < 1
  const value = readTrait(key, candidate, brief)
  return value === null || failsMust(key, value, ask.must)
}

function findBudgetGates(candidate: Candidate, brief: NormalisedBrief, { dropped }: ScoringGap): readonly Gate[] {
  if (!brief.budget?.must || dropped.includes('portionCost')) return []
  const cost = readTrait('portionCost', candidate, brief)
  if (!cost) return ['price-unknown']
  return cost.typical > brief.budget.perPortion ? ['budget'] : []
}

/** Everyday fish as a must closes the dear ones. */
const findSpendGates = ({ offer }: Candidate, { spend, spendMust }: NormalisedBrief): readonly Gate[] =>
  spendMust && spend !== 'any' && offer.market === 'premium' ? ['spend'] : NONE

/** Whether a must of the brief closes a candidate; one on something that is known for no fish is not tested. */
const failsMustOf = (key: (typeof ASK_ORDER)[number], candidate: Candidate, brief: NormalisedBrief, gap: ScoringGap): boolean =>
  brief.asks[key]?.must ? !gap.dropped.includes(key) && failsAskMust(key, candidate, brief) : false

/** Whether no gate closes a candidate: `findGates` without telling which, left at the first that does. */
export const passesGates = (candidate: Candidate, brief: NormalisedBrief, gap: ScoringGap): boolean =>
  CHECKS.every(([, fails]) => !fails(candidate.offer, brief)) &&
  !ASK_ORDER.some((key) => failsMustOf(key, candidate, brief, gap)) &&
  findBudgetGates(candidate, brief, gap).length === 0 &&
  findSpendGates(candidate, brief).length === 0

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
  const musts = ASK_ORDER.filter((key) => failsMustOf(key, candidate, brief, gap))
  const budget = [...findBudgetGates(candidate, brief, gap), ...findSpendGates(candidate, brief)]
  if (structural.length + musts.length + budget.length === 0) return NONE
  const failed = new Set<Gate>([...structural, ...musts, ...budget])
  return GATE_ORDER.filter((gate) => failed.has(gate))
}
